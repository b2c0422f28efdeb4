import { describe, expect, it } from 'vitest';
import { GARDEN, MILD } from '../../../../tests/fixtures/books.ts';
import { gardenOf } from '../../../../tests/fixtures/laid.ts';
import type { Lot } from '../../../records/lot.ts';
import type { Movement } from '../../../records/movement.ts';
import { FEED_FROM_STOCK } from '../../../records/vocabulary.ts';
import { dayNumberFromIso } from '../../ground/index.ts';
import type { GardenRecords } from '../books/garden-books.ts';
import { recordsAbout } from '../books/records-about.ts';
import { planOfBed } from '../plan/plan-of-bed.ts';
import { adviceSetting } from '../plan/advice-setting.ts';
import { feedInStock } from './feed-stock.ts';

const TODAY = '2026-05-01';
const day = dayNumberFromIso(TODAY, []);

const lot = (id: string): Lot => ({
  id,
  name: id,
  form: 'bag',
  keeping: 'covered',
  isTurned: false,
  isHot: false,
});

const received = (lotId: string, materialId: string, kg: number): Movement => ({
  id: `${lotId} comes`,
  type: 'receive',
  state: 'laid',
  date: '2026-04-01',
  lotId,
  materialId,
  amount: kg,
  unit: 'kg',
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  seasonedMonths: 0,
});

const out = (lotId: string, kg: number, state: 'laid' | 'planned' = 'laid'): Movement => ({
  id: `${lotId} goes`,
  type: 'takeOut',
  state,
  date: TODAY,
  lotId,
  amount: kg,
  unit: 'kg',
  reason: 'given',
});

const gardenWith = (movements: readonly Movement[], feedMaterialId = FEED_FROM_STOCK): GardenRecords =>
  gardenOf([], {
    garden: { ...GARDEN, climate: MILD, feedMaterialId },
    lots: [...new Set(movements.map(({ lotId }) => lotId))].map(lot),
    movements,
  });

const namesOf = (records: GardenRecords) =>
  feedInStock(records, day).map(({ product }) => product.materialId);

function chosen(records: GardenRecords) {
  const [bed] = records.beds;
  const { feeding } = adviceSetting({ records, books: { bed, plantings: [] }, today: day });
  return [feeding.product.materialId, feeding.quickProduct.materialId];
}

const PELLETS = received('pellets', 'poultry_pellets', 20);
const BLOOD = received('blood', 'blood_meal', 5);
const UREA = received('urea', 'urea', 1);

describe('feeding with what is in stock first', () => {
  it('takes the slow and the quick product of which most nitrogen lies there', () => {
    const records = gardenWith([BLOOD, UREA, PELLETS, received('chips', 'chips_mixed', 500)]);
    expect(namesOf(records)).toEqual(['poultry_pellets', 'blood_meal', 'urea']);
    expect(chosen(records)).toEqual(['poultry_pellets', 'blood_meal']);
  });

  it('takes a quick product for everything when no other is there, and the usual ones when nothing is', () => {
    expect(chosen(gardenWith([UREA]))).toEqual(['urea', 'urea']);
    expect(chosen(gardenWith([]))).toEqual(['feather_meal', 'blood_meal']);
  });

  it('keeps to the product that the garden chose, whatever lies there', () => {
    expect(chosen(gardenWith([UREA, PELLETS], 'alfalfa_meal'))).toEqual(['alfalfa_meal', 'blood_meal']);
  });

  it('does not count what has gone, or is meant to go today', () => {
    expect(namesOf(gardenWith([PELLETS, out('pellets', 20), BLOOD]))).toEqual(['blood_meal']);
    expect(namesOf(gardenWith([PELLETS, out('pellets', 20, 'planned'), BLOOD]))).toEqual(['blood_meal']);
  });

  it('does not count what was mixed with something else', () => {
    const mixed = [PELLETS, received('pellets', 'compost_garden', 50), BLOOD];
    expect(namesOf(gardenWith(mixed))).toEqual(['blood_meal']);
  });

  it('is planned alike from the records of the bed alone, which hold no other stock', () => {
    const records = gardenWith([BLOOD, received('chips', 'chips_mixed', 500)]);
    const about = recordsAbout(records, 'bed');
    expect(about.lots.map(({ id }) => id)).toEqual(['blood']);
    const planned = (all: GardenRecords) => planOfBed({ records: all, bedId: 'bed', todayIso: TODAY })!.plan;
    expect(planned(about)).toEqual(planned(records));
    // A product that was chosen is taken out of the lot it lies in, too.
    expect(recordsAbout(gardenWith([BLOOD], 'blood_meal'), 'bed').lots.map(({ id }) => id)).toEqual([
      'blood',
    ]);
  });
});
