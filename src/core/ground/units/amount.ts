import {
  type DepthUnit,
  type VolumeUnit,
  type MassUnit,
  type AmountUnit,
  AMOUNT_UNITS,
} from '../../../records/vocabulary.ts';
import { InputError, requireNumber, requireOneOf, type FieldPath } from '../../../refusals/input-error.ts';
import { CENTIMETRES_PER_FOOT, CENTIMETRES_PER_INCH, CENTIMETRES_PER_METRE } from './length.ts';
import { KILOGRAMS_PER_POUND } from './mass.ts';
import {
  LITRES_PER_CUBIC_FOOT,
  LITRES_PER_CUBIC_METRE,
  LITRES_PER_CUBIC_YARD,
  LITRES_PER_CUP,
  LITRES_PER_CUSTOMARY_BARROW,
  LITRES_PER_CUSTOMARY_BUCKET,
  LITRES_PER_GALLON,
  LITRES_PER_METRIC_BARROW,
  LITRES_PER_METRIC_BUCKET,
  LITRES_PER_QUART,
} from './volume.ts';

/** How people say how much of something there is: by depth over the bed, by volume, by weight. */
const BY_DEPTH_CM: Readonly<Record<DepthUnit, number>> = {
  cm: 1,
  inch: CENTIMETRES_PER_INCH,
  metre: CENTIMETRES_PER_METRE,
  foot: CENTIMETRES_PER_FOOT,
};
const BY_VOLUME_L: Readonly<Record<VolumeUnit, number>> = {
  litre: 1,
  cubicMetre: LITRES_PER_CUBIC_METRE,
  bucket10L: LITRES_PER_METRIC_BUCKET,
  barrow85L: LITRES_PER_METRIC_BARROW,
  cup: LITRES_PER_CUP,
  quart: LITRES_PER_QUART,
  gallon: LITRES_PER_GALLON,
  bucket5Gal: LITRES_PER_CUSTOMARY_BUCKET,
  barrow3CuFt: LITRES_PER_CUSTOMARY_BARROW,
  cubicFoot: LITRES_PER_CUBIC_FOOT,
  cubicYard: LITRES_PER_CUBIC_YARD,
};
const BY_MASS_KG: Readonly<Record<MassUnit, number>> = { kg: 1, gram: 0.001, pound: KILOGRAMS_PER_POUND };

/** Depths only make sense over a bed. */
export const isDepthUnit = (unit: AmountUnit): boolean => unit in BY_DEPTH_CM;

/** What an amount is measured against: the bulk density of the material, and the area of the bed. */
export interface Measured {
  readonly bulkDensityKgPerM3: number;
  readonly areaM2: number;
}

const LITRES_PER_M2_CM = 10;

/** Mass of one unit, kg. */
function massPerUnitKg(unit: AmountUnit, { bulkDensityKgPerM3, areaM2 }: Measured): number {
  if (unit in BY_MASS_KG) return BY_MASS_KG[unit as keyof typeof BY_MASS_KG];
  const kgPerLitre = bulkDensityKgPerM3 / LITRES_PER_CUBIC_METRE;
  if (unit in BY_VOLUME_L) return BY_VOLUME_L[unit as keyof typeof BY_VOLUME_L] * kgPerLitre;
  return BY_DEPTH_CM[unit as keyof typeof BY_DEPTH_CM] * LITRES_PER_M2_CM * areaM2 * kgPerLitre;
}

/**
 * Fresh mass, kg, of an amount of a material on a bed. Throws InputError naming `path` for an amount that is
 * not above zero or a unit nobody uses.
 *
 * @example
 * massFreshKgFromAmount({ amount: 5, unit: 'cm', measured: { bulkDensityKgPerM3: 300, areaM2: 4 } }) // 60
 */
export function massFreshKgFromAmount({
  amount,
  unit,
  measured,
  path = ['amount'],
}: {
  readonly amount: number;
  readonly unit: AmountUnit;
  readonly measured: Measured;
  readonly path?: FieldPath;
}): number {
  requireNumber(amount, path, { above: 0 });
  requireOneOf(unit, [...path.slice(0, -1), 'unit'], AMOUNT_UNITS);
  const massKg = amount * massPerUnitKg(unit, measured);
  if (!Number.isFinite(massKg)) throw new InputError(path, 'farTooLarge', { amount });
  return massKg;
}

/**
 * The same mass in another unit.
 *
 * @example
 * amountFromMassFreshKg(60, 'cm', { bulkDensityKgPerM3: 300, areaM2: 4 }) // 5
 */
export const amountFromMassFreshKg = (massFreshKg: number, unit: AmountUnit, measured: Measured): number =>
  massFreshKg / massPerUnitKg(unit, measured);
