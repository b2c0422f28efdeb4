import { describe, expect, it } from 'vitest';
import { GARDEN } from '../../../../tests/fixtures/books.ts';
import { readerOf, retyped } from '../forms/typed-quantity.ts';
import { firstPlace, guessedStation, nearest, placeOf, type PlaceFields } from './place-form.ts';

const METRIC = readerOf('metric');
const CUSTOMARY = readerOf('customary');
const fields = (change: Partial<PlaceFields>): PlaceFields => ({
  ...firstPlace(null, METRIC, 'UTC'),
  ...change,
});
const of = (change: Partial<PlaceFields>, reader = METRIC) => placeOf(fields(change), null, reader);
const months = (temperature: readonly string[], rain: readonly string[]) => {
  const empty = fields({}).months;
  return {
    ...empty,
    temperatureC: empty.temperatureC.map((month, i) => retyped(month, temperature[i] ?? '')),
    rainMm: empty.rainMm.map((month, i) => retyped(month, rain[i] ?? '')),
  };
};
const NORTH = ['3', '4', '6', '9', '13', '16', '18', '17', '14', '11', '7', '4'];
const RAIN = Array<string>(12).fill('50');

describe('the place of a garden', () => {
  it('is asked for in a new garden, with no place’s months filled in', () => {
    const first = firstPlace(null, METRIC, 'UTC');
    expect(first).toMatchObject({ way: 'name', station: null, isGuessed: false });
    expect(first.months.temperatureC.every(({ text }) => text === '')).toBe(true);
    expect(of({}).troubles['station']).toMatch(/^Type a town/);
  });

  it('is proposed by the clock of the device, and said to be a guess', () => {
    expect(firstPlace(null, METRIC, 'America/Chicago')).toMatchObject({
      station: 'Chicago',
      isGuessed: true,
    });
    expect(guessedStation('America/Sao_Paulo')).toBe('São Paulo');
    expect(guessedStation('Etc/UTC')).toBeNull();
  });

  it('is kept as it is until something else is chosen', () => {
    const garden = { ...GARDEN, version: 1, createdAt: '', updatedAt: '' };
    const kept = placeOf(firstPlace(garden, METRIC), garden, METRIC);
    expect(kept).toEqual({ climate: garden.climate, location: null, troubles: {} });
  });

  it('is that of a station', () => {
    const { climate, location, troubles } = of({ station: 'Chicago' });
    expect(troubles).toEqual({});
    expect(location).toMatchObject({ latitudeDeg: 41.9, station: 'Chicago, Illinois, United States' });
    expect(climate!.temperatureC[0]).toBe(-3.5);
    expect(climate!.evapotranspirationMm[6]).toBeGreaterThan(100);
  });

  it('is told by coordinates and height: the nearest station, colder higher up', () => {
    const at = (elevation: string, reader = METRIC) =>
      of({ way: 'coordinates', latitude: '47.4', longitude: '8.6', elevation }, reader);
    expect(nearest(fields({ latitude: '47.4', longitude: '8.6' }), METRIC)[0].station.name).toBe('Zürich');
    const [low, high] = [at('556'), at('656')];
    expect(high.climate!.temperatureC[0]! - low.climate!.temperatureC[0]!).toBeCloseTo(-0.65, 6);
    expect(at('1824 ft').climate!.temperatureC[0]).toBeCloseTo(low.climate!.temperatureC[0]!, 1);
    expect(at('1824', CUSTOMARY).location!.elevationM).toBeCloseTo(556, 0);
    expect(at('').location!.elevationM).toBeNull();
  });

  it('says what is wrong with coordinates', () => {
    const { troubles } = of({ way: 'coordinates', latitude: '95', longitude: 'west', elevation: 'high' });
    expect(Object.keys(troubles).sort()).toEqual(['elevation', 'latitude', 'longitude']);
  });

  it('has months of its own: what evaporates follows from the latitude, an own figure wins', () => {
    const own = months(NORTH, RAIN);
    const worked = of({ way: 'own', latitude: '50', months: own });
    expect(worked.troubles).toEqual({});
    expect(worked.climate!.evapotranspirationMm[6]).toBeGreaterThan(90);
    const typed = {
      ...own,
      evapotranspirationMm: own.evapotranspirationMm.map((month, i) => retyped(month, i === 6 ? '70' : '')),
    };
    const withOwn = of({ way: 'own', latitude: '50', months: typed });
    expect(withOwn.climate!.evapotranspirationMm[6]).toBe(70);
    expect(withOwn.climate!.evapotranspirationMm[5]).toBe(worked.climate!.evapotranspirationMm[5]);
  });

  it.each([
    [
      'rain below nothing',
      { latitude: '50', months: months(NORTH, ['-5', ...RAIN.slice(1)]) },
      'climate.rainMm.0',
    ],
    [
      'a month left out',
      { latitude: '50', months: months(NORTH.slice(0, 11), RAIN) },
      'climate.temperatureC.11',
    ],
    ['no latitude', { latitude: '', months: months(NORTH, RAIN) }, 'latitude'],
    [
      'twelve equal months',
      { latitude: '50', months: months(Array<string>(12).fill('12'), RAIN) },
      'climate.temperatureC',
    ],
    ['a warm July in the south', { latitude: '-38', months: months(NORTH, RAIN) }, 'climate.temperatureC'],
  ])('refuses %s with the reason', (_, change, field) => {
    expect(of({ way: 'own', ...change }).troubles[field]).toBeTruthy();
  });
});
