import { type DayNumber, airTemperatureC } from '../../ground/index.ts';
import type { SchoolRules } from './schools.ts';
import {
  type BedRun,
  type BedScenario,
  type CropPlan,
  endingOn,
  missedByTrialCrop,
  runTo,
  startRun,
  withoutMaterials,
} from '../../model/index.ts';

export const STARTS = ['seedlings', 'transplants'] as const;
export type Start = (typeof STARTS)[number];

/**
 * Young plants that stand for any crop in its first six weeks (set here): seedlings root in the top few
 * centimetres, transplants come with a ball of roots; neither is a hungry crop.
 */
const TRIALS: Record<
  Start,
  { demandG: number; rootDepthCm: number; rootsAtOnce: boolean; coldestC: number }
> = {
  seedlings: { demandG: 3, rootDepthCm: 12, rootsAtOnce: false, coldestC: 8 },
  transplants: { demandG: 4, rootDepthCm: 20, rootsAtOnce: true, coldestC: 9 },
};
export const TRIAL_DAYS = 42;
const STEP_DAYS = 7;
const LOOK_AHEAD_DAYS = 364;
export type PlantingObstacle = 'cold' | 'lockedUp';

/** When young plants are first safe. */
export interface PlantingDate {
  readonly start: Start;
  /** Null when no week of the coming year will do. */
  readonly day: DayNumber | null;
  /** What stands in the way today; null when they may start at once. */
  readonly waitFor: PlantingObstacle | null;
  /** Share of their demand they miss on that day, and on the same day without any material. */
  readonly missedShare: number;
  readonly missedShareBare: number;
}

/** Crops in the ground today are taken as cleared: the question is what the ground will feed. */
const clearedToday = (scenario: BedScenario, today: DayNumber): BedScenario => ({
  ...scenario,
  crops: scenario.crops
    .filter(({ plantDay }) => plantDay < today)
    .map((crop) => ({ ...crop, harvestDay: Math.min(crop.harvestDay, today) })),
});

/** The earliest week in which seedlings, and transplants, are neither starved by what was laid nor cold. */
export function plantingDates(
  scenario: BedScenario,
  today: DayNumber,
  rules: Pick<SchoolRules, 'harmlessShare' | 'blamedShare' | 'heedsContactForAll'>,
): PlantingDate[] {
  const endDay = today + LOOK_AHEAD_DAYS + TRIAL_DAYS + 1;
  const ground = { ...clearedToday(endingOn(scenario, endDay), today), endDay };
  return STARTS.map((start) =>
    earliest({ start, run: startRun(ground), bareRun: startRun(withoutMaterials(ground)), today, rules }),
  );
}

function trialCrop(start: Start, plantDay: DayNumber, heedsContact: boolean): CropPlan {
  const { demandG } = TRIALS[start];
  const { rootDepthCm, rootsAtOnce } = TRIALS[heedsContact ? 'seedlings' : start];
  return {
    id: 'trial',
    plantDay,
    harvestDay: plantDay + TRIAL_DAYS,
    nitrogenDemandGPerM2: demandG,
    rootDepthCm,
    isLegume: false,
    isPerennial: rootsAtOnce,
    deepShare: 0,
    residueShare: 0,
    residueDugDepthCm: 0,
  };
}

function earliest({
  start,
  run,
  bareRun,
  today,
  rules,
}: {
  readonly start: Start;
  readonly run: BedRun;
  readonly bareRun: BedRun;
  readonly today: DayNumber;
  readonly rules: Parameters<typeof plantingDates>[2];
}): PlantingDate {
  const { demandG, coldestC } = TRIALS[start];
  let waitFor: PlantingObstacle | null = null;
  let missedShare = 0;
  let missedShareBare = 0;
  for (let day = today; day <= today + LOOK_AHEAD_DAYS; day += STEP_DAYS) {
    runTo(run, day);
    runTo(bareRun, day);
    if (meanTemperatureC(run, day) < coldestC) {
      waitFor ??= 'cold';
      continue;
    }
    const crop = trialCrop(start, day, rules.heedsContactForAll);
    missedShare = missedByTrialCrop(run, crop) / demandG;
    missedShareBare = missedByTrialCrop(bareRun, crop) / demandG;
    if (missedShare <= Math.max(rules.harmlessShare, missedShareBare + rules.blamedShare)) {
      return { start, day, waitFor, missedShare, missedShareBare };
    }
    waitFor ??= 'lockedUp';
  }
  return { start, day: null, waitFor, missedShare, missedShareBare };
}

const meanTemperatureC = ({ scenario }: BedRun, day: DayNumber): number =>
  (airTemperatureC(scenario.climate, day) + airTemperatureC(scenario.climate, day + TRIAL_DAYS)) / 2;
