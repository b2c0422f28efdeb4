import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, NO_STOCK, plantingOf } from '../../../../tests/fixtures/books.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { BedStatus } from '../../../core/bed/plan/bed-plan.ts';
import type { LockUpWindow } from '../../../core/bed/advice/lock-up.ts';
import { BED_ORDERS, inBedOrder, type BedOrder } from './bed-order.ts';
import type { BriefedBed } from './use-bed-briefs.ts';

const briefed = (
  name: string,
  status: BedStatus,
  nitrogenG: number,
  halfBackDay: number | null | undefined,
  trendPct: number,
): BriefedBed => ({
  bed: bedOf({ id: name, name }),
  refusal: undefined,
  brief: {
    standing: {
      status,
      root: null,
      contact: halfBackDay === undefined ? null : ({ halfBackDay } as LockUpWindow),
      doses: null,
    },
    now: { availableContactG: nitrogenG, availableRootG: 0, organicMatterPct: 4 },
    organicMatterNextYearPct: 4 + trendPct,
  } as unknown as BriefedBed['brief'],
});
const waiting: BriefedBed = {
  bed: bedOf({ id: 'Waiting', name: 'Waiting' }),
  brief: undefined,
  refusal: undefined,
};
const BEDS = [
  waiting,
  briefed('Fed', 'fed', 5, undefined, 0.2),
  briefed('Short', 'short', 1, 800_000, -0.1),
  briefed('Held', 'held', 3, null, 0.4),
];
const books: GardenBooks = {
  today: '2026-05-14',
  garden: { ...GARDEN, version: 1, createdAt: '', updatedAt: '' },
  beds: BEDS.map(({ bed }) => bed),
  entries: [],
  crops: [],
  plantings: [
    plantingOf({ id: 'late', bedId: 'Fed', state: 'planned', plantedOn: '2026-09-01', clearedOn: null }),
    plantingOf({ id: 'soon', bedId: 'Held', state: 'planned', plantedOn: '2026-06-01', clearedOn: null }),
  ],
  materials: [],
  buildUps: [],
  recipes: [],
  ...NO_STOCK,
};
const names = (order: BedOrder, isReversed = false) =>
  inBedOrder({ briefed: BEDS, order, isReversed, books }).map(({ bed }) => bed.name);

describe('beds in order', () => {
  it('stand by who needs attention, what is not known yet last', () => {
    expect(names('attention')).toEqual(['Short', 'Held', 'Fed', 'Waiting']);
  });
  it('stand by name, least nitrogen, longest lock-up, next act and falling humus', () => {
    expect(names('name')).toEqual(['Fed', 'Held', 'Short', 'Waiting']);
    expect(names('nitrogen')).toEqual(['Short', 'Held', 'Fed', 'Waiting']);
    expect(names('lockUp')).toEqual(['Held', 'Short', 'Fed', 'Waiting']);
    expect(names('next').slice(0, 2)).toEqual(['Held', 'Fed']);
    expect(names('organicMatter')).toEqual(['Short', 'Fed', 'Held', 'Waiting']);
  });
  it.each(BED_ORDERS)('turn round: %s', (order) => {
    expect(names(order, true)).toEqual([...names(order)].reverse());
  });
});
