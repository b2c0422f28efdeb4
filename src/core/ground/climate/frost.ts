import type { ClimateNormals } from '../../../records/garden.ts';
import { dayNumberFromIso, type DayNumber } from './calendar.ts';
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
 * The last frost of spring and the first of autumn, as they come in the middle year; null where less than every second
 * year has any, and where no night of the warmest month is safe. The air at 2 m is meant; on the ground it freezes
 * earlier and later.
 *
 * @example
 * frostDates(findClimate('southern_temperate')) // null
 */
export function frostDates(normals: ClimateNormals): FrostDates | null {
  const chances = frostByNight(normals);
  const warmest = chances.indexOf(Math.min(...chances));
  const half = Math.floor(DAYS_PER_YEAR / 2);
  const nightFrom = (step: 1 | -1): number | null => {
    let spells = 0;
    for (let i = 0; i < half; i++) {
      spells += chances[(warmest + step * i + 2 * DAYS_PER_YEAR) % DAYS_PER_YEAR] / NIGHTS_IN_A_SPELL;
      if (spells >= Math.LN2) return i;
    }
    return null;
  };
  const [before, after] = [nightFrom(-1), nightFrom(1)];
  if (before === null || after === null || before + after < 2) return null;
  const dayOf = (index: number): DayNumber => YEAR_START + ((index + DAYS_PER_YEAR) % DAYS_PER_YEAR);
  return { lastDay: dayOf(warmest - before), firstDay: dayOf(warmest + after) };
}
