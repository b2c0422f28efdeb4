import { beforeAll, describe, expect, it } from 'vitest';
import { bedOf, GARDEN, NO_STOCK } from '../../../tests/fixtures/books.ts';
import type { GardenRecords } from '../../core/bed/index.ts';
import { asOneBed, habitFromTemplate, sampledSoilKgPerM2 } from '../../core/long-run/index.ts';
import type { Habit } from '../../records/habit.ts';
import { openYears, yearsAmount, yearsLine, type YearsPlan } from './years-answers.ts';

const COMPOST = habitFromTemplate('compostYearly');
const beds = [
  bedOf({ id: 'small', areaM2: 2, organicMatterPct: 3 }),
  bedOf({ id: 'large', areaM2: 6, organicMatterPct: 2 }),
  bedOf({ id: 'path', areaM2: 4, kind: 'path', organicMatterPct: 2 }),
];
const records: GardenRecords = {
  garden: { ...GARDEN },
  beds,
  entries: [],
  crops: [],
  plantings: [],
  materials: [],
  ...NO_STOCK,
};
const BY_YEAR = 4;
const planWith = (key: string, habit: Habit): YearsPlan => ({
  key,
  records,
  today: '2026-05-14',
  years: BY_YEAR,
  bedIds: beds.map(({ id }) => id),
  habits: [habit],
  lineIds: ['compost'],
  sparesPaths: true,
});
const asked = {
  plan: 'amounts',
  bed: null,
  habit: 0,
  act: 0,
  draw: null,
  target: { type: 'organicMatter', pct: 2.8 },
  byYear: BY_YEAR,
} as const;
const amountOn = (bed: number | null) => yearsAmount({ ...asked, bed });

describe('the amount that reaches a target', () => {
  beforeAll(() => openYears(planWith('amounts', COMPOST)));

  it('on the whole garden reaches it over all its soil, paths left as they are', () => {
    const found = amountOn(null);
    if (found?.status !== 'solved') throw new Error(`got ${found?.status}`);
    const { amount } = found;
    openYears(planWith('found', { ...COMPOST, acts: COMPOST.acts.map((act) => ({ ...act, amount })) }));
    const points = beds.map((bed, i) => ({
      areaM2: bed.areaM2,
      soilMassKgPerM2: sampledSoilKgPerM2(bed),
      points: yearsLine({ plan: 'found', bed: i, habit: 0, draw: null })!.points,
    }));
    expect(asOneBed(points).at(-1)!.organicMatterPct).toBeCloseTo(2.8, 2);
    openYears(planWith('amounts', COMPOST));
    const [small, large] = [0, 1].map((bed) => {
      const one = amountOn(bed);
      return one?.status === 'solved' ? one.amount : Number.NaN;
    });
    // The poorer bed takes more; the path, which gets none, raises what the beds must bring.
    expect(small).toBeLessThan(large);
    expect(amount).toBeGreaterThan(small);
  });
  it('is not sought for what lays nothing, or without a plan', () => {
    expect(yearsAmount({ ...asked, plan: 'gone' })).toBeNull();
    expect(yearsAmount({ ...asked, act: 1 })).toBeNull();
  });
});
