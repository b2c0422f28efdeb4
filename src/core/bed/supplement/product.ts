import type { Material } from '../../ground/index.ts';
import {
  TRIAL_FRESH_KG_PER_M2,
  TRIAL_SEASON_DAYS,
  drawnNitrogen,
  releasedNitrogen,
  runTo,
  seasonTrial,
  startRun,
} from '../../model/index.ts';

/**
 * Share of a material's nitrogen that it gives in its first `days`, negative when it takes more than it gives.
 *
 * @example
 * firstSeasonAvailability(findLibraryMaterial('feather_meal')) // 0.797
 */
export function firstSeasonAvailability(material: Material, days = TRIAL_SEASON_DAYS): number {
  const run = startRun(seasonTrial({ material, massFreshKgPerM2: TRIAL_FRESH_KG_PER_M2 }, days));
  runTo(run, run.scenario.endDay);
  const [tried] = run.bed.state.cohorts;
  return (releasedNitrogen(tried) - drawnNitrogen(tried)) / tried.openingN;
}

/** Nitrogen in a kilogram of a product as it is bought, g. */
export const nitrogenGPerKgFresh = (product: Material): number =>
  1000 * (1 - product.moistureFractionWetBasis) * product.nitrogenFractionDryBasis;

/**
 * Fresh mass, kg, of a product that brings `nitrogenG` of acting nitrogen.
 *
 * @example
 * productMassFreshKg(10, findLibraryMaterial('feather_meal'), 0.7) // 0.119
 */
export const productMassFreshKg = (nitrogenG: number, product: Material, availability: number): number =>
  nitrogenG / availability / nitrogenGPerKgFresh(product);
