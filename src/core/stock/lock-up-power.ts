import type { ClimateNormals } from '../climate/climate.ts';
import { nitrogenG, scaled, dryG, type LotContents } from './lot-contents.ts';
import { openingOfContents } from './lot-figures.ts';
import { reportCohort } from '../simulation/report.ts';
import { withOverrides } from '../simulation/parameters.ts';
import { runTo, startRun } from '../simulation/run.ts';
import { DEFAULT_STEPS_PER_DAY, SOIL_DEFAULTS } from '../simulation/scenario.ts';

/** What it would do to soil it is dug into. */
export interface LockUpPower {
  /** Most nitrogen it holds at one time, g per kg of dry mass; 0 for what only gives. */
  readonly peakLockGPerKgDry: number;
  /** Nitrogen it has given by the end of the season as a share of what it brought; below 0 when it has taken. */
  readonly availableShare: number;
}

/** The yardstick of S11 of the model: 17 degrees C, moist, dug 15 cm, nitrogen enough, 150 days. */
const SEASON_DAYS = 150;
const DRY_KG_PER_M2 = 1;
const YARDSTICK_CLIMATE: ClimateNormals = {
  temperatureC: Array<number>(12).fill(17),
  rainMm: Array<number>(12).fill(0),
  evapotranspirationMm: Array<number>(12).fill(0),
};
const ANY_DAY = 737_791;

/** Lock-up power of what a lot holds, worked out on a bed of its own. Not for an empty lot. */
export function lockUpPower(contents: LotContents): LockUpPower {
  const sample = scaled(contents, (DRY_KG_PER_M2 * 1000) / dryG(contents));
  const run = startRun({
    startDay: ANY_DAY,
    endDay: ANY_DAY + SEASON_DAYS,
    climate: YARDSTICK_CLIMATE,
    soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2, mineralNGPerM2: [50, 250] },
    events: [
      {
        type: 'apply',
        day: ANY_DAY,
        opening: openingOfContents(sample, withOverrides()),
        massFreshKgPerM2: DRY_KG_PER_M2,
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
  runTo(run, ANY_DAY + SEASON_DAYS);
  const { releasedG, drawnG, peakLockedG } = reportCohort(run.bed, 0);
  const brought = nitrogenG(sample);
  return {
    peakLockGPerKgDry: peakLockedG / DRY_KG_PER_M2,
    availableShare: brought > 0 ? (releasedG - drawnG) / brought : 0,
  };
}
