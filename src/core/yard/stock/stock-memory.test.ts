import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumberFromIso, isoDateOf } from '../../ground/climate/calendar.ts';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { InputError } from '../../../refusals/input-error.ts';
import type { Lot } from '../../../records/lot.ts';
import type { BedTake, Movement } from '../../../records/movement.ts';
import { proveStock } from './prove-stock.ts';
import { runStock, type StockBooks } from './run-stock.ts';
import { emptyMemory, type StockMemory } from './stock-memory.ts';

const START = dayNumberFromIso('2025-01-10', []);
const LOT_IDS = ['a', 'b', 'c', 'd'] as const;
const LOTS = LOT_IDS.map((id, i): Lot => ({
  id,
  name: id,
  form: 'heap',
  keeping: 'open',
  isTurned: i === 0,
  isHot: i < 2,
}));

const drawn = fc.record({
  kind: fc.constantFrom(
    'receive',
    'move',
    'takeOut',
    'water',
    'stocktake',
    'reading',
    'keep',
    'make',
    'burn',
    'bed',
    'plan',
  ),
  after: fc.integer({ min: 0, max: 200 }),
  kg: fc.integer({ min: 1, max: 12 }),
  from: fc.constantFrom(...LOT_IDS),
  to: fc.constantFrom(...LOT_IDS),
});
type Drawn = typeof drawn extends fc.Arbitrary<infer One> ? One : never;

/** A posting as it was drawn; those that say nothing are left out. */
function posting({ kind, after, kg, from, to }: Drawn, i: number): Movement | BedTake | null {
  const date = isoDateOf(START + 1 + after);
  const common = { id: `m${i}`, state: 'laid', date, lotId: from } as const;
  const amount = { amount: kg, unit: 'kg' } as const;
  const unmeasured = { moistureFractionWetBasis: null, bulkDensityKgPerM3: null };
  switch (kind) {
    case 'receive':
      return {
        ...common,
        ...amount,
        ...unmeasured,
        type: kind,
        materialId: 'grass_clippings',
        seasonedMonths: 0,
      };
    case 'move':
      return from === to ? null : { ...common, ...amount, type: kind, toLotId: to };
    case 'takeOut':
      return { ...common, ...amount, type: kind, reason: 'used' };
    case 'water':
      return { ...common, type: kind, waterL: kg };
    case 'stocktake':
      return { ...common, type: kind, amount: 300 + kg, unit: 'kg' };
    case 'reading':
      return {
        ...common,
        ...unmeasured,
        type: kind,
        temperatureC: 40 + kg,
        carbonFractionDryBasis: null,
        nitrogenFractionDryBasis: null,
      };
    case 'keep':
      return { ...common, type: kind, keeping: 'covered', isTurned: true, isHot: false };
    case 'make':
      return from === to
        ? null
        : {
            ...common,
            type: kind,
            ingredients: [
              { lotId: to, materialId: null, ...amount },
              { lotId: null, materialId: 'cattle_fym', ...amount },
            ],
            waterL: 1,
            isLayered: false,
          };
    case 'burn':
      return from === to
        ? null
        : {
            ...common,
            type: kind,
            lotId: to,
            feedstock: [{ lotId: from, materialId: null, ...amount }],
            charTemperature: 'medium',
            yield: null,
            unburntShare: 0.3,
            unburntToLotId: LOT_IDS[(LOT_IDS.indexOf(to) + 1) % LOT_IDS.length],
          };
    case 'bed':
    case 'plan':
      return {
        ...amount,
        entryId: `e${i}`,
        bedId: 'bed',
        areaM2: 4,
        state: kind === 'plan' ? 'planned' : 'laid',
        date,
        lotId: from,
      };
  }
}

const filled: Movement[] = LOT_IDS.map((lotId, i) => ({
  id: `in ${lotId}`,
  type: 'receive',
  state: 'laid',
  date: isoDateOf(START),
  lotId,
  materialId: ['chips_inleaf', 'layer_manure', 'compost_garden', 'biochar_raw'][i],
  amount: 500,
  unit: 'kg',
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  seasonedMonths: 0,
}));

function booksOf(all: readonly Drawn[]): StockBooks {
  const postings = all.flatMap((one, i) => posting(one, i) ?? []);
  return {
    site: { climate: CLIMATE_PATTERNS[1], depositionGPerM2Year: 1 },
    lots: LOTS,
    movements: [...filled, ...postings.filter((one): one is Movement => 'id' in one)],
    takes: postings.filter((one): one is BedTake => 'entryId' in one),
  };
}

const DAYS = 260;
const FEWER_DAYS = 120;
const run = (books: StockBooks, withPlans: boolean, memory?: StockMemory, days = DAYS) =>
  runStock(books, findLibraryMaterial, { until: START + days, withPlans, ...(memory ? { memory } : {}) });

/** A posting more, another one in its place, or one less. */
const drawnChange = fc.record({
  kind: fc.constantFrom('add', 'replace', 'remove'),
  at: fc.nat(30),
  by: drawn,
});
type Change = typeof drawnChange extends fc.Arbitrary<infer One> ? One : never;

function changed(all: readonly Drawn[], { kind, at, by }: Change): Drawn[] {
  const place = at % Math.max(1, all.length);
  return kind === 'add' ? [...all, by] : all.toSpliced(place, 1, ...(kind === 'replace' ? [by] : []));
}

describe('a stock that remembers', () => {
  it('comes to the same, to the last digit, as one run from its first day, whatever is changed', () => {
    fc.assert(
      fc.property(
        fc.array(drawn, { maxLength: 14 }),
        fc.array(drawnChange, { minLength: 1, maxLength: 4 }),
        (first, changes) => {
          const memory = emptyMemory();
          let all: readonly Drawn[] = first;
          for (const change of [null, ...changes]) {
            if (change) all = changed(all, change);
            const books = booksOf(all);
            for (const withPlans of [false, true]) {
              expect(run(books, withPlans, memory)).toEqual(run(books, withPlans));
            }
            expect(run(books, false, memory, FEWER_DAYS)).toEqual(run(books, false, undefined, FEWER_DAYS));
          }
        },
      ),
      { numRuns: 30, seed: 5 },
    );
  });

  it('works out only what a posting touches, and what comes of it', () => {
    const all: Drawn[] = [
      { kind: 'takeOut', after: 10, kg: 5, from: 'a', to: 'a' },
      { kind: 'takeOut', after: 20, kg: 5, from: 'b', to: 'a' },
      { kind: 'move', after: 30, kg: 5, from: 'b', to: 'c' },
      { kind: 'takeOut', after: 40, kg: 5, from: 'c', to: 'a' },
      { kind: 'takeOut', after: 50, kg: 5, from: 'd', to: 'a' },
    ];
    const memory = emptyMemory();
    run(booksOf(all), true, memory);
    const before = memory.steps.size;
    run(booksOf(all), true, memory);
    expect(memory.steps.size).toBe(before);
    run(booksOf([...all, { kind: 'water', after: 25, kg: 3, from: 'b', to: 'a' }]), true, memory);
    // The watering, the moving that follows it, the taking from where that went, and the two piles to their end.
    expect(memory.steps.size).toBe(before + 5);
  });

  it('refuses in strict books what it has only seen as a plan', () => {
    const books = booksOf([{ kind: 'bed', after: 20, kg: 12, from: 'a', to: 'a' }]);
    const more = { ...books, takes: books.takes.map((take) => ({ ...take, amount: 5000 })) };
    const memory = emptyMemory();
    expect(
      run(more, true, memory)
        .lots.get('a')!
        .lines.some(({ missingL }) => missingL > 0),
    ).toBe(true);
    expect(() => run(more, false, memory)).toThrow(InputError);
    expect(() => proveStock(more, findLibraryMaterial, memory)).toThrow(InputError);
  });

  it('forgets what has long been of no use', () => {
    const memory = emptyMemory();
    run(booksOf([{ kind: 'water', after: 5, kg: 3, from: 'a', to: 'a' }]), true, memory);
    const whole = memory.steps.size;
    for (let i = 0; i < 20; i++) run(booksOf([]), true, memory);
    expect(memory.steps.size).toBe(whole - 2 + 1);
  });
});
