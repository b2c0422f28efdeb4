import type { ClimateNormals } from '../../../records/garden.ts';
import type { StartsAs } from '../../../records/vocabulary.ts';
import { dayNumberOf, type DayNumber } from '../climate/calendar.ts';
import { frostFrom, frostUntil } from '../climate/frost.ts';
import { airTemperatureC } from '../climate/weather.ts';
import { type Crop, STARTS_BETWEEN_C } from './crop-library.ts';

/** What a young plant bears. */
export interface YoungPlant {
  readonly coldestC: number;
  readonly hottestC: number;
  readonly isSown: boolean;
  /** Frost kills it. */
  readonly isTender: boolean;
  /** So long it has to grow before there is anything to harvest, days; null for what stays, or is not said. */
  readonly bearsAfterDays: number | null;
}

/** Why a day is a bad one to start, for the time of year. */
export type ClimateObstacle =
  | { readonly code: 'cold'; readonly meanC: number; readonly needsC: number }
  | { readonly code: 'frost'; readonly untilDay: DayNumber }
  | { readonly code: 'frostBeforeHarvest'; readonly frostDay: DayNumber }
  | { readonly code: 'hot'; readonly meanC: number; readonly bearsC: number };

/** Young plants are weighed over their first six weeks, days. */
const FIRST_WEEKS_DAYS = 42;
/** Seed lies so long in the soil before frost can reach what comes up, days (set here). */
const COMES_UP_AFTER_DAYS = 10;
/** After this share of its time a crop has borne so much that frost may end it (set here). */
const BORNE_SHARE = 0.6;

export const youngPlantOf = (crop: Crop, startsAs: StartsAs): YoungPlant => ({
  ...STARTS_BETWEEN_C[crop.warmth],
  isSown: startsAs === 'seed',
  isTender: crop.warmth === 'tender' || crop.warmth === 'heat',
  bearsAfterDays: crop.isPerennial ? null : BORNE_SHARE * crop.daysInGround,
});

/** What the climate has against a young plant on a day; null when it has nothing. */
export function climateObstacle(
  climate: ClimateNormals,
  { coldestC, hottestC, isSown, isTender, bearsAfterDays }: YoungPlant,
  day: DayNumber,
): ClimateObstacle | null {
  const meanC = (airTemperatureC(climate, day) + airTemperatureC(climate, day + FIRST_WEEKS_DAYS)) / 2;
  if (meanC < coldestC) return { code: 'cold', meanC, needsC: coldestC };
  const untilDay = isTender ? frostUntil(climate, isSown ? day + COMES_UP_AFTER_DAYS : day) : null;
  if (untilDay !== null) return { code: 'frost', untilDay };
  const frostDay = isTender && bearsAfterDays !== null ? frostFrom(climate, day) : null;
  if (frostDay !== null && frostDay < day + bearsAfterDays!) return { code: 'frostBeforeHarvest', frostDay };
  return meanC > hottestC ? { code: 'hot', meanC, bearsC: hottestC } : null;
}

const MID_MONTH = 15;
const SOME_YEAR = 2025;

/**
 * Months (1 to 12) in whose middle a crop may start in a climate.
 *
 * @example
 * startMonths(findLibraryCrop('tomato'), 'transplant', findClimate('cool_temperate')) // [6, 7]
 */
export const startMonths = (crop: Crop, startsAs: StartsAs, climate: ClimateNormals): number[] =>
  Array.from({ length: 12 }, (_, i) => i + 1).filter(
    (month) =>
      climateObstacle(
        climate,
        youngPlantOf(crop, startsAs),
        dayNumberOf({ year: SOME_YEAR, month, day: MID_MONTH }),
      ) === null,
  );
