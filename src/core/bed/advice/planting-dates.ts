import { DEEPEST_COVER_CM, type DayNumber } from '../../ground/index.ts';
import { atEndOf } from '../projection/bed-projection.ts';
import {
  type GroundObstacle,
  type PlantingGround,
  coverOverSeedCm,
  groundObstacle,
} from '../plan/planting-obstacles.ts';
import type { Mornings } from '../plan/bed-past.ts';
import type { SchoolRules } from './schools.ts';
import {
  type BedRun,
  type BedScenario,
  type CropPlan,
  endingOn,
  missedByTrialCrop,
  resumeAt,
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
  {
    demandG: number;
    rootDepthCm: number;
    rootsAtOnce: boolean;
    coldestC: number;
    hottestC: number;
    isSown: boolean;
    isTender: boolean;
    bearsAfterDays: null;
  }
> = {
  seedlings: {
    demandG: 3,
    rootDepthCm: 12,
    rootsAtOnce: false,
    coldestC: 8,
    hottestC: 30,
    isSown: true,
    isTender: false,
    bearsAfterDays: null,
  },
  transplants: {
    demandG: 4,
    rootDepthCm: 20,
    rootsAtOnce: true,
    coldestC: 9,
    hottestC: 32,
    isSown: false,
    isTender: false,
    bearsAfterDays: null,
  },
};
export const TRIAL_DAYS = 42;
const STEP_DAYS = 7;
const LOOK_AHEAD_DAYS = 364;
export type PlantingObstacle = GroundObstacle['code'] | 'lockedUp';

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
  /** Cover that has to be raked off before seed comes up there, cm; null when none has. */
  readonly coverCm: number | null;
}

/** Crops in the ground today are taken as cleared: the question is what the ground will feed. */
const clearedToday = (scenario: BedScenario, today: DayNumber): BedScenario => ({
  ...scenario,
  crops: scenario.crops
    .filter(({ plantDay }) => plantDay < today)
    .map((crop) => ({ ...crop, harvestDay: Math.min(crop.harvestDay, today) })),
});

/** What planting dates are found from. */
export interface PlantingSetting {
  readonly ground: PlantingGround;
  readonly scenario: BedScenario;
  readonly today: DayNumber;
  readonly rules: Pick<SchoolRules, 'harmlessShare' | 'blamedShare' | 'heedsContactForAll'>;
  /** The bed this morning, with its materials and without. */
  readonly mornings: Mornings;
}

/**
 * The earliest week in which seedlings, and transplants, are neither starved or burnt by what was laid nor in the cold or
 * heat, for crops in general. Seeds do not go before transplants that would starve: their roots come there later.
 */
export function plantingDates(setting: PlantingSetting): PlantingDate[] {
  const { scenario, today, mornings } = setting;
  const endDay = today + LOOK_AHEAD_DAYS + TRIAL_DAYS + 1;
  const ground = { ...clearedToday(endingOn(scenario, endDay), today), endDay };
  const [run, bareRun] = [startRun(ground), startRun(withoutMaterials(ground))];
  const dateOf = (start: Start, from: DayNumber): PlantingDate => {
    resumeAt(run, mornings.own);
    resumeAt(bareRun, mornings.bare);
    return earliest(setting, { start, from, run, bareRun });
  };
  const transplants = dateOf('transplants', today);
  const isStarved = transplants.waitFor === 'lockedUp';
  const from = isStarved ? transplants.day : today;
  const seedlings =
    from === null ? { ...transplants, start: 'seedlings' as const } : dateOf('seedlings', from);
  return [isStarved ? { ...seedlings, waitFor: 'lockedUp' } : seedlings, transplants];
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

function earliest(
  { ground, today, rules }: PlantingSetting,
  {
    start,
    from,
    run,
    bareRun,
  }: {
    readonly start: Start;
    readonly from: DayNumber;
    readonly run: BedRun;
    readonly bareRun: BedRun;
  },
): PlantingDate {
  const { demandG, isSown } = TRIALS[start];
  let waitFor: PlantingObstacle | null = null;
  let missedShare = 0;
  let missedShareBare = 0;
  for (let day = from; day <= today + LOOK_AHEAD_DAYS; day += STEP_DAYS) {
    runTo(run, day);
    runTo(bareRun, day);
    const obstacle = groundObstacle(ground, TRIALS[start], day);
    if (obstacle) {
      waitFor ??= obstacle.code;
      continue;
    }
    const crop = trialCrop(start, day, rules.heedsContactForAll);
    missedShare = missedByTrialCrop(run, crop) / demandG;
    missedShareBare = missedByTrialCrop(bareRun, crop) / demandG;
    if (missedShare <= Math.max(rules.harmlessShare, missedShareBare + rules.blamedShare)) {
      const coverCm = isSown ? coverOverSeedCm(atEndOf(ground.projection, day)) : 0;
      const isCovered = coverCm > DEEPEST_COVER_CM.medium;
      return { start, day, waitFor, missedShare, missedShareBare, coverCm: isCovered ? coverCm : null };
    }
    waitFor ??= 'lockedUp';
  }
  return { start, day: null, waitFor, missedShare, missedShareBare, coverCm: null };
}
