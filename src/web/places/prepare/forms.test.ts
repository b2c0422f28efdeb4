import { describe, expect, it } from 'vitest';
import { findLibraryMaterial } from '../../../core/ground/materials/library.ts';
import { NOTHING_TYPED, readerOf, retyped } from '../../ui/forms/typed-quantity.ts';
import {
  blankBurn,
  burnFormOf,
  burnPosting,
  isTicked,
  NEW_PILE,
  pilesBegun,
  withStep,
  type BurnRecord,
} from './burn-form.ts';
import {
  aimsOf,
  batchPosting,
  ingredientsOf,
  newRow,
  partsAsMeasured,
  partsOf,
  problemOf,
  scaledBy,
  waterL,
  withLitres,
  withMore,
  type BenchForm,
  type Mixable,
} from './mix-form.ts';

const METRIC = readerOf('metric');
const typed = (text: string) => retyped(NOTHING_TYPED, text);

const mixable = (source: string, id: string, thereL: number | null): [string, Mixable] => [
  source,
  { source, name: id, materialId: id, material: findLibraryMaterial(id)!, thereL },
];
const KNOWN = new Map([
  mixable('lot:heap', 'chips_mixed', 400),
  mixable('material:grass_clippings', 'grass_clippings', null),
]);
const chips = newRow('lot:heap', 'bucket10L', '5');
const grass = { ...newRow('material:grass_clippings', 'bucket10L', ''), isFree: true };
const FORM: BenchForm = {
  rows: [chips, grass],
  water: typed('3,5'),
  total: NOTHING_TYPED,
  densityLow: NOTHING_TYPED,
  densityHigh: NOTHING_TYPED,
  costMost: '',
  isWhole: true,
  isLayered: true,
  ...aimsOf('hotCompost'),
};

describe('the bench', () => {
  const parts = partsOf(FORM.rows, KNOWN);

  it('weighs what is typed, and takes an empty amount as nothing', () => {
    expect(parts[0]).toMatchObject({ materialId: 'chips_mixed' });
    expect(parts[0].volumeL).toBeCloseTo(50, 9);
    expect(parts[0].massFreshKg).toBeCloseTo(14, 9);
    expect(parts[1].massFreshKg).toBe(0);
    expect(partsOf([newRow('lot:gone', 'kg', '1')], KNOWN)).toEqual([]);
  });

  it('says kilograms as a ratio by weight, buckets by the bucket, and what was mixed by volume', () => {
    const of = (wood: ReturnType<typeof newRow>, cut: ReturnType<typeof newRow>) =>
      partsAsMeasured(partsOf([wood, cut], KNOWN));
    const grassOf = (unit: 'kg' | 'bucket10L', amount: string) =>
      newRow('material:grass_clippings', unit, amount);
    expect(of(newRow('lot:heap', 'kg', '10'), grassOf('kg', '3.474'))).toBe('10 : 3.47 by weight');
    expect(of(chips, grassOf('bucket10L', '2'))).toBe('5 : 2 by the bucket');
    expect(of(newRow('lot:heap', 'barrow85L', '1'), grassOf('bucket10L', '1'))).toBe('8.5 : 1 by the bucket');
  });

  it('gives the solver what is fixed, what is free, and the aims of the purpose', () => {
    const { ingredients, carbonToNitrogen, moisture, totalL } = problemOf(FORM, parts, METRIC);
    expect(ingredients[0].leastL).toBe(ingredients[0].mostL);
    expect(ingredients[0].mostL).toBeCloseTo(50, 9);
    expect(ingredients[1]).toMatchObject({ leastL: 0, mostL: Infinity, isWhole: true });
    expect(ingredients[1].measureL).toBeCloseTo(10, 9);
    expect(carbonToNitrogen).toEqual({ aim: 27.5, tolerance: 2.5 });
    expect(moisture!.aim).toBeCloseTo(0.55, 12);
    expect(totalL).toBeNull();
    expect(problemOf({ ...FORM, ratioLow: '28', ratioHigh: '' }, parts, METRIC).carbonToNitrogen).toEqual({
      aim: 28,
      tolerance: 0,
    });
    const free = partsOf([{ ...chips, isFree: true }], KNOWN);
    expect(problemOf(FORM, free, METRIC).ingredients[0].mostL).toBe(400);
  });

  it('gives the solver limits, prices, density and cost, an empty one being none', () => {
    const limited = { ...chips, isFree: true, least: '2', most: '60', price: '3' };
    const form = {
      ...FORM,
      rows: [limited],
      costMost: '40',
      densityLow: typed('250'),
      densityHigh: typed(''),
    };
    const problem = problemOf(form, partsOf(form.rows, KNOWN), METRIC);
    expect(problem.ingredients[0].leastL).toBeCloseTo(20, 9);
    expect(problem.ingredients[0].pricePerL).toBeCloseTo(0.3, 9);
    // Sixty buckets are more than lie there.
    expect(problem.ingredients[0].mostL).toBe(400);
    expect(problem).toMatchObject({ costMost: 40, bulkDensityKgPerM3: { aim: 250, tolerance: 0 } });
    expect(problemOf(FORM, parts, METRIC)).toMatchObject({ costMost: null, bulkDensityKgPerM3: null });
  });

  it('scales every amount and the water, and leaves open what is open', () => {
    const { rows, water } = scaledBy(FORM, 2, METRIC);
    expect(rows.map(({ amount }) => amount.amount)).toEqual(['10', '']);
    expect(waterL({ water }, METRIC)).toBeCloseTo(7, 9);
  });

  it('puts what would mend the mix into the row that has it, or a new one', () => {
    const more = (materialId: string) =>
      withMore(FORM, parts, { materialId, massFreshKg: 4.8, unit: 'bucket10L' }).map(
        ({ source, amount }) => `${source} ${amount.amount} ${amount.unit}`,
      );
    expect(more('grass_clippings')[0]).toBe('lot:heap 5 bucket10L');
    expect(more('grass_clippings')[1]).toMatch(/^material:grass_clippings 2(\.01)? bucket10L$/);
    expect(more('urine')[2]).toMatch(/^material:urine 0\.\d+ bucket10L$/);
  });

  it('writes what was found in the units that were typed, and leaves the rest alone', () => {
    const rows = withLitres(parts, [999, 60]);
    expect(rows.map(({ amount }) => amount.amount)).toEqual(['5', '6']);
  });

  it('becomes a heap whose ingredients come from stock or from outside', () => {
    const filled = partsOf(withLitres(parts, [50, 60]), KNOWN);
    expect(ingredientsOf(filled)).toEqual([
      { lotId: 'heap', materialId: null, amount: 5, unit: 'bucket10L' },
      { lotId: null, materialId: 'grass_clippings', amount: 6, unit: 'bucket10L' },
    ]);
    const plan = {
      lotId: 'l',
      movementId: 'm',
      name: 'Heap',
      date: '2026-06-01',
      isHot: true,
      isTurned: false,
      keeping: 'roofed' as const,
    };
    const posting = batchPosting({ plan, form: FORM, parts: filled, today: '2026-05-14', reader: METRIC });
    expect(posting.movements[0]).toMatchObject({
      type: 'make',
      state: 'planned',
      waterL: 3.5,
      isLayered: true,
    });
    expect(posting.lots[0]).toMatchObject({ id: 'l', name: 'Heap', isHot: true, keeping: 'roofed' });
  });
});

describe('a burn being kept', () => {
  const blank = blankBurn('2026-05-14', 'lot:poles', { mass: 'kg', volume: 'bucket10L' });
  const stamp = { version: 2, createdAt: '', updatedAt: '', gardenId: 'g' };

  it('has no yield until it is measured, and comes back as it was typed', () => {
    const form = withStep(
      { ...blank, wood: { amount: '80', unit: 'kg' }, unburntPct: '5', quenchWater: typed('120') },
      'magnet',
      '2026-05-14T10:00:00Z',
    );
    const posting = burnPosting(form, METRIC);
    expect(posting).toMatchObject({
      yield: null,
      unburntShare: 0.05,
      feedstock: [{ lotId: 'poles', materialId: null, amount: 80, unit: 'kg' }],
      log: { isMagnetPassed: true, coldCheckedOn: null, quenchWaterL: 120 },
    });
    const kept = { ...stamp, ...posting } as BurnRecord;
    const again = burnFormOf(kept, 'Char', { blank, reader: METRIC });
    expect(burnPosting({ ...again, char: { amount: '6', unit: 'bucket10L' } }, METRIC)).toMatchObject({
      ...posting,
      yield: { amount: 6, unit: 'bucket10L', moistureFractionWetBasis: 0.35 },
    });
  });

  it('has as many loads as were put on, each from where it came', () => {
    const more = { source: 'material:log_wood', wood: { amount: '30', unit: 'kg' as const } };
    const form = { ...blank, wood: { amount: '80', unit: 'kg' as const }, moreLoads: [more] };
    const posting = burnPosting(form, METRIC);
    expect(posting.feedstock).toEqual([
      { lotId: 'poles', materialId: null, amount: 80, unit: 'kg' },
      { lotId: null, materialId: 'log_wood', amount: 30, unit: 'kg' },
    ]);
    const again = burnFormOf({ ...stamp, ...posting }, 'Char', { blank, reader: METRIC });
    expect(again.moreLoads).toEqual([more]);
  });

  it('puts what did not char on a pile that is there, or begins one for it', () => {
    const kept = (id: string) => id === 'poles' || id === 'ends';
    const form = { ...blank, wood: { amount: '80', unit: 'kg' as const }, unburntPct: '5' };
    expect(burnPosting(form, METRIC).unburntToLotId).toBeNull();
    expect(pilesBegun(form, kept)).toMatchObject([{ name: 'Char of 2026-05-14', form: 'drum' }]);
    const there = { ...form, lotId: 'poles', unburntTo: 'ends' };
    expect(burnPosting(there, METRIC).unburntToLotId).toBe('ends');
    expect(pilesBegun(there, kept)).toEqual([]);
    const again = burnFormOf({ ...stamp, ...burnPosting(there, METRIC) }, 'Char', { blank, reader: METRIC });
    expect(again.unburntTo).toBe('ends');
    const own = { ...form, unburntTo: NEW_PILE, unburntPile: { id: 'own', name: ' ' } };
    expect(burnPosting(own, METRIC).unburntToLotId).toBe('own');
    expect(pilesBegun(own, kept)[1]).toMatchObject({
      id: 'own',
      name: 'For the next burn',
      keeping: 'covered',
    });
    expect(burnPosting({ ...own, unburntPct: '0' }, METRIC).unburntToLotId).toBeNull();
  });

  it('takes a tick back', () => {
    const ticked = withStep(blank, 'quench', 'now');
    expect(isTicked(ticked, 'quench')).toBe(true);
    expect(isTicked(withStep(ticked, 'quench', 'later'), 'quench')).toBe(false);
  });
});
