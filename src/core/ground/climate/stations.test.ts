import { describe, expect, it } from 'vitest';
import { isSouthern } from './climate.ts';
import { evapotranspirationMm, sunAboveMJPerM2 } from './evapotranspiration.ts';
import { koppenClass } from './koppen.ts';
import { CLIMATE_PATTERNS } from './patterns.ts';
import { STATIONS, distanceKm, nearestStations, normalsOf } from './stations.ts';

const sum = (months: readonly number[]) => months.reduce((all, one) => all + one, 0);
const station = (name: string) => STATIONS.find((one) => one.name === name)!;

/** The classes in which people garden; of polar climates only tundra. */
const GARDENED =
  'Af Am Aw BWh BWk BSh BSk Csa Csb Cwa Cwb Cfa Cfb Cfc Dsa Dsb Dsc Dwa Dwb Dwc Dfa Dfb Dfc Dfd ET'.split(
    ' ',
  );

describe('stations', () => {
  it('are many, of every continent, each with a name of its own', () => {
    expect(STATIONS.length).toBeGreaterThanOrEqual(150);
    expect(new Set(STATIONS.map(({ name }) => name)).size).toBe(STATIONS.length);
    const southern = STATIONS.filter(({ latitude }) => latitude < -10);
    expect(southern.length).toBeGreaterThan(30);
  });

  it('cover every class of climate in which people garden', () => {
    expect([...new Set(STATIONS.map(({ koppen }) => koppen))].sort()).toEqual([...GARDENED].sort());
  });

  it.each(STATIONS)('$name has the class it is known for, worked out from its numbers', (one) => {
    expect(koppenClass(one)).toBe(one.koppen);
  });

  it.each(STATIONS)('$name lies in its hemisphere, with plausible figures', (one) => {
    const { temperatureC, rainMm, latitude, longitude, elevationM } = one;
    if (Math.abs(latitude) > 15) expect(isSouthern(normalsOf(one))).toBe(latitude < 0);
    expect(Math.abs(latitude)).toBeLessThan(72);
    expect(Math.abs(longitude)).toBeLessThanOrEqual(180);
    expect(elevationM).toBeGreaterThan(-100);
    expect(elevationM).toBeLessThan(4500);
    expect(Math.min(...temperatureC)).toBeGreaterThan(-45);
    expect(Math.max(...temperatureC)).toBeLessThan(38);
    expect(sum(rainMm)).toBeGreaterThanOrEqual(1);
    expect(sum(rainMm)).toBeLessThan(6000);
    expect(sum(normalsOf(one).evapotranspirationMm)).toBeGreaterThan(200);
    expect(sum(normalsOf(one).evapotranspirationMm)).toBeLessThan(2100);
    // Neighboring months follow each other: no figure is out of its row.
    temperatureC.forEach((mean, i) =>
      expect(Math.abs(mean - temperatureC[(i + 1) % 12])).toBeLessThan(Math.abs(latitude) > 55 ? 20 : 13),
    );
  });
});

describe('what evaporates', () => {
  it('follows the sun: FAO-56 gives 32.2 MJ/m2 at 20 S on 3 September', () => {
    expect(sunAboveMJPerM2(-20, 246)).toBeCloseTo(32.2, 1);
    expect(sunAboveMJPerM2(70, 355)).toBeCloseTo(0, 3);
  });
  it('comes near what was measured at Rothamsted over the year', () => {
    const [rothamsted] = CLIMATE_PATTERNS;
    const worked = sum(evapotranspirationMm(rothamsted.temperatureC, 51.8));
    // Oudin's formula gives what the air could take up: a quarter more than three quarters of an open pan there.
    expect(worked / sum(rothamsted.evapotranspirationMm)).toBeGreaterThan(1);
    expect(worked / sum(rothamsted.evapotranspirationMm)).toBeLessThan(1.35);
  });
  it('is none below -5 C', () => {
    expect(evapotranspirationMm(Array<number>(12).fill(-5), 60)).toEqual(Array<number>(12).fill(0));
  });
});

describe('the nearest station', () => {
  it('is found by distance', () => {
    expect(distanceKm(station('London'), station('Paris'))).toBeGreaterThan(320);
    expect(distanceKm(station('London'), station('Paris'))).toBeLessThan(390);
    const [first] = nearestStations({ latitude: 51, longitude: 0, elevationM: null }, 3);
    expect(first.station.name).toBe('London');
  });
  it('is the likest by height too where that is told', () => {
    const high = { latitude: 46.9, longitude: 9.6, elevationM: 1500 };
    expect(nearestStations(high, 1)[0].station.name).toBe('Davos');
    expect(nearestStations({ ...high, elevationM: 450 }, 1)[0].station.name).toBe('Zürich');
  });
});
