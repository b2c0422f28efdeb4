import { type DayNumber, airTemperatureC, smoothStep, sumOverDays } from '../../ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import type { ModelParameters } from './parameters.ts';
import { CONTACT_ZONE_CM, type CropPlan } from './scenario.ts';

/**
 * Day-degrees that a day of `airC` degrees C gives a crop.
 *
 * @example
 * dayDegrees(18, defaultParameters) // 14
 */
export const dayDegrees = (airC: number, p: ModelParameters): number =>
  Math.max(0, Math.min(airC, p.cropWarmestC) - p.cropBaseC);

/** Day-degrees between two days by the normals: what a crop planted and harvested then grows by. */
export const normalDayDegrees = (
  climate: ClimateNormals,
  fromDay: DayNumber,
  untilDay: DayNumber,
  p: ModelParameters,
): number => sumOverDays(climate, fromDay, untilDay, (airC) => dayDegrees(airC, p));

/** Share of its growth a crop has done on the morning of a day in years as the normals have them, 0 to 1. */
export function normalProgress(
  crop: Pick<CropPlan, 'plantDay' | 'harvestDay'>,
  climate: ClimateNormals,
  day: DayNumber,
  p: ModelParameters,
): number {
  if (day <= crop.plantDay) return 0;
  if (day >= crop.harvestDay) return 1;
  const needed = normalDayDegrees(climate, crop.plantDay, crop.harvestDay, p);
  return needed > 0
    ? normalDayDegrees(climate, crop.plantDay, day, p) / needed
    : (day - crop.plantDay) / (crop.harvestDay - crop.plantDay);
}

/** The first morning on which a crop has done such a share of its growth in years as the normals have them. */
export function dayOfProgress(
  crop: Pick<CropPlan, 'plantDay' | 'harvestDay'>,
  climate: ClimateNormals,
  progress: number,
  p: ModelParameters,
): DayNumber {
  const needed = normalDayDegrees(climate, crop.plantDay, crop.harvestDay, p);
  if (!(needed > 0)) return crop.plantDay + Math.ceil(progress * (crop.harvestDay - crop.plantDay));
  let day = crop.plantDay;
  for (let grown = 0; grown < progress * needed && day < crop.harvestDay; day++) {
    grown += dayDegrees(airTemperatureC(climate, day), p);
  }
  return day;
}

/** Progress at which a quarter of the demand is behind, and three quarters: smoothStep of it is 0.25 and 0.75. */
const QUARTERS_AT = [0.326352, 0.673648] as const;

/**
 * The mornings between which a crop wants the middle half of its nitrogen in years as the normals have them: when it
 * is hungriest.
 */
export const hungriestBetween = (
  crop: Pick<CropPlan, 'plantDay' | 'harvestDay'>,
  climate: ClimateNormals,
  p: ModelParameters,
): readonly [from: DayNumber, until: DayNumber] => [
  dayOfProgress(crop, climate, QUARTERS_AT[0], p),
  dayOfProgress(crop, climate, QUARTERS_AT[1], p),
];

/** What a crop wants between two mornings in years as the normals have them, g N/m2. */
export const normalDemandBetween = (
  crop: CropPlan,
  climate: ClimateNormals,
  fromDay: DayNumber,
  untilDay: DayNumber,
  p: ModelParameters,
): number =>
  crop.nitrogenDemandGPerM2 *
  (smoothStep(normalProgress(crop, climate, untilDay, p)) -
    smoothStep(normalProgress(crop, climate, fromDay, p)));

/**
 * Depth of the roots at a progress of 0 to 1, cm.
 *
 * @example
 * rootDepthCm(60, 0.5, false, defaultParameters) // 50.8
 */
export function rootDepthCm(
  fullDepthCm: number,
  progress: number,
  isPerennial: boolean,
  p: ModelParameters,
): number {
  const full = Math.max(CONTACT_ZONE_CM, fullDepthCm);
  return isPerennial
    ? full
    : CONTACT_ZONE_CM + (full - CONTACT_ZONE_CM) * Math.min(1, progress / p.rootsFullAtProgress);
}
