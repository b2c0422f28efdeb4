import { describe, expect, it } from 'vitest';
import { bedOf, plantingOf } from '../../../../tests/fixtures/books.ts';
import { gardenOf, layOf } from '../../../../tests/fixtures/laid.ts';
import type { Entry } from '../../../records/entry.ts';
import type { GardenRecords } from '../books/garden-books.ts';
import { type BedPast, type PastKeeper, pastDayOf } from './bed-past.ts';
import { planOfBed } from './plan-of-bed.ts';

const TODAY = '2026-05-14';
const YEARS = [2022, 2023, 2024, 2025, 2026];

const spread = (year: number): Entry[] => [
  layOf({ id: `compost ${year}`, date: `${year}-03-20`, materialId: 'compost_garden', massFreshKg: 25 }),
  layOf({ id: `straw ${year}`, date: `${year}-04-10`, materialId: 'straw_cereal', massFreshKg: 12 }),
  { id: `water ${year}`, type: 'water', state: 'laid', date: `${year}-04-20`, waterMm: 10 },
];

const records = (entries = YEARS.flatMap(spread), kind: 'annual' | 'path' = 'annual'): GardenRecords =>
  gardenOf(entries, {
    beds: [bedOf({ kind })],
    plantings: YEARS.map((year) =>
      plantingOf({
        id: `leek ${year}`,
        cropId: 'leek',
        plantedOn: `${year}-05-02`,
        clearedOn: `${year}-11-20`,
      }),
    ),
  });

/** Keeps what it is given as a device does: written down and read again. */
function notebook(): PastKeeper & { readonly kept: Map<string, BedPast> } {
  const kept = new Map<string, BedPast>();
  return { kept, find: (key) => kept.get(key), keep: (key, past) => kept.set(key, structuredClone(past)) };
}

const plan = (of: GardenRecords, keeper?: PastKeeper, todayIso = TODAY) => {
  const { plan: whole, projection } = planOfBed({
    records: of,
    bedId: 'bed',
    todayIso,
    ...(keeper ? { keeper } : {}),
  })!;
  return { whole, projection };
};

describe('the past of a bed', () => {
  it('that is kept gives the same plan, to the last digit, as running it again', () => {
    const keeper = notebook();
    plan(records(), keeper);
    expect(keeper.kept.size).toBe(1);
    expect(plan(records(), keeper)).toEqual(plan(records()));
  });

  it('serves the next day too, and after a change to this year’s records', () => {
    const keeper = notebook();
    plan(records(), keeper);
    const changed = records(YEARS.flatMap(spread).slice(0, -1));
    expect(plan(records(), keeper, '2026-05-15')).toEqual(plan(records(), undefined, '2026-05-15'));
    expect(plan(changed, keeper)).toEqual(plan(changed));
    expect(keeper.kept.size).toBe(1);
  });

  it('is worked out anew when a record of an earlier year is changed', () => {
    const keeper = notebook();
    plan(records(), keeper);
    const changed = records(YEARS.flatMap(spread).slice(1));
    const now = plan(changed, keeper);
    expect(keeper.kept.size).toBe(2);
    expect(now).toEqual(plan(changed));
    expect(now.whole.heldNowG).not.toEqual(plan(records()).whole.heldNowG);
  });

  it('begins with a month more than a year ago, and not before the books do', () => {
    expect(pastDayOf({ startDay: 700_000 }, 739_750)).toBe(739_342);
    expect(pastDayOf({ startDay: 739_342 }, 739_750)).toBeNull();
  });

  it('is run again on paths, of which is told when a layer became crumbs', () => {
    const keeper = notebook();
    plan(records(undefined, 'path'), keeper);
    expect(keeper.kept.size).toBe(0);
  });
});
