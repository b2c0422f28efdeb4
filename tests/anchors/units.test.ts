import type { AmountUnit } from '../../src/records/vocabulary.ts';
import Qty from 'js-quantities';
import { describe, expect, it } from 'vitest';
import { massFreshKgFromAmount } from '../../src/core/ground/units/amount.ts';

/** Our factors beside those of a general package of units: one litre weighs a kilogram here. */
const WATER = { bulkDensityKgPerM3: 1000, areaM2: 1 };
const ROWS: [AmountUnit, string][] = [
  ['litre', '1 liter'],
  ['cubicMetre', '1 m3'],
  ['cup', '1 cup'],
  ['quart', '1 quart'],
  ['gallon', '1 gallon'],
  ['cubicFoot', '1 ft3'],
  ['cubicYard', '1 yd3'],
  ['bucket5Gal', '5 gallon'],
  ['barrow3CuFt', '3 ft3'],
];

describe('units', () => {
  // The package rounds its gallon and quart to six places.
  it.each(ROWS)('%s holds what a units package says', (unit, theirs) => {
    expect(
      massFreshKgFromAmount({ amount: 1, unit, measured: WATER }) / Qty(theirs).to('liter').scalar,
    ).toBeCloseTo(1, 5);
  });
  it.each([
    ['kg', '1 kg'],
    ['gram', '1 g'],
    ['pound', '1 lb'],
  ] as [AmountUnit, string][])('%s weighs what a units package says', (unit, theirs) => {
    expect(
      massFreshKgFromAmount({ amount: 1, unit, measured: WATER }) / Qty(theirs).to('kg').scalar,
    ).toBeCloseTo(1, 6);
  });
  it.each([
    ['cm', '1 cm'],
    ['inch', '1 inch'],
    ['foot', '1 ft'],
    ['metre', '1 m'],
  ] as [AmountUnit, string][])('%s over a square metre holds what a units package says', (unit, theirs) => {
    const litres = Qty(theirs).mul(Qty('1 m2')).to('liter').scalar;
    expect(massFreshKgFromAmount({ amount: 1, unit, measured: WATER }) / litres).toBeCloseTo(1, 9);
  });
});
