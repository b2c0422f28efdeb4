import { type DayNumber, findLibraryMaterial, total } from '../../ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import type { ChargeRecipeId } from '../../../records/vocabulary.ts';
import { PARAMETER_TABLE, withOverrides } from '../../model/index.ts';
import { ageLot } from '../stock/age-lot.ts';
import type { LotFigures } from '../stock/lot-figures.ts';
import { contentsOfMaterial, mixContents, type LotContents } from '../stock/lot-contents.ts';
import { findChargeRecipe, scaleCharge } from './charge-recipes.ts';

/** Nitrogen a batch of char could hold, holds, and will hold when its time is up, g. */
export interface ChargePreview {
  readonly capacityG: number;
  /** The same by the ends of the range in which char capacities are reported: the least certain figure in the book. */
  readonly capacityRangeG: readonly [low: number, high: number];
  readonly heldWhenReadyG: number;
  /** Mineral nitrogen the recipe brings on the first day. */
  readonly broughtG: number;
  /** What is still to be filled: what the bed pays when it is used then. */
  readonly missingG: number;
  readonly readyDay: DayNumber;
}

/** With less than this share of what raw char usually takes up, char counts as raw (set here). */
const RAW_BELOW_SHARE = 0.25;
/** Nitrogen that raw char usually takes up, for a kilogram of its carbon, g. */
const USUAL_CAPACITY_G_PER_KG_CARBON =
  PARAMETER_TABLE.charCapacityGPerKg.value / findLibraryMaterial('biochar_raw')!.carbonFractionDryBasis;

/** Whether char would take nitrogen from a bed before it gives any. */
export const isRawChar = (char: Pick<LotFigures, 'charCarbonKg' | 'charHeldNitrogenG'>): boolean =>
  char.charHeldNitrogenG < RAW_BELOW_SHARE * USUAL_CAPACITY_G_PER_KG_CARBON * char.charCarbonKg;

const heldIn = ({ cohorts }: LotContents): number => total(cohorts.map(({ charHeldG }) => charHeldG));
const capacityOf = ({ cohorts }: LotContents): number =>
  total(cohorts.map(({ charCapacityG }) => charCapacityG));

/** What charging does for char, by the pile mode of the model. `char` holds the char alone, `charL` its volume. */
export function previewCharge({
  char,
  charL,
  recipeId,
  startDay,
  climate,
}: {
  readonly char: LotContents;
  readonly charL: number;
  readonly recipeId: ChargeRecipeId;
  readonly startDay: DayNumber;
  readonly climate: ClimateNormals;
}): ChargePreview {
  const parameters = withOverrides();
  const recipe = findChargeRecipe(recipeId);
  const { ingredients, waterL } = scaleCharge(recipe, charL);
  const others = ingredients.map(({ materialId, litres }) => {
    const material = findLibraryMaterial(materialId)!;
    const dryG = litres * material.bulkDensityKgPerM3 * (1 - material.moistureFractionWetBasis);
    return contentsOfMaterial({ materialId, material, dryG, p: parameters });
  });
  const mixed = mixContents([char, ...others]);
  const readyDay = startDay + recipe.days[1];
  const { contents } = ageLot({
    start: { ...mixed, waterG: mixed.waterG + waterL * 1000 },
    fromDay: startDay,
    untilDay: readyDay,
    setting: {
      climate,
      treatment: { keeping: 'covered', isTurned: false, isHot: false },
      heatingFrom: startDay,
      readings: [],
      parameters,
    },
  });
  const capacityG = capacityOf(char);
  const { value, low, high } = PARAMETER_TABLE.charCapacityGPerKg;
  const heldWhenReadyG = heldIn(contents);
  return {
    capacityG,
    capacityRangeG: [(capacityG * low) / value, (capacityG * high) / value],
    heldWhenReadyG,
    broughtG: total(others.map(({ mineralNitrogenG }) => mineralNitrogenG)),
    missingG: Math.max(0, capacityG - heldWhenReadyG),
    readyDay,
  };
}
