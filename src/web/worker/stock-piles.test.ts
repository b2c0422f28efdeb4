import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD } from '../../../tests/fixtures/books.ts';
import type { Lot } from '../../records/lot.ts';
import type { Movement } from '../../records/movement.ts';
import { stockPiles } from './stock-answers.ts';

const TODAY = '2026-05-14';
const lot = (id: string, change: Partial<Lot> = {}): Lot => ({
  id,
  name: id,
  form: 'pile',
  keeping: 'covered',
  isTurned: false,
  isHot: false,
  ...change,
});
let serial = 0;
const received = (lotId: string, materialId: string, litres: number, change: object = {}): Movement => ({
  id: `m${(serial += 1)}`,
  type: 'receive',
  state: 'laid',
  date: '2026-04-20',
  lotId,
  materialId,
  amount: litres,
  unit: 'litre',
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  seasonedMonths: 0,
  ...change,
});
const made = (lotId: string, parts: readonly (readonly [string, number])[], date: string): Movement => ({
  id: `m${(serial += 1)}`,
  type: 'make',
  state: 'laid',
  date,
  lotId,
  ingredients: parts.map(([materialId, amount]) => ({ lotId: null, materialId, amount, unit: 'litre' })),
  waterL: 0,
  isLayered: false,
});
const HEAP = [
  ['grass_clippings', 600],
  ['chips_branch', 300],
  ['cattle_fym', 300],
] as const;

const pilesOf = (lots: Lot[], movements: Movement[], reserves: Record<string, number> = {}) =>
  stockPiles(
    {
      today: TODAY,
      records: {
        garden: { ...GARDEN, climate: MILD },
        beds: [bedOf()],
        entries: [],
        crops: [],
        plantings: [],
        materials: [],
        labResults: [],
        lots,
        movements,
        journal: [],
      },
    },
    reserves,
  );

describe('what of the stock can be shared out', () => {
  it('is what is free: the reserve stays', () => {
    const [pile] = pilesOf([lot('chips')], [received('chips', 'chips_branch', 800)], { chips: 300 });
    expect(pile).toMatchObject({ id: 'chips', kind: 'wood', isLogs: false, comingL: 0 });
    expect(pile.freeL).toBeGreaterThan(400);
    expect(pile.freeL).toBeLessThanOrEqual(500);
  });
  it('what is to arrive within half a year is coming, what arrives later is not', () => {
    const movements = [
      received('chips', 'chips_branch', 800),
      received('chips', 'chips_branch', 500, { state: 'planned', date: '2026-09-01' }),
      received('chips', 'chips_branch', 900, { state: 'planned', date: '2027-03-01' }),
    ];
    expect(pilesOf([lot('chips')], movements)[0]?.comingL).toBeCloseTo(500, 0);
  });
  it('an empty place to which something is coming is a pile already', () => {
    const planned = received('chips', 'chips_branch', 500, { state: 'planned', date: '2026-06-01' });
    expect(pilesOf([lot('chips')], [planned])).toMatchObject([{ id: 'chips', kind: 'wood', freeL: 0 }]);
    expect(pilesOf([lot('nothing')], [])).toEqual([]);
  });
  it('logs and raw char are known for what they are; charged char may be laid', () => {
    const piles = pilesOf(
      [lot('logs'), lot('raw'), lot('charged')],
      [
        received('logs', 'log_wood', 300),
        received('raw', 'biochar_raw', 100),
        received('charged', 'biochar_charged', 100),
      ],
    );
    const of = (id: string) => piles.find((pile) => pile.id === id);
    expect(of('logs')?.isLogs).toBe(true);
    expect(of('raw')?.isRawChar).toBe(true);
    expect(of('charged')?.isRawChar).toBe(false);
  });
  it('a heap at work is left alone, and given away when it has become compost', () => {
    const hot = { isHot: true, isTurned: true };
    const fresh = pilesOf([lot('heap', hot)], [made('heap', HEAP, '2026-05-01')]);
    for (const pile of fresh) expect(pile.freeL).toBe(0);
    const old = pilesOf([lot('heap', hot)], [made('heap', HEAP, '2023-05-01')]);
    expect(old).toMatchObject([{ id: 'heap', kind: 'compost' }]);
    expect(old[0].freeL).toBeGreaterThan(50);
  });
});
