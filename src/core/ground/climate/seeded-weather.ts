import { seededStream } from '../numerics/seeded-stream.ts';
import { normalDraw } from '../numerics/spreads.ts';

/** How the weather of single years strays from the monthly normals. Repeatable: a seed always means the same years. */
export interface SeededWeather {
  /** A whole number from 0 to 2147483647. */
  readonly seed: number;
  /** Spread of a monthly mean temperature, degrees C. */
  readonly temperatureSdC: number;
  /** Spread of the logarithm of the rain of a month. */
  readonly rainSd: number;
  /** Share of both spreads that a whole year has in common, 0 to 1. */
  readonly yearShare: number;
  /** Rise of evapotranspiration per degree C, as a share of it. */
  readonly evapotranspirationPerC: number;
  /** Fall of evapotranspiration per unit of the logarithm of rain, as a share of it. */
  readonly evapotranspirationPerLogRain: number;
}

/** Temperate normals (set here). */
export const SEEDED_WEATHER_DEFAULTS = {
  temperatureSdC: 1.6,
  rainSd: 0.45,
  yearShare: 0.05,
  evapotranspirationPerC: 0.04,
  evapotranspirationPerLogRain: 0.15,
} as const satisfies Omit<SeededWeather, 'seed'>;

export const LARGEST_SEED = 2_147_483_647;
const LEAST_EVAPOTRANSPIRATION = 0.3;
const SEED_FACTOR = 2_654_435_761;
const MONTH_FACTOR = 40_503;
const MONTH_OFFSET = 97;

/** One month of one year: what is added to its mean temperature, and the factors on rain and evapotranspiration. */
export interface MonthAnomaly {
  readonly temperatureC: number;
  readonly logRain: number;
  readonly rainFactor: number;
  readonly evapotranspirationFactor: number;
}

/** How `month` (1 to 12) of `year` strays from its normals. */
export function monthAnomaly(weather: SeededWeather, year: number, month: number): MonthAnomaly {
  const base = Math.imul(weather.seed, SEED_FACTOR);
  const ofYear = seededStream(base + 12 * year * MONTH_FACTOR);
  const ofMonth = seededStream(base + (12 * year + month) * MONTH_FACTOR + MONTH_OFFSET);
  const inCommon = Math.sqrt(weather.yearShare);
  const ownPart = Math.sqrt(1 - weather.yearShare);
  const yearWarmth = normalDraw(ofYear);
  const yearRain = normalDraw(ofYear);
  const monthWarmth = normalDraw(ofMonth);
  const monthRain = normalDraw(ofMonth);
  const temperatureC = weather.temperatureSdC * (inCommon * yearWarmth + ownPart * monthWarmth);
  const logRain = weather.rainSd * (inCommon * yearRain + ownPart * monthRain) - weather.rainSd ** 2 / 2;
  return {
    temperatureC,
    logRain,
    rainFactor: Math.exp(logRain),
    evapotranspirationFactor: Math.max(
      LEAST_EVAPOTRANSPIRATION,
      1 + weather.evapotranspirationPerC * temperatureC - weather.evapotranspirationPerLogRain * logRain,
    ),
  };
}
