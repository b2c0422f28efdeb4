import type { Squeeze } from '../../../records/vocabulary.ts';
import { InputError, requireNumber } from '../../../refusals/input-error.ts';
import { LITRES_PER_CUBIC_METRE } from '../../ground/index.ts';

/**
 * Bulk density, kg/m3, from a bucket on a scale. Throws InputError naming the field.
 *
 * @example
 * bulkDensityFromBucket(4.2, 0.6, 12) // 300
 */
export function bulkDensityFromBucket(grossKg: number, emptyKg: number, bucketL: number): number {
  requireNumber(emptyKg, ['emptyKg'], { min: 0, max: 100 });
  requireNumber(grossKg, ['grossKg'], { above: 0, max: 1000 });
  requireNumber(bucketL, ['bucketL'], { above: 0, max: 1000 });
  if (grossKg <= emptyKg) {
    throw new InputError(['grossKg'], 'notAboveTheBucket', { got: grossKg });
  }
  const density = ((grossKg - emptyKg) * LITRES_PER_CUBIC_METRE) / bucketL;
  if (density > 2500 || density < 5) {
    throw new InputError(['grossKg'], 'densityImpossible', { kgPerM3: density });
  }
  return density;
}

/**
 * Moisture, wet basis, from a handful weighed before and after drying (oven at 105 C until it loses no more, or a
 * microwave in short bursts: common practice, no source). Masses in any one unit, with the dish. Throws InputError.
 *
 * @example
 * moistureFromDrying(150, 90, 30) // 0.5
 */
export function moistureFromDrying(wet: number, dry: number, dish: number): number {
  requireNumber(dish, ['dish'], { min: 0 });
  requireNumber(wet, ['wet'], { above: 0 });
  requireNumber(dry, ['dry'], { above: 0 });
  if (dry <= dish) throw new InputError(['dry'], 'notAboveTheDish', { got: dry });
  if (dry > wet) {
    throw new InputError(['dry'], 'moreAfterDrying', { got: dry });
  }
  return (wet - dry) / (wet - dish);
}

/** Moisture, wet basis, by the squeeze: a drop or two is right (common practice, no source; the figures are set here). */
export const MOISTURE_BY_SQUEEZE: Readonly<
  Record<Squeeze, readonly [low: number, likely: number, high: number]>
> = {
  runs: [0.65, 0.7, 0.8],
  drops: [0.55, 0.58, 0.62],
  holds: [0.45, 0.5, 0.55],
  crumbles: [0.3, 0.38, 0.45],
  dusty: [0.1, 0.2, 0.3],
};

/** A piece of leaf or needle beside a chip of wood, by dry mass (set here). */
const LEAF_TO_CHIP_MASS = 0.15;

/**
 * Share of leaf in the dry mass from pieces counted in a handful. Throws InputError naming the field.
 *
 * @example
 * leafShareFromCount(20, 80) // 0.0361
 */
export function leafShareFromCount(leafPieces: number, woodPieces: number): number {
  requireNumber(leafPieces, ['leafPieces'], { min: 0, max: 10_000 });
  requireNumber(woodPieces, ['woodPieces'], { min: 0, max: 10_000 });
  if (leafPieces + woodPieces < 20) {
    throw new InputError(['woodPieces'], 'tooFewPieces', { least: 20 });
  }
  const leaf = leafPieces * LEAF_TO_CHIP_MASS;
  return leaf / (leaf + woodPieces);
}
