import { InputError, requireNumber } from '../../../refusals/input-error.ts';

/** The outline of a bed as it is measured with a tape; lengths in cm, pots in liters. */
export type BedShape =
  | { readonly type: 'rectangle'; readonly lengthCm: number; readonly widthCm: number }
  | { readonly type: 'circle'; readonly diameterCm: number }
  /** Round a trunk, which is kept clear. */
  | { readonly type: 'ring'; readonly outerDiameterCm: number; readonly innerDiameterCm: number }
  /** Uneven: its length, and its width measured at equal steps from one end to the other. */
  | { readonly type: 'uneven'; readonly lengthCm: number; readonly widthsCm: readonly number[] }
  /** As if the pots had upright walls, filled so deep. */
  | { readonly type: 'pots'; readonly count: number; readonly volumeL: number; readonly depthCm: number };

export const BED_SHAPES = [
  'rectangle',
  'circle',
  'ring',
  'uneven',
  'pots',
] as const satisfies readonly BedShape['type'][];

const SQUARE_CM_PER_M2 = 10_000;
const CM3_PER_LITRE = 1000;
const above = { above: 0 };

/**
 * Area of a bed, m2. The area of an uneven bed is that between straight edges from width to width. Throws InputError
 * naming what cannot be.
 *
 * @example
 * areaOfShape({ type: 'rectangle', lengthCm: 400, widthCm: 120 }) // 4.8
 * areaOfShape({ type: 'pots', count: 10, volumeL: 15, depthCm: 30 }) // 0.5
 */
export function areaOfShape(shape: BedShape): number {
  switch (shape.type) {
    case 'rectangle':
      requireNumber(shape.lengthCm, ['lengthCm'], above);
      requireNumber(shape.widthCm, ['widthCm'], above);
      return (shape.lengthCm * shape.widthCm) / SQUARE_CM_PER_M2;
    case 'circle':
      requireNumber(shape.diameterCm, ['diameterCm'], above);
      return circle(shape.diameterCm);
    case 'ring':
      return ring(shape);
    case 'uneven':
      return uneven(shape);
    case 'pots':
      requireNumber(shape.count, ['count'], { min: 1 });
      requireNumber(shape.volumeL, ['volumeL'], above);
      requireNumber(shape.depthCm, ['depthCm'], above);
      return (shape.count * shape.volumeL * CM3_PER_LITRE) / shape.depthCm / SQUARE_CM_PER_M2;
  }
}

const circle = (diameterCm: number): number => (Math.PI * (diameterCm / 2) ** 2) / SQUARE_CM_PER_M2;

function ring({ outerDiameterCm, innerDiameterCm }: Extract<BedShape, { type: 'ring' }>): number {
  requireNumber(outerDiameterCm, ['outerDiameterCm'], above);
  requireNumber(innerDiameterCm, ['innerDiameterCm'], { min: 0 });
  if (innerDiameterCm >= outerDiameterCm) throw new InputError(['innerDiameterCm'], 'notInsideTheRing');
  return circle(outerDiameterCm) - circle(innerDiameterCm);
}

function uneven({ lengthCm, widthsCm }: Extract<BedShape, { type: 'uneven' }>): number {
  requireNumber(lengthCm, ['lengthCm'], above);
  if (widthsCm.length < 2) throw new InputError(['widthsCm'], 'tooFewWidths');
  widthsCm.forEach((width, i) => requireNumber(width, ['widthsCm', i], { min: 0 }));
  const [first, last] = [widthsCm[0], widthsCm.at(-1)!];
  const sumCm = widthsCm.reduce((sum, width) => sum + width, 0) - (first + last) / 2;
  const areaM2 = ((lengthCm / (widthsCm.length - 1)) * sumCm) / SQUARE_CM_PER_M2;
  if (areaM2 === 0) throw new InputError(['widthsCm'], 'tooFewWidths');
  return areaM2;
}

/** How much each pot of a bed holds, liters. */
export const litresOfPot = ({
  areaM2,
  rootZoneCm,
  potCount,
}: {
  readonly areaM2: number;
  readonly rootZoneCm: number;
  readonly potCount: number;
}): number => (areaM2 * SQUARE_CM_PER_M2 * rootZoneCm) / CM3_PER_LITRE / potCount;
