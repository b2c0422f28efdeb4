import type { Material } from '../materials/material.ts';
import { dayNumberOf } from '../climate/calendar.ts';
import { runTo, startRun } from '../simulation/run.ts';
import { DEFAULT_STEPS_PER_DAY, SOIL_DEFAULTS, type BedScenario } from '../simulation/scenario.ts';
import { reportCohort } from '../simulation/report.ts';

const TRIAL_DRY_KG_PER_M2 = 0.5;
const SEASON_DAYS = 150;

/** The trial of docs/method.md: constant 17 C, moist, dug 15 cm, more mineral nitrogen than anything can use. */
export const availabilityTrial = (material: Material, days: number, dryKgPerM2: number): BedScenario => ({
  startDay: dayNumberOf({ year: 2001, month: 1, day: 1 }),
  endDay: dayNumberOf({ year: 2001, month: 1, day: 1 }) + days,
  climate: {
    temperatureC: Array<number>(12).fill(17),
    rainMm: Array<number>(12).fill(0),
    evapotranspirationMm: Array<number>(12).fill(0),
  },
  soil: { ...SOIL_DEFAULTS, organicMatterPct: 3, bulkDensityGPerCm3: 1.2, mineralNGPerM2: [50, 250] },
  events: [
    {
      type: 'apply',
      day: dayNumberOf({ year: 2001, month: 1, day: 1 }),
      material,
      massFreshKgPerM2: dryKgPerM2 / (1 - material.moistureFractionWetBasis),
      dugDepthCm: 15,
      exposure: 'normal',
      isOnPath: false,
    },
  ],
  crops: [],
  piles: [],
  depositionGPerM2Year: 0,
  stepsPerDay: DEFAULT_STEPS_PER_DAY,
});

/** Share of a material's nitrogen that it gives in its first `days`, negative when it takes more than it gives. */
export function firstSeasonAvailability(material: Material, days = SEASON_DAYS): number {
  const run = startRun(availabilityTrial(material, days, TRIAL_DRY_KG_PER_M2));
  runTo(run, run.scenario.endDay);
  const { releasedG, drawnG } = reportCohort(run.bed, 0);
  return (releasedG - drawnG) / (TRIAL_DRY_KG_PER_M2 * 1000 * material.nitrogenFractionDryBasis);
}

/** Fresh mass, kg, of a product that brings `nitrogenG` of acting nitrogen. */
export const productMassFreshKg = (nitrogenG: number, product: Material, availability: number): number =>
  nitrogenG /
  availability /
  (1000 * (1 - product.moistureFractionWetBasis) * product.nitrogenFractionDryBasis);
