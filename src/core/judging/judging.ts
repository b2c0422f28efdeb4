import { InputError, requireNumber } from '../input-error.ts';
import { LITRES_PER_CUBIC_METRE } from '../units/volume.ts';

/** Bulk density, kg/m3, from a bucket on a scale. Throws InputError naming the field. */
export function bulkDensityFromBucket(grossKg: number, emptyKg: number, bucketL: number): number {
  requireNumber(emptyKg, ['emptyKg'], { min: 0, max: 100 });
  requireNumber(grossKg, ['grossKg'], { above: 0, max: 1000 });
  requireNumber(bucketL, ['bucketL'], { above: 0, max: 1000 });
  if (grossKg <= emptyKg) {
    throw new InputError(
      ['grossKg'],
      'out_of_range',
      `must be more than the empty bucket; got ${grossKg}. Are the two swapped?`,
    );
  }
  const density = ((grossKg - emptyKg) * LITRES_PER_CUBIC_METRE) / bucketL;
  if (density > 2500 || density < 5) {
    throw new InputError(
      ['grossKg'],
      'out_of_range',
      `makes ${density.toPrecision(2)} kg/m3, which nothing on a heap weighs. Was it grams, or pounds?`,
    );
  }
  return density;
}

/**
 * Moisture, wet basis, from a handful weighed before and after drying (oven at 105 C until it loses no more, or a
 * microwave in short bursts: common practice, no source). Masses in any one unit, with the dish. Throws InputError.
 */
export function moistureFromDrying(wet: number, dry: number, dish: number): number {
  requireNumber(dish, ['dish'], { min: 0 });
  requireNumber(wet, ['wet'], { above: 0 });
  requireNumber(dry, ['dry'], { above: 0 });
  if (dry <= dish)
    throw new InputError(['dry'], 'out_of_range', `must be more than the dish alone; got ${dry}`);
  if (dry > wet) {
    throw new InputError(
      ['dry'],
      'out_of_range',
      `must not be more than before drying; got ${dry}. Are wet and dry swapped?`,
    );
  }
  return (wet - dry) / (wet - dish);
}

/** What a squeezed handful does, from wet to dry. */
export const SQUEEZES = ['runs', 'drops', 'holds', 'crumbles', 'dusty'] as const;
export type Squeeze = (typeof SQUEEZES)[number];

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

/** Share of leaf in the dry mass from pieces counted in a handful. Throws InputError naming the field. */
export function leafShareFromCount(leafPieces: number, woodPieces: number): number {
  requireNumber(leafPieces, ['leafPieces'], { min: 0, max: 10_000 });
  requireNumber(woodPieces, ['woodPieces'], { min: 0, max: 10_000 });
  if (leafPieces + woodPieces < 20) {
    throw new InputError(
      ['woodPieces'],
      'out_of_range',
      'is too few to tell; count at least 20 pieces in all',
    );
  }
  const leaf = leafPieces * LEAF_TO_CHIP_MASS;
  return leaf / (leaf + woodPieces);
}
