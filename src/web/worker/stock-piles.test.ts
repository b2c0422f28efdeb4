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
    expect(pile).toMatchObject({ id: 'chips', kind: 'wood', isLogs: false });
    expect(pile.thereL.now).toBeGreaterThan(400);
    expect(pile.thereL.now).toBeLessThanOrEqual(500);
    expect(pile.thereL.yearAndHalf).toBe(pile.thereL.now);
  });
  it('what is to arrive is there from the season after it has come; what comes after the last season is not', () => {
    const movements = [
      received('chips', 'chips_branch', 800),
      received('chips', 'chips_branch', 500, { state: 'planned', date: '2026-09-01' }),
      received('chips', 'chips_branch', 900, { state: 'planned', date: '2028-03-01' }),
    ];
    const { thereL } = pilesOf([lot('chips')], movements)[0];
    expect(thereL.halfYear - thereL.now).toBeCloseTo(500, 0);
    expect(thereL.yearAndHalf).toBe(thereL.halfYear);
  });
  it('a pile shrinks from season to season, and is told to', () => {
    const { keptShare } = pilesOf([lot('leaves')], [received('leaves', 'leaves_mixed', 800)])[0];
    expect(keptShare.now).toBe(1);
    expect(keptShare.halfYear).toBeLessThan(1);
    expect(keptShare.yearAndHalf).toBeLessThan(keptShare.halfYear);
  });
  it('an empty place to which something is coming is a pile already', () => {
    const planned = received('chips', 'chips_branch', 500, { state: 'planned', date: '2026-06-01' });
    expect(pilesOf([lot('chips')], [planned])).toMatchObject([
      { id: 'chips', kind: 'wood', thereL: { now: 0 } },
    ]);
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
    for (const pile of fresh) expect(pile.thereL.now).toBe(0);
    const old = pilesOf([lot('heap', hot)], [made('heap', HEAP, '2023-05-01')]);
    expect(old).toMatchObject([{ id: 'heap', kind: 'compost' }]);
    expect(old[0].thereL.now).toBeGreaterThan(50);
  });
});
