import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { defaultParameters } from '../../model/simulation/parameters.ts';
import { runPile } from '../../model/simulation/pile.ts';
import { lockUpPower } from './lock-up-power.ts';
import { figuresOf, openingOfContents } from './lot-figures.ts';
import { runStock, type LotHistory, type StockBooks, type StockRun } from './run-stock.ts';
import type { BedTake, Movement } from '../../../records/movement.ts';
import type { Lot } from '../../../records/lot.ts';

const CLIMATE = CLIMATE_PATTERNS[1];
const DAY = (iso: string) => dayNumberFromIso(iso, ['date']);
const lot = (id: string, changes: Partial<Lot> = {}): Lot => ({
  id,
  name: `the ${id}`,
  form: 'pile',
  keeping: 'covered',
  isTurned: false,
  isHot: false,
  ...changes,
});

type Draft<T> = T extends unknown
  ? Omit<T, 'id' | 'state'> & { id?: string; state?: 'laid' | 'planned' }
  : never;
let serial = 0;
const moved = (draft: Draft<Movement>): Movement => ({
  id: `m${(serial += 1)}`,
  state: 'laid',
  ...draft,
});
const received = (lotId: string, materialId: string, amount: number, more: object = {}): Movement =>
  moved({
    type: 'receive',
    date: '2026-01-10',
    lotId,
    materialId,
    amount,
    unit: 'kg',
    moistureFractionWetBasis: null,
    bulkDensityKgPerM3: null,
    seasonedMonths: 0,
    ...more,
  });
const take = (lotId: string, amount: number, changes: Partial<BedTake> = {}): BedTake => ({
  entryId: 'e1',
  bedId: 'b1',
  areaM2: 4,
  state: 'laid',
  date: '2026-03-01',
  lotId,
  amount,
  unit: 'kg',
  ...changes,
});

const run = (books: Partial<StockBooks>, until = '2026-06-01', withPlans = false): StockRun =>
  runStock(
    {
      site: { climate: CLIMATE, depositionGPerM2Year: 0 },
      lots: [lot('a'), lot('b')],
      movements: [],
      takes: [],
      ...books,
    },
    findLibraryMaterial,
    { until: DAY(until), withPlans },
  );
const ended = (stock: StockRun, lotId = 'a'): LotHistory => stock.lots.get(lotId)!;
const refused = (books: Partial<StockBooks>): string => refusalOf(() => run(books));

describe('a pile in stock', () => {
  it('ages as the pile mode of the model does', () => {
    const aged = ended(run({ movements: [received('a', 'chips_mixed', 100)] }, '2027-01-10'));
    const alone = runPile(
      {
        id: 'x',
        startDay: DAY('2026-01-10'),
        endDay: DAY('2027-01-10'),
        mix: [{ material: findLibraryMaterial('chips_mixed')!, massFreshKg: 100 }],
        isTurned: false,
        isHot: false,
        moistureFactor: 1,
        stepsPerDay: 2,
      },
      CLIMATE,
      defaultParameters,
    );
    const { carbonKg, carbonToNitrogen, dryKg } = figuresOf(aged.contents);
    // But for nitrate, which no longer escapes from a lot: a trace where wood is all that rots.
    expect((carbonKg * 1000) / alone.carbonLeftG).toBeCloseTo(1, 5);
    expect(carbonToNitrogen! / alone.carbonToNitrogen).toBeCloseTo(1, 5);
    expect((dryKg * 1000) / alone.dryMassG).toBeCloseTo(1, 5);
  });

  it('holds on arrival what was measured', () => {
    const arrived = ended(
      run(
        {
          movements: [
            received('a', 'chips_branch', 10, {
              unit: 'barrow85L',
              moistureFractionWetBasis: 0.6,
              bulkDensityKgPerM3: 400,
              seasonedMonths: 6,
            }),
          ],
        },
        '2026-01-10',
      ),
    );
    expect(arrived.openedOn).toBeNull();
    const next = ended(
      run(
        {
          movements: [
            received('a', 'chips_branch', 10, {
              unit: 'barrow85L',
              moistureFractionWetBasis: 0.6,
              bulkDensityKgPerM3: 400,
              seasonedMonths: 6,
            }),
          ],
        },
        '2026-01-11',
      ),
    );
    const [line] = next.lines;
    expect(line.volumeL).toBeCloseTo(850, 9);
    expect(line.freshKg).toBeCloseTo(340, 9);
    expect(line.balance.moistureFractionWetBasis).toBeCloseTo(0.6, 12);
    expect(line.balance.carbonToNitrogen).toBeLessThan(50);
  });

  it('loses lock-up power with age, the sooner the warmer and moister', () => {
    const after = (changes: Partial<Lot>) =>
      lockUpPower(
        ended(
          run({ lots: [lot('a', changes)], movements: [received('a', 'chips_mixed', 100)] }, '2027-01-10'),
        ).contents,
      ).peakLockGPerKgDry;
    const fresh = lockUpPower(
      ended(run({ movements: [received('a', 'chips_mixed', 100)] }, '2026-01-11')).contents,
    ).peakLockGPerKgDry;
    expect(after({ isTurned: true })).toBeLessThan(after({}));
    expect(after({})).toBeLessThan(fresh * 0.7);
    expect(after({ keeping: 'roofed' })).toBeGreaterThan(after({}));
  });

  it('is warmer where a probe says so', () => {
    const probe = (date: string, temperatureC: number) =>
      moved({
        type: 'reading',
        date,
        lotId: 'a',
        temperatureC,
        moistureFractionWetBasis: null,
        bulkDensityKgPerM3: null,
        carbonFractionDryBasis: null,
        nitrogenFractionDryBasis: null,
      });
    const left = (readings: Movement[]) =>
      figuresOf(
        ended(run({ movements: [received('a', 'chips_mixed', 100), ...readings] }, '2026-03-01')).contents,
      ).carbonKg;
    expect(left([probe('2026-01-12', 58), probe('2026-01-25', 50)])).toBeLessThan(left([]) - 0.5);
  });
});

describe('movements of the stock', () => {
  it('give a bed exactly what leaves the pile', () => {
    const stock = run({
      movements: [received('a', 'chips_mixed', 100)],
      takes: [take('a', 3, { unit: 'cm' })],
    });
    const line = ended(stock).lines.find(({ cause }) => cause.type === 'bed')!;
    const taken = stock.taken.get('e1')!;
    const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
    expect(line.volumeL).toBeCloseTo(-120, 9);
    const opening = openingOfContents(taken.contents, defaultParameters);
    expect(sum(opening.carbonG)).toBeCloseTo(-line.carbonG, 9);
    expect(sum(opening.nitrogenG) + opening.ammoniumG + opening.nitrateG).toBeCloseTo(-line.nitrogenG, 9);
    expect(taken.massFreshKg).toBeCloseTo(-line.freshKg, 9);
  });

  it('merge, split, wet and correct', () => {
    const stock = run({
      movements: [
        received('a', 'chips_mixed', 100),
        received('b', 'grass_clippings', 50),
        moved({ type: 'move', date: '2026-01-20', lotId: 'b', toLotId: 'a', amount: 20, unit: 'kg' }),
        moved({ type: 'water', date: '2026-01-21', lotId: 'a', waterL: 10 }),
        moved({ type: 'stocktake', date: '2026-02-01', lotId: 'a', amount: 60, unit: 'kg' }),
        moved({ type: 'takeOut', date: '2026-02-02', lotId: 'a', amount: 10, unit: 'kg', reason: 'given' }),
      ],
    });
    const a = ended(stock);
    expect(new Set(a.contents.cohorts.map(({ materialId }) => materialId))).toEqual(
      new Set(['chips_mixed', 'grass_clippings']),
    );
    const byMovement = a.lines.filter(({ cause }) => cause.type === 'movement').map(({ freshKg }) => freshKg);
    expect(byMovement[1]).toBeCloseTo(20, 9);
    expect(byMovement[2]).toBeCloseTo(10, 9);
    expect(byMovement[4]).toBeCloseTo(-10, 9);
  });

  it('make a heap of what is in stock and what is bought', () => {
    const stock = run({
      movements: [
        received('a', 'chips_mixed', 100),
        moved({
          type: 'make',
          date: '2026-02-01',
          lotId: 'b',
          ingredients: [
            { lotId: 'a', materialId: null, amount: 100, unit: 'litre' },
            { lotId: null, materialId: 'feather_meal', amount: 2, unit: 'kg' },
          ],
          waterL: 15,
          isLayered: false,
        }),
      ],
    });
    const heap = ended(stock, 'b').lines[0];
    expect(heap.volumeL).toBeCloseTo(100 + 2 / 0.48, 6);
    expect(heap.balance.carbonToNitrogen).toBeLessThan(30);
  });

  it('take a laboratory at its word and post the difference', () => {
    const stock = run({
      movements: [
        received('a', 'horse_bedding', 100),
        moved({
          type: 'reading',
          date: '2026-01-10',
          lotId: 'a',
          temperatureC: null,
          moistureFractionWetBasis: 0.5,
          bulkDensityKgPerM3: 420,
          carbonFractionDryBasis: 0.4,
          nitrogenFractionDryBasis: 0.02,
        }),
      ],
    });
    const { balance } = ended(stock).lines[1];
    expect(balance.carbonToNitrogen).toBeCloseTo(20, 9);
    expect(balance.moistureFractionWetBasis).toBeCloseTo(0.5, 12);
    expect(balance.bulkDensityKgPerM3).toBeCloseTo(420, 9);
  });

  it('charge char with the nitrogen around it, up to what it holds', () => {
    const stock = run(
      {
        movements: [
          received('a', 'biochar_raw', 20),
          moved({
            type: 'make',
            date: '2026-01-10',
            lotId: 'b',
            ingredients: [
              { lotId: 'a', materialId: null, amount: 20, unit: 'kg' },
              { lotId: null, materialId: 'urine', amount: 20, unit: 'litre' },
            ],
            waterL: 0,
            isLayered: false,
          }),
        ],
      },
      '2026-02-10',
    );
    const { charHeldNitrogenG } = figuresOf(ended(stock, 'b').contents);
    const capacityG = 20 * 0.7 * 2;
    expect(charHeldNitrogenG).toBeGreaterThan(capacityG * 0.2);
    expect(charHeldNitrogenG).toBeLessThan(capacityG);
  });

  it('burn wood to char within its dry mass', () => {
    const fire = (amount: number, unburntShare = 0) =>
      run({
        movements: [
          received('a', 'log_wood', 100),
          moved({
            type: 'burn',
            date: '2026-02-01',
            feedstock: [{ lotId: 'a', materialId: null, amount: 50, unit: 'kg' }],
            charTemperature: 'medium',
            lotId: 'b',
            yield: { amount, unit: 'kg', moistureFractionWetBasis: 0.4 },
            unburntShare,
          }),
        ],
      });
    const char = ended(fire(10), 'b').lines[0];
    expect(char.dryKg).toBeCloseTo(6, 9);
    expect(char.carbonG).toBeCloseTo(6000 * 0.77, 6);
    expect(refusalOf(() => fire(60))).toMatch(/yield\.amount is more than went in/);
    const withBrands = ended(fire(5, 0.2)).lines.filter(({ cause }) => cause.type === 'movement');
    expect(withBrands[2].dryKg).toBeCloseTo(-withBrands[1].dryKg * 0.2, 9);
  });
});

describe('what cannot be', () => {
  const chips = received('a', 'chips_mixed', 100);
  const cases: [string, Partial<StockBooks>, RegExp][] = [
    [
      'more than is there',
      { movements: [chips], takes: [take('a', 2000)] },
      /^takes\.0\.amount is more than is in stock.*Is the unit right/,
    ],
    [
      'a pile that came later',
      { movements: [chips], takes: [take('a', 1, { date: '2025-12-01' })] },
      /came later/,
    ],
    ['a pile nobody has', { takes: [take('nowhere', 1)] }, /^takes\.0\.lotId /],
    [
      'moisture of 110 %',
      { movements: [received('a', 'chips_mixed', 1, { moistureFractionWetBasis: 110 })] },
      /moistureFractionWetBasis /,
    ],
    [
      'moisture in percent',
      { movements: [received('a', 'chips_mixed', 1, { moistureFractionWetBasis: 45 })] },
      /did you mean 45 %/,
    ],
    [
      'a mix of nothing',
      {
        movements: [
          moved({
            type: 'make',
            date: '2026-02-01',
            lotId: 'a',
            ingredients: [],
            waterL: 0,
            isLayered: false,
          }),
        ],
      },
      /mix of nothing/,
    ],
    [
      'a heap made of itself',
      {
        movements: [
          chips,
          moved({ type: 'move', date: '2026-02-01', lotId: 'a', toLotId: 'a', amount: 1, unit: 'kg' }),
        ],
      },
      /another pile/,
    ],
  ];
  it.each(cases)('%s is refused', (_, books, sentence) => {
    expect(refused(books)).toMatch(sentence);
  });
});

describe('wood that did not char', () => {
  const fire = (lotId: string | null, more: object = {}): Movement => {
    const wood = { amount: 20, unit: 'kg' as const };
    return moved({
      type: 'burn',
      date: '2026-02-01',
      lotId: 'a',
      feedstock: [
        lotId === null ? { lotId, materialId: 'log_wood', ...wood } : { lotId, materialId: null, ...wood },
      ],
      charTemperature: 'medium',
      yield: null,
      unburntShare: 0.25,
      log: { dryness: 'dry' },
      ...more,
    });
  };
  const piles = [lot('a'), lot('b'), lot('c')];
  const wood = received('b', 'log_wood', 100);
  /** What came to a pile or left it with the fire, kg. */
  const posted = (burn: Movement, lotId: string): number[] =>
    ended(run({ lots: piles, movements: [wood, burn] }), lotId)
      .lines.filter(({ cause }) => cause.type === 'movement' && cause.movementId === burn.id)
      .map(({ freshKg }) => Number(freshKg.toFixed(6)));

  it('goes back to the pile of the first load, or to the pile it is put on', () => {
    expect(posted(fire('b'), 'b')).toEqual([-20, 5]);
    const aside = fire('b', { unburntToLotId: 'c' });
    expect([posted(aside, 'b'), posted(aside, 'c')]).toEqual([[-20], [5]]);
  });

  it('from outside comes into the books with the pile it is put on, and stays out of them without', () => {
    expect(posted(fire(null, { unburntToLotId: 'c' }), 'c')).toEqual([5]);
    expect(piles.flatMap(({ id }) => posted(fire(null), id))).toEqual([]);
  });

  it('never lies among the char, nor on a pile that is not there', () => {
    const why = (unburntToLotId: string) => refused({ movements: [fire(null, { unburntToLotId })] });
    expect(why('a')).toMatch(/unburntToLotId must be another pile than that of the char/);
    expect(why('nowhere')).toMatch(/unburntToLotId names no/);
  });
});

describe('wood burnt from outside', () => {
  const burnt = (dryness: 'dry' | 'halfDry' | 'green' | null, unit: 'kg' | 'litre') => {
    const burn = moved({
      type: 'burn',
      date: '2026-02-01',
      lotId: 'a',
      feedstock: [{ lotId: null, materialId: 'log_wood', amount: 100, unit }],
      charTemperature: 'medium',
      yield: null,
      unburntShare: 0,
      log: { dryness },
    });
    return run({ movements: [burn] }).burnt.get(burn.id)!.dryWoodKg;
  };
  it('weighs dry what its dryness says, by the scale; by volume it holds the same wood however wet it is', () => {
    expect(burnt('dry', 'kg')).toBeCloseTo(83, 6);
    expect(burnt('halfDry', 'kg')).toBeCloseTo(67, 6);
    expect(burnt('green', 'kg')).toBeCloseTo(50, 6);
    expect(burnt('green', 'litre')).toBeCloseTo(burnt('dry', 'litre'), 6);
  });
});

describe('plans', () => {
  const movements = [received('a', 'chips_mixed', 100)];
  const planned = take('a', 80, { entryId: 'later', state: 'planned', date: '2026-04-01' });
  it('wait until they are counted', () => {
    expect(run({ movements, takes: [planned] }).taken.has('later')).toBe(false);
    const stock = run({ movements, takes: [planned] }, '2026-06-01', true);
    expect(stock.taken.get('later')!.massFreshKg).toBeCloseTo(80, 9);
  });
  it('that ask for more than there will be are noted as short', () => {
    const stock = run({ movements, takes: [planned, { ...planned, entryId: 'more' }] }, '2026-06-01', true);
    expect(stock.taken.get('more')!.massFreshKg).toBeCloseTo(80, 9);
    const line = ended(stock).lines.at(-1)!;
    expect(line.missingL).toBeGreaterThan(150);
    expect(line.balance.freshKg).toBe(0);
  });
});

describe('the account of a lot', () => {
  const anyMovement = fc.record({
    kind: fc.constantFrom('move', 'takeOut', 'water', 'stocktake', 'receive', 'take'),
    day: fc.integer({ min: 11, max: 28 }),
    kg: fc.double({ min: 0.5, max: 9, noNaN: true }),
    from: fc.constantFrom('a', 'b'),
  });
  it('balances to 1e-9 whatever is done', () => {
    fc.assert(
      fc.property(fc.array(anyMovement, { maxLength: 8 }), (steps) => {
        const takes: BedTake[] = [];
        const movements = [received('a', 'chips_inleaf', 200), received('b', 'layer_manure', 200)];
        steps.forEach(({ kind, day, kg, from }, i) => {
          const date = `2026-02-${day}`;
          if (kind === 'take') takes.push(take(from, kg, { entryId: `e${i}`, date }));
          else if (kind === 'receive') movements.push(received(from, 'straw_cereal', kg, { date }));
          else if (kind === 'water') movements.push(moved({ type: 'water', date, lotId: from, waterL: kg }));
          else if (kind === 'stocktake')
            movements.push(moved({ type: 'stocktake', date, lotId: from, amount: 100 + kg, unit: 'kg' }));
          else if (kind === 'takeOut')
            movements.push(
              moved({ type: 'takeOut', date, lotId: from, amount: kg, unit: 'kg', reason: 'sold' }),
            );
          else {
            const toLotId = from === 'a' ? 'b' : 'a';
            movements.push(moved({ type: 'move', date, lotId: from, toLotId, amount: kg, unit: 'kg' }));
          }
        });
        const stock = run({ movements, takes }, '2026-04-01');
        for (const { balanceError } of stock.lots.values()) expect(balanceError).toBeLessThan(1e-9);
      }),
      { numRuns: 40 },
    );
  });
});
