import { type Material, dayNumberOf } from '../../ground/index.ts';
import type { CohortOpening } from './cohort-opening.ts';
import { DEFAULT_STEPS_PER_DAY, SOIL_DEFAULTS, type BedScenario } from './scenario.ts';

/** What is tried: so much of a material, or something whose accounts are known, on a square metre. */
type Tried =
  | { readonly material: Material; readonly massFreshKgPerM2: number }
  | { readonly opening: CohortOpening; readonly massFreshKgPerM2: number };

export const TRIAL_SEASON_DAYS = 150;
export const TRIAL_FRESH_KG_PER_M2 = 1;

/** The trial of docs/method.md: constant 17 C, moist, dug 15 cm, more mineral nitrogen than anything can use. */
export const seasonTrial = (tried: Tried, days = TRIAL_SEASON_DAYS): BedScenario => {
  const day = dayNumberOf({ year: 2001, month: 1, day: 1 });
  return {
    startDay: day,
    endDay: day + days,
    climate: {
      temperatureC: Array<number>(12).fill(17),
      rainMm: Array<number>(12).fill(0),
      evapotranspirationMm: Array<number>(12).fill(0),
    },
    soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2, mineralNGPerM2: [50, 250] },
    events: [{ type: 'apply', day, dugDepthCm: 15, exposure: 'normal', isOnPath: false, ...tried }],
    crops: [],
    piles: [],
    depositionGPerM2Year: 0,
    stepsPerDay: DEFAULT_STEPS_PER_DAY,
  };
};
