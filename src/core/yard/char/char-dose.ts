import { requireNumber } from '../../../refusals/input-error.ts';
import { charFactorForClay } from './charge-recipes.ts';

/** About a tenth of the top 15 cm (common practice, no source). */
const SHARE_OF_SOIL = 0.1;
const DEPTH_CM = 15;
/** A small dose, spread every season (common practice says "small"; the figure is set here). */
const SMALL_L_PER_M2 = 1;
const LITRES_PER_M2_CM = 10;
/** Parts of compost to one of char in the usual blend (common practice, no source). */
const COMPOST_PARTS = 4;

export interface CharDose {
  /** Char worked in at once, for the whole bed. */
  readonly atOnceL: number;
  readonly atOnceLPerM2: number;
  /** The compost that comes with it when it is blended one to four. */
  readonly compostL: number;
  readonly compostLPerM2: number;
  readonly yearlyL: number;
  /** Years of small doses until as much is in it. */
  readonly years: number;
}

/** Char for a bed, in one go and by small yearly doses; more on sand, less on clay. */
export function charDose(
  bed: { readonly areaM2: number; readonly clayPct: number },
  yearlyLPerM2 = SMALL_L_PER_M2,
): CharDose {
  requireNumber(bed.areaM2, ['areaM2'], { above: 0 });
  requireNumber(yearlyLPerM2, ['yearlyLPerM2'], { above: 0, max: 50 });
  const atOnceLPerM2 = SHARE_OF_SOIL * DEPTH_CM * LITRES_PER_M2_CM * charFactorForClay(bed.clayPct);
  return {
    atOnceL: atOnceLPerM2 * bed.areaM2,
    atOnceLPerM2,
    compostL: COMPOST_PARTS * atOnceLPerM2 * bed.areaM2,
    compostLPerM2: COMPOST_PARTS * atOnceLPerM2,
    yearlyL: yearlyLPerM2 * bed.areaM2,
    years: Math.ceil(atOnceLPerM2 / yearlyLPerM2),
  };
}
