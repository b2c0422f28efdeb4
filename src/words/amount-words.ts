import { massFreshKgFromAmount, SQUARE_METRES_PER_SQUARE_FOOT } from '../core/ground/index.ts';
import { DEPTH_UNITS, MASS_UNITS, STOCK_UNITS, type AmountUnit } from '../records/vocabulary.ts';
import type { UnitSystem } from '../refusals/refusal.ts';
import { plainFigure } from './figures.ts';
import { UNIT_WORDS, unitsOfOther, type Measures } from './measures.ts';

/** So much of something, as it was typed. */
export interface Amount {
  readonly amount: number;
  readonly unit: AmountUnit;
}

const ONE: Readonly<Partial<Record<AmountUnit, string>>> = {
  inch: 'inch thick',
  metre: 'meter thick',
  foot: 'foot thick',
  litre: 'liter',
  cubicMetre: 'cubic meter',
  bucket10L: 'bucket (10 L)',
  barrow85L: 'barrow (85 L)',
  cup: 'cup',
  quart: 'quart',
  gallon: 'gallon',
  bucket5Gal: 'bucket (5 gal)',
  barrow3CuFt: 'barrow (3 cu ft)',
  cubicFoot: 'cubic foot',
  cubicYard: 'cubic yard',
};
const PLURALS = new Intl.PluralRules('en');

/** A unit behind a figure: "1 bucket (10 L)", "2 buckets (10 L)". */
export const unitWords = (unit: AmountUnit, amount: number): string =>
  PLURALS.select(amount) === 'one' ? (ONE[unit] ?? UNIT_WORDS[unit]) : UNIT_WORDS[unit];

/** A liter of water weighs a kilogram, and a centimeter of it on a square meter is ten liters. */
const WATER = { bulkDensityKgPerM3: 1000, areaM2: 1 };
const LITRES_PER_CM = 10;

const isOf = (units: readonly AmountUnit[], unit: AmountUnit): boolean => units.includes(unit);

/** An amount as it was typed, or in the units of the garden where it was typed in others. */
export function amountInWords({ amount, unit }: Amount, measures: Measures): string {
  if (!isOf(unitsOfOther(measures), unit)) return `${plainFigure(amount)} ${unitWords(unit, amount)}`;
  const litresOrKg = massFreshKgFromAmount({ amount, unit, measured: WATER });
  if (isOf(DEPTH_UNITS, unit)) return `${measures.thickness(litresOrKg / LITRES_PER_CM)} thick`;
  return isOf(MASS_UNITS, unit) ? measures.mass(litresOrKg) : measures.volume(litresOrKg);
}

/** What an amount of a volume or a weight is spread on, in words. */
export const AREA_WORDS: Readonly<Record<UnitSystem, string>> = { metric: '1 m²', customary: '100 sq ft' };
export const AREA_SPREAD_ON_M2: Readonly<Record<UnitSystem, number>> = {
  metric: 1,
  customary: 100 * SQUARE_METRES_PER_SQUARE_FOOT,
};

/** The area that an amount of a volume or a weight is spread on, m²; null for a thickness, which needs none. */
export function areaOf(unit: AmountUnit, system: UnitSystem): number | null {
  return isOf(STOCK_UNITS, unit) ? AREA_SPREAD_ON_M2[system] : null;
}

/** An amount for every square meter, on an area as the garden measures. */
export function amountOnArea({ amount, unit }: Amount, measures: Measures): string {
  const areaM2 = areaOf(unit, measures.system);
  if (areaM2 === null) return amountInWords({ amount, unit }, measures);
  return `${amountInWords({ amount: amount * areaM2, unit }, measures)} on each ${measures.system === 'metric' ? 'm²' : AREA_WORDS.customary}`;
}
