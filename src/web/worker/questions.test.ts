import { hashKey, type QueryKey } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, NO_STOCK, plantingOf } from '../../../tests/fixtures/books.ts';
import { groundAsRead } from '../../core/bed/books/as-read.ts';
import type { GardenRecords } from '../../core/bed/books/garden-books.ts';
import { adviceQuery, nearQuery, questionAbout, questionAboutStock, recordsForYears } from './questions.ts';

const records = (): GardenRecords => ({
  garden: { ...GARDEN },
  beds: [bedOf({ id: 'north' }), bedOf({ id: 'south' })],
  entries: [{ id: 'a', bedId: 'north', type: 'water', state: 'laid', date: '2026-05-01', waterMm: 10 }],
  crops: [],
  plantings: [plantingOf({ bedId: 'south' })],
  materials: [],
  ...NO_STOCK,
});

const keyOf = (query: {
  queryKey: QueryKey;
  queryKeyHashFn?: ((key: never) => string) | undefined;
}): string => (query.queryKeyHashFn as typeof hashKey)(query.queryKey);

const asked = (change: (books: GardenRecords) => GardenRecords = (books) => books, bedId = 'north') =>
  questionAbout(change(records()), bedId, '2026-05-14');

describe('a question about a bed', () => {
  it('holds what decides how that bed fares and nothing of the others', () => {
    const { records: told } = asked();
    expect(told.beds.map(({ id }) => id)).toEqual(['north']);
    expect(told.entries.map(({ id }) => id)).toEqual(['a']);
    expect(told.plantings).toEqual([]);
  });

  it('is the same question when it is asked again, so that its answer is found again', () => {
    expect(keyOf(nearQuery(asked()))).toBe(keyOf(nearQuery(asked())));
  });

  it('stays the same when something changes on another bed', () => {
    const busier = (books: GardenRecords) => ({ ...books, plantings: [] });
    expect(keyOf(nearQuery(asked(busier)))).toBe(keyOf(nearQuery(asked())));
  });

  it('stays the same when only what people read changes: names, units, prices, notes, where things lie', () => {
    const renamed = (books: GardenRecords) => ({
      ...books,
      garden: {
        ...GARDEN,
        ...{ name: 'Ours', place: 'By the sea', measures: 'customary', version: 2, updatedAt: 'now' },
        prices: {
          nitrogenPerKg: 4,
          phosphorusPerKg: null,
          potassiumPerKg: null,
          hour: null,
          boughtInPerM3: 1,
        },
        location: { latitudeDeg: 50, longitudeDeg: null, elevationM: null, station: '' },
      },
      beds: books.beds.map((bed) => ({
        ...bed,
        ...{ name: 'Long bed', part: 'Orchard', note: 'Dug', learnsFromLog: false, version: 2 },
        outline: [[0, 0] as const, [0, 1] as const, [1, 1] as const],
      })),
    });
    expect(keyOf(nearQuery(asked(renamed)))).toBe(keyOf(nearQuery(asked())));
    expect(asked(renamed)).toBe(asked());
    const forYears = (books: GardenRecords) => JSON.stringify(recordsForYears(books));
    expect(forYears(renamed(records()))).toBe(forYears(records()));
    const ofStock = (books: GardenRecords) => JSON.stringify(questionAboutStock(books, '2026-05-14'));
    expect(ofStock(renamed(records()))).toBe(ofStock(records()));
  });

  it.each<[string, (books: GardenRecords) => GardenRecords]>([
    ['school', (books) => ({ ...books, garden: { ...books.garden, school: 'cautious' } })],
    ['rain', (books) => ({ ...books, garden: { ...books.garden, depositionGPerM2Year: 2 } })],
    ['feed', (books) => ({ ...books, garden: { ...books.garden, feedMaterialId: 'blood_meal' } })],
    ['clay', (books) => ({ ...books, beds: books.beds.map((bed) => ({ ...bed, clayPct: 33 })) })],
  ])('is another one when the %s changes', (_, change) => {
    expect(keyOf(nearQuery(asked(change)))).not.toBe(keyOf(nearQuery(asked())));
  });

  it('is another one when anything of its own changes, or another answer is wanted', () => {
    const wetter = (books: GardenRecords) => ({
      ...books,
      entries: books.entries.map((entry) => ({ ...entry, waterMm: 11 })) as GardenRecords['entries'],
    });
    const keys = [
      nearQuery(asked()),
      nearQuery(asked(wetter)),
      nearQuery(asked(undefined, 'south')),
      nearQuery(questionAbout(records(), 'north', '2026-05-15')),
      adviceQuery(asked()),
    ].map((query) => keyOf(query));
    expect(new Set(keys).size).toBe(keys.length);
  });
});

describe('records for years', () => {
  it('hold the weather that was measured, as the page of a bed does, and no log', () => {
    const weather = [{ date: '2026-05-01', meanC: 9, rainMm: 3 }] as unknown as NonNullable<
      GardenRecords['weather']
    >;
    const mark = { kind: 'mark' } as unknown as GardenRecords['journal'][number];
    const told = recordsForYears({ ...records(), weather, journal: [mark] });
    const { entries, plantings, crops, materials, labResults, lots, movements } = records();
    const kept = { entries, plantings, crops, materials, labResults, lots, movements };
    expect(told).toEqual({ ...groundAsRead(records()), ...kept, weather, journal: [] });
    expect(questionAbout({ ...records(), weather }, 'north', '2026-05-14').records.weather).toBe(weather);
  });
});
