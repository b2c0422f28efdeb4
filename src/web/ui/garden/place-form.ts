import { group } from 'd3-array';
import {
  STATIONS,
  type Station,
  atElevation,
  checkClimate,
  evapotranspirationMm,
  nearestStations,
  normalsOf,
} from '../../../core/ground/index.ts';
import { type GardenLocation, type GardenRecord, gardenLocation } from '../../../records/garden.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { searchRank } from '../../../words/name-search.ts';
import { toldError } from '../../../words/refusal-words.ts';
import { numberFromText } from '../forms/parse-number.ts';
import { quantityTroubles } from '../forms/troubles.ts';
import { capitalized } from '../../../words/capitalized.ts';
import { NOTHING_TYPED, type Reader, type TypedQuantity } from '../forms/typed-quantity.ts';
import {
  CLIMATE_ROWS,
  climateFigures,
  readClimate,
  typedClimate,
  type TypedClimate,
} from './climate-form.ts';

/** How the climate of a garden is found. */
export const PLACE_WAYS = ['kept', 'name', 'coordinates', 'kind', 'own'] as const;
export type PlaceWay = (typeof PLACE_WAYS)[number];

/** What the form asks about the place of a garden, as it is typed. */
export interface PlaceFields {
  readonly way: PlaceWay;
  /** Name of the station chosen by name, by coordinates or by kind. */
  readonly station: string | null;
  /** The station was proposed, and nobody has chosen it yet. */
  readonly isGuessed: boolean;
  readonly koppen: string | null;
  readonly latitude: string;
  readonly longitude: string;
  /** Meters, or feet where the garden measures so; may stay empty. */
  readonly elevation: string;
  /** Twelve months of its own. */
  readonly months: TypedClimate;
}

/** A place for the record, or what is still wrong, by field. */
export interface FoundPlace {
  readonly climate: Record<
    'temperatureC' | 'rainMm' | 'evapotranspirationMm',
    readonly (number | null)[]
  > | null;
  readonly location: GardenLocation | null;
  readonly troubles: Record<string, string>;
}

const EMPTY_MONTHS: TypedClimate = Object.fromEntries(
  CLIMATE_ROWS.map(({ field }) => [field, Array<TypedQuantity>(12).fill(NOTHING_TYPED)]),
) as unknown as TypedClimate;

/** The questions as they first stand: for a garden that has its months, those are kept until something else is chosen. */
export const firstPlace = (
  garden: GardenRecord | null,
  reader: Reader,
  timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone,
): PlaceFields => ({
  way: garden ? 'kept' : 'name',
  station: garden ? null : guessedStation(timeZone),
  isGuessed: !garden && guessedStation(timeZone) !== null,
  koppen: null,
  latitude: garden?.location ? String(garden.location.latitudeDeg) : '',
  longitude: garden?.location?.longitudeDeg != null ? String(garden.location.longitudeDeg) : '',
  elevation: elevationText(garden?.location?.elevationM ?? null, reader),
  // Only a garden's own months are shown for changing, never those of another place.
  months: garden ? typedClimate(garden.climate, reader) : EMPTY_MONTHS,
});

const FEET_PER_M = 1 / 0.3048;
const elevationText = (meters: number | null, { system }: Reader): string =>
  meters === null ? '' : String(Math.round(system === 'customary' ? meters * FEET_PER_M : meters));

/** Meters; null when nothing is told, NaN when it cannot be read. */
function elevationIn(text: string, { system }: Reader): number | null {
  if (text.trim() === '') return null;
  const [, figure = '', unit] = /^(.*?)\s*(m|ft)?$/i.exec(text.trim())!;
  const isFeet = unit === undefined ? system === 'customary' : unit.toLowerCase() === 'ft';
  const meters = numberFromText(figure) / (isFeet ? FEET_PER_M : 1);
  return gardenLocation.shape.elevationM.safeParse(meters).success ? meters : Number.NaN;
}

export const stationNamed = (name: string | null): Station | undefined =>
  STATIONS.find((one) => one.name === name);

/** The station by whose town a time zone is called: "America/Sao_Paulo" proposes São Paulo. */
export function guessedStation(timeZone: string): string | null {
  const town = timeZone.split('/').at(-1)!;
  return STATIONS.find(({ name }) => searchRank(town, { name, synonyms: [] }) === 0)?.name ?? null;
}

const NO_HEIGHT = 'must be a height such as 200 m or 650 ft, or empty';
const NO_DEGREES = 'must be degrees, such as 51.5; south and west with a minus';

/** Degrees as they are typed; undefined for nothing or what is none. */
function degreesIn(text: string, most: number): number | undefined {
  const value = numberFromText(text);
  return Number.isFinite(value) && Math.abs(value) <= most ? value : undefined;
}

/** Where the garden lies by what was typed; null while its latitude and longitude cannot be read. */
export function pointOf({ latitude, longitude, elevation }: PlaceFields, reader: Reader) {
  const [latitudeDeg, longitudeDeg] = [degreesIn(latitude, 90), degreesIn(longitude, 180)];
  if (latitudeDeg === undefined || longitudeDeg === undefined) return null;
  const elevationM = elevationIn(elevation, reader);
  return {
    latitude: latitudeDeg,
    longitude: longitudeDeg,
    elevationM: Number.isNaN(elevationM) ? null : elevationM,
  };
}

const NEAREST = 3;
export const nearest = (fields: PlaceFields, reader: Reader) => {
  const point = pointOf(fields, reader);
  return point ? nearestStations(point, NEAREST) : [];
};

/** The place that the fields amount to. */
export function placeOf(fields: PlaceFields, kept: GardenRecord | null, reader: Reader): FoundPlace {
  switch (fields.way) {
    case 'kept':
      return { climate: kept?.climate ?? null, location: kept?.location ?? null, troubles: {} };
    case 'own':
      return ownPlace(fields, reader);
    case 'coordinates':
      return placeByCoordinates(fields, reader);
    case 'name':
    case 'kind': {
      const station = stationNamed(fields.station);
      return station
        ? placeOfStation(station, station.name)
        : missing('station', 'Type a town near you and choose it, or tell the place in another way.');
    }
  }
}

const missing = (field: string, what: string): FoundPlace => ({
  climate: null,
  location: null,
  troubles: { [field]: what },
});

function placeOfStation(station: Station, name: string): FoundPlace {
  const { latitude, longitude, elevationM, region } = station;
  const location = {
    latitudeDeg: latitude,
    longitudeDeg: longitude,
    elevationM,
    station: `${name}, ${region}`,
  };
  return { climate: normalsOf(station), location, troubles: {} };
}

function placeByCoordinates(fields: PlaceFields, reader: Reader): FoundPlace {
  const troubles = {
    ...(degreesIn(fields.latitude, 90) === undefined ? { latitude: NO_DEGREES } : {}),
    ...(degreesIn(fields.longitude, 180) === undefined ? { longitude: NO_DEGREES } : {}),
    ...(Number.isNaN(elevationIn(fields.elevation, reader)) ? { elevation: NO_HEIGHT } : {}),
  };
  const point = pointOf(fields, reader);
  if (!point || Object.keys(troubles).length > 0) return { climate: null, location: null, troubles };
  const station = stationNamed(fields.station) ?? nearestStations(point, 1)[0]!.station;
  const there = atElevation(station, { ...point, elevationM: point.elevationM ?? station.elevationM });
  return {
    climate: normalsOf(there),
    location: {
      latitudeDeg: point.latitude,
      longitudeDeg: point.longitude,
      elevationM: point.elevationM,
      station: `${station.name}, ${station.region}`,
    },
    troubles: {},
  };
}

/** Months of one's own; what evaporates is worked out where it was not typed. */
function ownPlace({ months, latitude }: PlaceFields, reader: Reader): FoundPlace {
  const latitudeDeg = degreesIn(latitude, 90);
  const read = readClimate(months, reader);
  const typed = climateFigures(months, reader);
  const troubles = {
    ...quantityTroubles(read),
    ...(latitudeDeg === undefined ? { latitude: NO_DEGREES } : {}),
  };
  if (latitudeDeg === undefined || Object.keys(troubles).length > 0)
    return { climate: null, location: null, troubles };
  const worked = evapotranspirationMm(typed.temperatureC as number[], latitudeDeg);
  const climate = {
    temperatureC: typed.temperatureC as number[],
    rainMm: typed.rainMm as number[],
    evapotranspirationMm: typed.evapotranspirationMm.map((own, i) => own ?? worked[i]!),
  };
  const location = { latitudeDeg, longitudeDeg: null, elevationM: null, station: '' };
  try {
    checkClimate(climate, latitudeDeg);
    return { climate, location, troubles: {} };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return {
      climate,
      location,
      troubles: { 'climate.temperatureC': capitalized(toldError(error).sentence) },
    };
  }
}

/** The classes of climate that have stations, each with its own. */
export const stationsByKind = (): ReadonlyMap<string, readonly Station[]> =>
  group(STATIONS, ({ koppen }) => koppen);
