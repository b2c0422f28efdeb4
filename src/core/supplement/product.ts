import type { Material } from '../materials/material.ts';
import { runTo, startRun } from '../simulation/run.ts';
import { reportCohort } from '../simulation/report.ts';
import { seasonTrial, TRIAL_SEASON_DAYS } from '../simulation/season-trial.ts';

const TRIAL_DRY_KG_PER_M2 = 0.5;

/** Share of a material's nitrogen that it gives in its first `days`, negative when it takes more than it gives. */
export function firstSeasonAvailability(material: Material, days = TRIAL_SEASON_DAYS): number {
  const massFreshKgPerM2 = TRIAL_DRY_KG_PER_M2 / (1 - material.moistureFractionWetBasis);
  const run = startRun(seasonTrial({ material, massFreshKgPerM2 }, days));
  runTo(run, run.scenario.endDay);
  const { releasedG, drawnG } = reportCohort(run.bed, 0);
  return (releasedG - drawnG) / (TRIAL_DRY_KG_PER_M2 * 1000 * material.nitrogenFractionDryBasis);
}

/** Fresh mass, kg, of a product that brings `nitrogenG` of acting nitrogen. */
export const productMassFreshKg = (nitrogenG: number, product: Material, availability: number): number =>
  nitrogenG /
  availability /
  (1000 * (1 - product.moistureFractionWetBasis) * product.nitrogenFractionDryBasis);
