import { requireNumber } from '../../../refusals/input-error.ts';
import { LITRES_PER_CUP, LITRES_PER_GALLON } from '../../ground/index.ts';
import type { ChargeRecipeId, CharFineness } from '../../../records/vocabulary.ts';

/** What goes to a litre of char, L. */
interface PerLitre {
  readonly materialId: string;
  readonly litres: number;
}

/** A way of charging char (all common practice, no source). */
export interface ChargeRecipe {
  readonly id: ChargeRecipeId;
  readonly perLitreOfChar: readonly PerLitre[];
  readonly waterPerLitreOfChar: number;
  readonly days: readonly [least: number, better: number];
  /** Stirrings on the way. */
  readonly stirrings: number;
  /** Living culture gets onto it; nitrogen gets into it. Two separate ticks. */
  readonly inoculates: boolean;
  readonly feeds: boolean;
  /** Only for char as fine as this, or finer; null for any. */
  readonly fineness: CharFineness | null;
}

const GALLON_PER_CUP = LITRES_PER_GALLON / LITRES_PER_CUP;

export const CHARGE_RECIPES: readonly ChargeRecipe[] = [
  {
    id: 'slurry',
    perLitreOfChar: [{ materialId: 'compost_garden', litres: 1 }],
    waterPerLitreOfChar: GALLON_PER_CUP,
    days: [1, 1],
    stirrings: 2,
    inoculates: true,
    feeds: true,
    fineness: 'dust',
  },
  {
    id: 'soak',
    perLitreOfChar: [
      { materialId: 'worm_castings', litres: 0.1 },
      { materialId: 'fish_emulsion', litres: 0.01 },
    ],
    waterPerLitreOfChar: 1.5,
    days: [14, 28],
    stirrings: 4,
    inoculates: true,
    feeds: true,
    fineness: null,
  },
  {
    id: 'compostBlend',
    perLitreOfChar: [{ materialId: 'compost_garden', litres: 4 }],
    waterPerLitreOfChar: 0,
    days: [21, 42],
    stirrings: 2,
    inoculates: true,
    feeds: true,
    fineness: null,
  },
  {
    id: 'castingsBlend',
    perLitreOfChar: [{ materialId: 'worm_castings', litres: 0.25 }],
    waterPerLitreOfChar: 0,
    days: [0, 14],
    stirrings: 0,
    inoculates: true,
    feeds: true,
    fineness: null,
  },
  {
    id: 'throughHeap',
    perLitreOfChar: [
      { materialId: 'horse_bedding', litres: 5 },
      { materialId: 'grass_clippings', litres: 4 },
    ],
    waterPerLitreOfChar: 0,
    days: [90, 180],
    stirrings: 3,
    inoculates: true,
    feeds: true,
    fineness: null,
  },
  {
    id: 'nitrogenSoak',
    perLitreOfChar: [{ materialId: 'urine', litres: 0.1 }],
    waterPerLitreOfChar: 0.9,
    days: [3, 10],
    stirrings: 2,
    inoculates: false,
    feeds: true,
    fineness: null,
  },
];

export const findChargeRecipe = (id: ChargeRecipeId): ChargeRecipe =>
  CHARGE_RECIPES.find((recipe) => recipe.id === id)!;

/**
 * The share of the usual char:compost blend by ground: more char on sand, less on clay (common practice, no source; factors set here).
 *
 * @example
 * charFactorForClay(30) // 1
 */
export function charFactorForClay(clayPct: number): number {
  if (clayPct < 12) return 1.5;
  return clayPct >= 35 ? 0.6 : 1;
}

export interface ScaledCharge {
  readonly ingredients: readonly { readonly materialId: string; readonly litres: number }[];
  readonly waterL: number;
}

/** A recipe for so much char, L. Throws InputError naming the field for a batch of nothing. */
export function scaleCharge(recipe: ChargeRecipe, charL: number): ScaledCharge {
  requireNumber(charL, ['charL'], { above: 0, max: 1e6 });
  return {
    ingredients: recipe.perLitreOfChar.map(({ materialId, litres }) => ({
      materialId,
      litres: litres * charL,
    })),
    waterL: recipe.waterPerLitreOfChar * charL,
  };
}
