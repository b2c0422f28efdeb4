import type { ClimateNormals } from '../../../records/garden.ts';
import { evapotranspirationMm } from './evapotranspiration.ts';
import type { KoppenClass } from './koppen.ts';
import rows from './stations.json' with { type: 'json' };

/** A weather station, or a city by its own: monthly means from memory, rounded, of about 1981 to 2020. */
export interface Station {
  readonly name: string;
  /** Country, with the part of it where that is large. */
  readonly region: string;
  /** Degrees; south and west are negative. */
  readonly latitude: number;
  readonly longitude: number;
  readonly elevationM: number;
  /** As it is known (from memory), not worked out. */
  readonly koppen: KoppenClass;
  readonly temperatureC: readonly number[];
  readonly rainMm: readonly number[];
}

export const STATIONS: readonly Station[] = rows;

/** The twelve months of a station; what evaporates is worked out. */
export const normalsOf = ({ temperatureC, rainMm, latitude }: Station): ClimateNormals => ({
  temperatureC,
  rainMm,
  evapotranspirationMm: evapotranspirationMm(temperatureC, latitude),
});

/** It gets colder with every meter of height, C (International Standard Atmosphere, from memory). */
const COLDER_PER_M = 0.0065;

/** A station as if it stood higher or lower, at the same latitude or another; its rain stays. */
export const atElevation = (
  station: Station,
  { elevationM, latitude }: { readonly elevationM: number; readonly latitude: number },
): Station => ({
  ...station,
  latitude,
  elevationM,
  temperatureC: station.temperatureC.map((mean) => mean - COLDER_PER_M * (elevationM - station.elevationM)),
});

const EARTH_RADIUS_KM = 6371;

/** Distance on the sphere between two points given in degrees, km. */
export function distanceKm(
  one: Pick<Station, 'latitude' | 'longitude'>,
  other: Pick<Station, 'latitude' | 'longitude'>,
): number {
  const radians = (degrees: number) => (degrees * Math.PI) / 180;
  const half = (degrees: number) => Math.sin(radians(degrees) / 2) ** 2;
  const chord =
    half(other.latitude - one.latitude) +
    Math.cos(radians(one.latitude)) *
      Math.cos(radians(other.latitude)) *
      half(other.longitude - one.longitude);
  return 2 * EARTH_RADIUS_KM * Math.asin(Math.min(1, Math.sqrt(chord)));
}

/** What a hundred meters up or down count like, km: half a degree or more (set here). */
const KM_PER_100_M = 100;

/** The stations whose climate is likest by distance and height, the likest first. `elevationM` null compares no heights. */
export function nearestStations(
  point: { readonly latitude: number; readonly longitude: number; readonly elevationM: number | null },
  count: number,
): { readonly station: Station; readonly km: number }[] {
  const far = (station: Station, km: number) =>
    km +
    (point.elevationM === null ? 0 : (Math.abs(station.elevationM - point.elevationM) / 100) * KM_PER_100_M);
  return STATIONS.map((station) => ({ station, km: distanceKm(point, station) }))
    .toSorted((a, b) => far(a.station, a.km) - far(b.station, b.km))
    .slice(0, count);
}
