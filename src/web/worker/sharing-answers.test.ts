import { expect, it } from 'vitest';
import { bedOf, GARDEN, NO_STOCK } from '../../../tests/fixtures/books.ts';
import type { GardenRecords } from '../../core/bed/index.ts';
import { sharingProblem, type SharingAsked } from './sharing-answers.ts';

const records = {
  ...NO_STOCK,
  garden: GARDEN,
  beds: [bedOf({ id: 'bed', areaM2: 4, organicMatterPct: 2 })],
  entries: [],
  crops: [],
  plantings: [],
  materials: [],
  lots: [{ id: 'pile', name: 'Pile', form: 'pile', keeping: 'covered', isTurned: false, isHot: false }],
  movements: [
    {
      id: 'came',
      type: 'receive',
      state: 'laid',
      date: '2026-04-20',
      lotId: 'pile',
      materialId: 'compost_yard',
      amount: 600,
      unit: 'litre',
      moistureFractionWetBasis: null,
      bulkDensityKgPerM3: null,
      seasonedMonths: 0,
    },
  ],
} as unknown as GardenRecords;
const ASKED: SharingAsked = {
  question: { records, today: '2026-05-14' },
  reserves: {},
  aimOrganicMatterPct: 4,
  fixed: [],
  carrier: { barrowL: 85, bucketL: 10 },
};

it('a choice of one’s own changes nothing of what piles do on beds, and what is kept back does', () => {
  const free = sharingProblem(ASKED);
  expect(free.piles).toHaveLength(1);
  expect(free.gains.length).toBeGreaterThan(0);
  const fixed = [{ pileId: 'pile', bedId: 'bed', season: 'now' as const, litres: 40 }];
  expect(sharingProblem({ ...ASKED, fixed })).toEqual({ ...free, fixed });
  const carrier = { barrowL: 100, bucketL: 12 };
  expect(sharingProblem({ ...ASKED, carrier })).toEqual({ ...free, carrier });
  const kept = sharingProblem({ ...ASKED, reserves: { pile: 500 } });
  expect(kept.piles[0].thereL.now).toBeLessThan(free.piles[0].thereL.now - 400);
  expect(sharingProblem({ ...ASKED, aimOrganicMatterPct: 9 }).beds).not.toEqual(free.beds);
  expect(sharingProblem(ASKED)).toEqual(free);
});
