import type { Treatment } from '../../../records/lot.ts';
import type { Keeping } from '../../../records/vocabulary.ts';
import { type DayNumber, airTemperatureC, calendarDateOf, clamp } from '../../ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import type { ModelParameters } from '../../model/index.ts';

/** A probe put into the heap. */
export interface TemperatureReading {
  readonly day: DayNumber;
  readonly temperatureC: number;
}

/** Where an open heap's moisture is drawn to: half water, more where it rains more than it dries (set here). */
const OPEN_MIDDLE = 0.5;
const OPEN_SWING = 0.2;
const WATERED = 0.6;
const ROOFED = 0.2;
/** Days in which two thirds of the way are gone (set here). */
const MOISTURE_DAYS = 60;

/**
 * Moisture, wet basis, that a lot kept so is drawn to in the weather of a day; null where it keeps what it has.
 * Set here: nobody publishes how a backyard heap wets and dries.
 */
export function restingMoisture(keeping: Keeping, climate: ClimateNormals, day: DayNumber): number | null {
  switch (keeping) {
    case 'covered':
    case 'shut':
      return null;
    case 'roofed':
      return ROOFED;
    case 'watered':
      return WATERED;
    case 'open': {
      const { month } = calendarDateOf(day);
      const rain = climate.rainMm[month - 1];
      const drying = climate.evapotranspirationMm[month - 1];
      const balance = rain + drying > 0 ? (rain - drying) / (rain + drying) : 0;
      return OPEN_MIDDLE + OPEN_SWING * balance;
    }
  }
}

/**
 * Moisture at the end of a day.
 *
 * @example
 * moistureNextDay(0.6, 0.5) // 0.598
 */
export function moistureNextDay(moisture: number, resting: number | null): number {
  return resting === null ? moisture : moisture + (resting - moisture) * (1 - Math.exp(-1 / MOISTURE_DAYS));
}

/**
 * Factor on decay by moisture, wet basis: right from 40 to 65 %, none below 12 %, slow for want of air when wetter
 * (NRAES-54 gives 40-65 % as workable, from memory; the slopes are set here).
 *
 * @example
 * moistureFactor(0.3) // 0.643
 */
export function moistureFactor(moisture: number): number {
  const dry = clamp((moisture - 0.12) / (0.4 - 0.12), 0, 1);
  const wet = 1 - 0.6 * clamp((moisture - 0.65) / 0.15, 0, 1);
  return dry * wet;
}

/** Air in the heap: turned against still; a bag or drum lets little in. */
export function airFactor({ keeping, isTurned }: Treatment, p: ModelParameters): number {
  return (isTurned ? p.turnedPileFactor : p.stillPileFactor) * (keeping === 'shut' ? 0.5 : 1);
}

/**
 * A heap is hot within days, stays so for two to three weeks and is cool after two months (NRAES-54, from memory; shape
 * set here).
 */
const HEATS_UP_DAYS = 1.5;
const PEAK_FACTOR = 1.25;
const HALF_COOLED_FACTOR = 0.85;
const COOLING_STEEPNESS = 3;

/**
 * What a hot heap has over the air, degrees C, so many days after it was made or last added to. Summed over time it is what the
 * pile mode of the model has, give or take a quarter.
 *
 * @example
 * selfHeatingC(7, defaultParameters) // 48.3
 */
export function selfHeatingC(days: number, p: ModelParameters): number {
  const rise = 1 - Math.exp(-days / HEATS_UP_DAYS);
  const fall = 1 / (1 + (days / (HALF_COOLED_FACTOR * p.pileCoolingDays)) ** COOLING_STEEPNESS);
  return PEAK_FACTOR * p.pileHeatingC * rise * fall;
}

/** Readings further apart than this say nothing of the days between (set here). */
export const READINGS_JOINED_DAYS = 21;

/**
 * Warmth of a lot on a day, degrees C. Between two readings the excess over the air runs straight; after the last it
 * fades as the model's self-heating does; where nothing was read, the model's self-heating since `heatingFrom` counts.
 */
export function heapTemperatureC({
  climate,
  day,
  treatment,
  heatingFrom,
  readings,
  p,
}: {
  readonly climate: ClimateNormals;
  readonly day: DayNumber;
  readonly treatment: Treatment;
  readonly heatingFrom: DayNumber;
  readonly readings: readonly TemperatureReading[];
  readonly p: ModelParameters;
}): number {
  const airC = airTemperatureC(climate, day);
  const excessAt = ({ day: on, temperatureC }: TemperatureReading) =>
    temperatureC - airTemperatureC(climate, on);
  const after = readings.find((one) => one.day >= day);
  const before = readings.findLast((one) => one.day <= day && one.day >= heatingFrom);
  if (before && after && after.day - before.day <= READINGS_JOINED_DAYS) {
    const share = after.day === before.day ? 0 : (day - before.day) / (after.day - before.day);
    return airC + excessAt(before) + (excessAt(after) - excessAt(before)) * share;
  }
  if (before) return airC + excessAt(before) * Math.exp(-(day - before.day) / p.pileCoolingDays);
  if (!treatment.isHot) return airC;
  return airC + selfHeatingC(day - heatingFrom, p);
}
