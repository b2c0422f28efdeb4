import type { ClimateNormals } from '../../../records/garden.ts';
import { calendarDateOf, dayNumberFromIso, dayNumberOf, type DayNumber } from './calendar.ts';
import { airTemperatureC } from './weather.ts';

/**
 * How much warmer a day is than its night, degrees C: less where it rains as much as evaporates, more where it is dry.
 * How far single nights lie from the mean (standard deviation), degrees C, and how much further for each degree between
 * the coldest and the warmest month. And how many frosty nights come in one spell. All calibrated: `frost.test.ts` holds
 * the dates of nineteen stations, half of them within ten days, the worst a month.
 */
const DAILY_RANGE_C = { wet: 8.8, dry: 13 } as const;
const NIGHTS_APART_C = 2.6;
const NIGHTS_APART_PER_C = 0.045;
const NIGHTS_IN_A_SPELL = 1.2;
/** With fewer nights between the last frost and the first there is no time without frost (set here). */
const SHORTEST_SUMMER_DAYS = 21;
const MONTHS = 12;
const DAYS_PER_YEAR = 365;
/** A year without a leap day, to count days in. */
const YEAR_START = dayNumberFromIso('2025-01-01', []);

export interface FrostDates {
  /** Of the last frost of spring and the first of autumn in every second year, as days of 2025. */
  readonly lastDay: DayNumber;
  readonly firstDay: DayNumber;
}

/**
 * Mean of the nightly minimum of a month (0 for January), degrees C, by the mean, the rain and the evapotranspiration.
 *
 * @example
 * nightlyMinimumC(findClimate('cool_temperate'), 6) // 10.4
 */
export function nightlyMinimumC(
  { temperatureC, rainMm, evapotranspirationMm }: ClimateNormals,
  month: number,
): number {
  const wetness = Math.min(1, rainMm[month] / Math.max(1, evapotranspirationMm[month]));
  const rangeC = DAILY_RANGE_C.dry - (DAILY_RANGE_C.dry - DAILY_RANGE_C.wet) * wetness;
  return temperatureC[month] - rangeC / 2;
}

/** Share of nights with frost, for a mean minimum: a normal distribution by its logistic likeness. */
const chanceOfFrost = (minimumC: number, nightsApartC: number): number =>
  1 / (1 + Math.exp((1.702 * minimumC) / nightsApartC));

/** Chance of frost in each night of a year, index 0 = 1 January. */
function frostByNight(normals: ClimateNormals): number[] {
  const minima = {
    ...normals,
    temperatureC: Array.from({ length: MONTHS }, (_, month) => nightlyMinimumC(normals, month)),
  };
  const amplitudeC = Math.max(...normals.temperatureC) - Math.min(...normals.temperatureC);
  const nightsApartC = NIGHTS_APART_C + NIGHTS_APART_PER_C * amplitudeC;
  return Array.from({ length: DAYS_PER_YEAR }, (_, i) =>
    chanceOfFrost(airTemperatureC(minima, YEAR_START + i), nightsApartC),
  );
}

/**
 * The last frost of spring and the first of autumn, as they come in the middle year; 'none' where it does not freeze in
 * every second year, 'anyMonth' where the two are less than three weeks apart: no month is free of frost then. The air at
 * 2 m is meant; on the ground it freezes earlier and later.
 *
 * @example
 * frostDates(findClimate('cool_temperate')).lastDay - dayNumberFromIso('2025-01-01') // 133
 */
export function frostDates(normals: ClimateNormals): FrostDates | 'none' | 'anyMonth' {
  const chances = frostByNight(normals);
  const warmest = chances.indexOf(Math.min(...chances));
  const [before, after] = [safeNights(chances, warmest, -1), safeNights(chances, warmest, 1)];
  if (before === null || after === null) return 'none';
  if (before + after < SHORTEST_SUMMER_DAYS) return 'anyMonth';
  const dayOf = (index: number): DayNumber => YEAR_START + ((index + DAYS_PER_YEAR) % DAYS_PER_YEAR);
  return { lastDay: dayOf(warmest - before), firstDay: dayOf(warmest + after) };
}

/** Nights from one on, forwards or backwards, until a spell of frost has come in every second year; null when none has. */
function safeNights(chances: readonly number[], from: number, step: 1 | -1): number | null {
  let spells = 0;
  for (let i = 0; i < DAYS_PER_YEAR / 2; i++) {
    spells += chances[(from + step * i + DAYS_PER_YEAR) % DAYS_PER_YEAR] / NIGHTS_IN_A_SPELL;
    if (spells >= Math.LN2) return i;
  }
  return null;
}

const known = new WeakMap<ClimateNormals, ReturnType<typeof frostDates>>();

/** The same for the same months, worked out once. */
function frostDatesOf(normals: ClimateNormals): ReturnType<typeof frostDates> {
  const dates = known.get(normals) ?? frostDates(normals);
  known.set(normals, dates);
  return dates;
}

/** Days from a day to one of the year, counted forward. */
function daysUntil(day: DayNumber, dayIn2025: DayNumber): number {
  const at = day - dayNumberOf({ year: calendarDateOf(day).year, month: 1, day: 1 });
  return (dayIn2025 - YEAR_START - at + 2 * DAYS_PER_YEAR) % DAYS_PER_YEAR;
}

/**
 * Until when frost is to be reckoned with on a day: the last frost of the spring to come. Null in the months without, and
 * where there are none with. Where it may freeze in any month, a year later.
 *
 * @example
 * frostUntil(findClimate('cool_temperate'), dayNumberFromIso('2026-07-15')) // null
 */
export function frostUntil(normals: ClimateNormals, day: DayNumber): DayNumber | null {
  const dates = frostDatesOf(normals);
  if (dates === 'none') return null;
  if (dates === 'anyMonth') return day + DAYS_PER_YEAR;
  const [toLast, toFirst] = [daysUntil(day, dates.lastDay), daysUntil(day, dates.firstDay)];
  const isFree = toFirst < toLast && toFirst > 0;
  return isFree || toLast === 0 ? null : day + toLast;
}

/** When frost comes next after a day without; null where there is none. */
export function frostFrom(normals: ClimateNormals, day: DayNumber): DayNumber | null {
  const dates = frostDatesOf(normals);
  if (dates === 'none') return null;
  return dates === 'anyMonth' ? day : day + daysUntil(day, dates.firstDay);
}
