import type { Planting } from '../../../records/planting.ts';
import {
  type Crop,
  type DayNumber,
  dayNumberFromIso,
  findCrop,
  isoDateOf,
  youngPlantOf,
} from '../../ground/index.ts';
import {
  type BedScenario,
  type CropPlan,
  mineralNitrogen,
  missedByTrialCrop,
  resumeAt,
  returnTo,
  runTo,
  startRun,
  takeBookmark,
  withoutMaterials,
} from '../../model/index.ts';
import type { CropProspect } from '../advice/crop-prospects.ts';
import type { SchoolRules } from '../advice/schools.ts';
import { harvestWaits } from '../advice/waits.ts';
import { crowdedBy } from '../books/planting-clash.ts';
import { atEndOf } from '../projection/bed-projection.ts';
import type { Mornings } from './bed-past.ts';
import type { FeedingPlan } from './feeding-plan.ts';
import { PLANNED_DAYS } from './feeding.ts';
import {
  type GroundObstacle,
  type PlantingGround,
  coverOverSeedCm,
  deepestCoverCm,
  groundObstacle,
  isTooSalty,
} from './planting-obstacles.ts';

/** What speaks against sowing or planting something on its day. */
export type PlantingObjection =
  | GroundObstacle
  | { readonly code: 'cover'; readonly coverCm: number; readonly deepestCm: number }
  | { readonly code: 'rawManure'; readonly earliestDay: DayNumber }
  | { readonly code: 'lockedUp'; readonly missedShare: number };

/** A planting that is still to come, weighed by itself, in this ground, under this cover and with this feeding. */
export interface ComingCrop {
  readonly plantingId: string;
  readonly cropId: string;
  readonly day: DayNumber;
  readonly isSown: boolean;
  /** Share of its need that it misses as the plan feeds it. */
  readonly missedShare: number;
  readonly objections: readonly PlantingObjection[];
  /** The nearest days before and after on which nothing speaks against it; null when there is none within half a year. */
  readonly goodBefore: DayNumber | null;
  readonly goodAfter: DayNumber | null;
}

/** What the coming crops are weighed by. */
export interface ComingSetting {
  readonly ground: PlantingGround;
  readonly scenario: BedScenario;
  readonly today: DayNumber;
  readonly rules: Pick<SchoolRules, 'harmlessShare' | 'blamedShare'>;
  readonly prospects: readonly CropProspect[];
  readonly feeding: FeedingPlan | null;
  readonly mornings: Mornings;
}

const STEP_DAYS = 7;
const SEARCHED_DAYS = 182;
/** Found by moving it: all others call for something else to be done. */
const MOVED_BY_DATE: ReadonlySet<PlantingObjection['code']> = new Set([
  'cold',
  'frost',
  'frostBeforeHarvest',
  'hot',
  'burn',
  'buildUp',
  'rawManure',
  'lockedUp',
]);

/** Every planting to come within the plan, with what speaks against its day and the nearest days on which nothing does. */
export function comingCrops(setting: ComingSetting): ComingCrop[] {
  const { ground, today } = setting;
  return ground.books.plantings.flatMap((planting) => {
    const crop = findCrop(planting.cropId, ground.books.crops);
    const day = dayNumberFromIso(planting.plantedOn, ['plantedOn']);
    const isAhead = planting.state === 'planned' && day >= today && day <= today + PLANNED_DAYS;
    return crop && isAhead ? [comingCrop(setting, planting, crop)] : [];
  });
}

function comingCrop(setting: ComingSetting, planting: Planting, crop: Crop): ComingCrop {
  const { ground, scenario } = setting;
  const day = dayNumberFromIso(planting.plantedOn, ['plantedOn']);
  const plan = scenario.crops.find(({ id }) => id === planting.id || id.startsWith(`${planting.id}:`));
  const locked = plan ? lockedUp(setting, plan.id) : [];
  const objections = [...ofGround(ground, { planting, crop }, day), ...locked];
  const dates = objections.some(({ code }) => MOVED_BY_DATE.has(code))
    ? goodDates(setting, { planting, crop, day, plan })
    : { before: null, after: null };
  return {
    plantingId: planting.id,
    cropId: crop.id,
    day,
    isSown: planting.startsAs === 'seed',
    missedShare: missedShareOf(setting, plan?.id),
    objections,
    goodBefore: dates.before,
    goodAfter: dates.after,
  };
}

function missedShareOf({ feeding, prospects }: ComingSetting, cropId: string | undefined): number {
  const fed = feeding?.fed.find(({ id }) => id === cropId);
  if (fed && fed.demandG > 0) return fed.missedG / fed.demandG;
  const unfed = prospects.find(({ id }) => id === cropId);
  return unfed && unfed.demandG > 0 ? unfed.shortG / unfed.demandG : 0;
}

/** What the plan can not make good of what was laid, and the bare bed would not cost. */
function lockedUp({ feeding, prospects }: ComingSetting, cropId: string): PlantingObjection[] {
  const unmet = feeding?.unmet.find((need) => need.cropId === cropId);
  const isBlamed = prospects.some(({ id, verdict }) => id === cropId && verdict === 'losesGrowth');
  return unmet && isBlamed ? [{ code: 'lockedUp', missedShare: unmet.missedG / unmet.demandG }] : [];
}

/** What speaks against a day but nitrogen. */
function ofGround(
  ground: PlantingGround,
  { planting, crop }: Pick<Moved, 'planting' | 'crop'>,
  day: DayNumber,
): PlantingObjection[] {
  const obstacle = groundObstacle(ground, youngPlantOf(crop, planting.startsAs), day);
  const deepestCm = deepestCoverCm(crop, planting.startsAs);
  const coverCm = coverOverSeedCm(atEndOf(ground.projection, day));
  const wait = harvestWaits({
    entries: ground.books.entries,
    plantings: [movedTo(planting, day)],
    crops: ground.books.crops,
    findMaterial: ground.findMaterial,
    today: day,
  }).find(({ isTooEarly }) => isTooEarly);
  const buried = buildUpOver(ground, movedTo(planting, day));
  return [
    ...(obstacle ? [obstacle] : []),
    ...(buried === null ? [] : [{ code: 'buildUp' as const, untilDay: buried }]),
    ...(deepestCm !== null && coverCm > deepestCm ? [{ code: 'cover' as const, coverCm, deepestCm }] : []),
    ...(wait ? [{ code: 'rawManure' as const, earliestDay: wait.earliestDay }] : []),
  ];
}

/** When a build-up may be planted that would be laid over a standing crop; null when none would. */
function buildUpOver({ books }: PlantingGround, { plantedOn, clearedOn }: Planting): DayNumber | null {
  const over = books.entries.find(
    (entry) =>
      entry.type === 'lay' &&
      Boolean(entry.plantFrom) &&
      entry.date > plantedOn &&
      (clearedOn === null || entry.date < clearedOn),
  );
  return over?.type === 'lay' && over.plantFrom ? dayNumberFromIso(over.plantFrom, ['plantFrom']) : null;
}

/** The same planting on another day, in the ground as long. */
function movedTo(planting: Planting, day: DayNumber): Planting {
  const by = day - dayNumberFromIso(planting.plantedOn, ['plantedOn']);
  const { clearedOn } = planting;
  return {
    ...planting,
    plantedOn: isoDateOf(day),
    clearedOn: clearedOn === null ? null : isoDateOf(dayNumberFromIso(clearedOn, ['clearedOn']) + by),
  };
}

interface Moved {
  readonly planting: Planting;
  readonly crop: Crop;
  readonly day: DayNumber;
  readonly plan: CropPlan | undefined;
}

/**
 * The nearest days before and after its own on which nothing speaks against a crop: that very crop is run on each. None
 * before `today`, none later than half a year after its own.
 */
function goodDates(
  setting: ComingSetting,
  moved: Moved,
): { before: DayNumber | null; after: DayNumber | null } {
  const { ground, today } = setting;
  const { planting, day } = moved;
  const elsewhere = ground.books.plantings.filter(({ id }) => id !== planting.id);
  const isOpen = (on: DayNumber): boolean =>
    crowdedBy(movedTo(planting, on), elsewhere).length === 0 &&
    ofGround(ground, moved, on).every(
      (one) => !MOVED_BY_DATE.has(one.code) || (one.code === 'burn' && one.untilDay === null),
    );
  const weeks = (count: number, sign: 1 | -1): DayNumber[] =>
    Array.from({ length: count }, (_, i) => day + sign * (i + 1) * STEP_DAYS);
  const earlier = weeks(Math.floor((day - today) / STEP_DAYS), -1).filter(isOpen);
  const later = weeks(SEARCHED_DAYS / STEP_DAYS, 1)
    .filter((on) => on + STEP_DAYS < setting.scenario.endDay)
    .filter(isOpen);
  const isGood = thrivesOn(setting, moved, [...earlier.toReversed(), ...later]);
  return { before: earlier.find(isGood) ?? null, after: later.find(isGood) ?? null };
}

/**
 * Whether a crop finds what it needs on one of `days`, ascending, or misses no more than on the bare bed by the school, and
 * no salt harms it. What it would itself have taken up on its own day is left in the ground.
 */
function thrivesOn(
  { scenario, rules, mornings }: ComingSetting,
  { planting, crop, plan }: Moved,
  days: readonly DayNumber[],
): (day: DayNumber) => boolean {
  const others = { ...scenario, crops: scenario.crops.filter(({ id }) => id !== plan?.id) };
  const [run, bareRun] = [startRun(others), startRun(withoutMaterials(others))];
  resumeAt(run, mornings.own);
  resumeAt(bareRun, mornings.bare);
  const marks = new Map(
    days.map((day) => {
      const at = [run, bareRun].map((one) => {
        runTo(one, day);
        return takeBookmark(one);
      });
      return [day, at];
    }),
  );
  const young = youngPlantOf(crop, planting.startsAs);
  const isFed = (day: DayNumber): boolean => {
    if (!plan || crop.isPerennial || plan.nitrogenDemandGPerM2 === 0) return true;
    const harvestDay = day + plan.harvestDay - plan.plantDay;
    if (harvestDay >= scenario.endDay) return false;
    const trial = { ...plan, id: 'trial', plantDay: day, harvestDay };
    const [missedShare, bareShare] = [run, bareRun].map(
      (one) => missedByTrialCrop(one, trial) / plan.nitrogenDemandGPerM2,
    );
    return missedShare <= Math.max(rules.harmlessShare, bareShare + rules.blamedShare);
  };
  return (day) => {
    const [mark, bareMark] = marks.get(day)!;
    returnTo(bareRun, bareMark);
    returnTo(run, mark);
    runTo(run, day + 1);
    const isSalty = isTooSalty(young, mineralNitrogen(run.bed).contactZoneG);
    returnTo(run, mark);
    return !isSalty && isFed(day);
  };
}
