import type { ClimateNormals } from '../../../records/garden.ts';
import {
  type DayNumber,
  airTemperatureC,
  calendarDateOf,
  dayNumberOf,
  isSouthern,
} from '../../ground/index.ts';
import type { CropPlan } from '../../model/index.ts';
import type { FedPlanting, FeedingRules, UnmetReason } from './feeding-plan.ts';

/** So close to the harvest a dose no longer becomes crop (common practice, no source). */
export const LAST_DOSE_BEFORE_HARVEST_DAYS = 21;
/** Less than this in one go is not worth the walk, g/m2 (set here). */
export const LEAST_DOSE_G_PER_M2 = 1;
/** Young seedlings bear no more than this in one go, g/m2, for so long after sowing (common practice, no source). */
export const SEEDLINGS_BEAR_G_PER_M2 = 3;
const SEEDLING_DAYS = 21;
/** In soil colder than this feed waits unused, and is washed out (common practice, no source). */
const COLD_BELOW_C = 7;
/** Woody plants are not fed later than this, or they make soft growth that frost takes (common practice, no source). */
const MIDSUMMER = { north: { month: 6, day: 30 }, south: { month: 12, day: 31 } } as const;

/** Crops of a bed under its climate, with what is known of them. */
export interface FedCrops {
  readonly crops: ReadonlyMap<string, CropPlan>;
  readonly rules: FeedingRules;
  readonly climate: ClimateNormals;
}

/** Whether feed would wait in the cold on a day. */
export const isTooColdToFeed = (climate: ClimateNormals, day: DayNumber): boolean =>
  airTemperatureC(climate, day) < COLD_BELOW_C;

/** The first midsummer on or after a day. */
function midsummerFrom(day: DayNumber, climate: ClimateNormals): DayNumber {
  const { year } = calendarDateOf(day);
  const date = MIDSUMMER[isSouthern(climate) ? 'south' : 'north'];
  const midsummer = dayNumberOf({ year, ...date });
  return midsummer >= day ? midsummer : dayNumberOf({ year: year + 1, ...date });
}

const plantingOf = (cropId: string, { plantings }: FeedingRules): FedPlanting | undefined =>
  plantings.find(({ id }) => cropId === id || cropId.startsWith(`${id}:`));

/** Last day on which feeding a crop still does it good. */
export function lastDayFor(plan: CropPlan, fed: FedCrops): DayNumber {
  const last = plan.harvestDay - LAST_DOSE_BEFORE_HARVEST_DAYS;
  return plantingOf(plan.id, fed.rules)?.isWoody
    ? Math.min(last, midsummerFrom(plan.plantDay, fed.climate))
    : last;
}

/** What forbids feeding every one of these crops on a day; null when nothing does. */
export function obstacleOn(fed: FedCrops, day: DayNumber, cropIds: readonly string[]): UnmetReason | null {
  if (isTooColdToFeed(fed.climate, day)) return 'tooCold';
  const plans = cropIds.map((id) => fed.crops.get(id)!);
  if (plans.some((plan) => day <= lastDayFor(plan, fed))) return null;
  const isPastHarvest = plans.every(({ harvestDay }) => day > harvestDay - LAST_DOSE_BEFORE_HARVEST_DAYS);
  return isPastHarvest ? 'tooLate' : 'afterMidsummer';
}

/** Seedlings that bear little stand there. */
export const areTender = ({ crops, rules }: FedCrops, day: DayNumber): boolean =>
  [...crops.values()].some(
    ({ id, plantDay }) =>
      plantDay <= day && day < plantDay + SEEDLING_DAYS && plantingOf(id, rules)?.isSown === true,
  );
