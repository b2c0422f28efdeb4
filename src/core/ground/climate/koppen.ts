import type { ClimateNormals } from '../../../records/garden.ts';
import { total } from '../numerics/total.ts';

/** Classes of Köppen and Geiger, as letters: "Cfb". */
export type KoppenClass = string;

type Normals = Pick<ClimateNormals, 'temperatureC' | 'rainMm'>;

/** Half-years by month index: October to March, and April to September. */
const OCTOBER_TO_MARCH = [9, 10, 11, 0, 1, 2] as const;
const APRIL_TO_SEPTEMBER = [3, 4, 5, 6, 7, 8] as const;

/**
 * The class of a climate by its monthly means, after Peel, Finlayson and McMahon (2007), with 0 C between C and D (from
 * memory). Tropical climates with a dry season are Aw, whichever half-year it falls into.
 *
 * @example
 * koppenClass(findClimate('cool_temperate')) // "Cfb"
 */
export function koppenClass({ temperatureC, rainMm }: Normals): KoppenClass {
  const hottest = Math.max(...temperatureC);
  const coldest = Math.min(...temperatureC);
  if (hottest < 10) return hottest > 0 ? 'ET' : 'EF';
  const halves = halfYears(temperatureC);
  const dry = dryClass({ temperatureC, rainMm }, halves);
  if (dry !== null) return dry;
  const rain = rainByHalf(rainMm, halves);
  if (coldest >= 18) return tropicalClass(rainMm);
  const letter = coldest > 0 ? 'C' : 'D';
  return letter + seasonOfDrought(rain) + summerLetter(temperatureC, letter === 'D' && coldest < -38);
}

interface HalfYears {
  readonly summer: readonly number[];
  readonly winter: readonly number[];
}

/** The warmer half-year is summer, whichever half of the earth it is. */
function halfYears(temperatureC: readonly number[]): HalfYears {
  const warmth = (months: readonly number[]) => total(months.map((month) => temperatureC[month]));
  return warmth(OCTOBER_TO_MARCH) > warmth(APRIL_TO_SEPTEMBER)
    ? { summer: OCTOBER_TO_MARCH, winter: APRIL_TO_SEPTEMBER }
    : { summer: APRIL_TO_SEPTEMBER, winter: OCTOBER_TO_MARCH };
}

function dryClass({ temperatureC, rainMm }: Normals, { summer, winter }: HalfYears): KoppenClass | null {
  const yearC = total(temperatureC) / temperatureC.length;
  const yearMm = total(rainMm);
  const shareOf = (months: readonly number[]) => total(months.map((month) => rainMm[month])) / yearMm;
  const added = shareOf(winter) >= 0.7 ? 0 : shareOf(summer) >= 0.7 ? 28 : 14;
  const threshold = 2 * yearC + added;
  if (yearMm >= 10 * threshold) return null;
  return `B${yearMm < 5 * threshold ? 'W' : 'S'}${yearC >= 18 ? 'h' : 'k'}`;
}

interface RainByHalf {
  readonly driestSummerMm: number;
  readonly driestWinterMm: number;
  readonly wettestSummerMm: number;
  readonly wettestWinterMm: number;
}

function rainByHalf(rainMm: readonly number[], { summer, winter }: HalfYears): RainByHalf {
  const of = (months: readonly number[]) => months.map((month) => rainMm[month]);
  return {
    driestSummerMm: Math.min(...of(summer)),
    driestWinterMm: Math.min(...of(winter)),
    wettestSummerMm: Math.max(...of(summer)),
    wettestWinterMm: Math.max(...of(winter)),
  };
}

function tropicalClass(rainMm: readonly number[]): KoppenClass {
  const driestMm = Math.min(...rainMm);
  if (driestMm >= 60) return 'Af';
  return driestMm >= 100 - total(rainMm) / 25 ? 'Am' : 'Aw';
}

function seasonOfDrought(rain: RainByHalf): 's' | 'w' | 'f' {
  const { driestSummerMm, driestWinterMm, wettestSummerMm, wettestWinterMm } = rain;
  const isDrySummer = driestSummerMm < 40 && driestSummerMm < wettestWinterMm / 3;
  const isDryWinter = driestWinterMm < wettestSummerMm / 10;
  if (isDrySummer && !(isDryWinter && driestWinterMm < driestSummerMm)) return 's';
  return isDryWinter ? 'w' : 'f';
}

function summerLetter(temperatureC: readonly number[], isBitter: boolean): 'a' | 'b' | 'c' | 'd' {
  if (Math.max(...temperatureC) >= 22) return 'a';
  if (temperatureC.filter((mean) => mean >= 10).length >= 4) return 'b';
  return isBitter ? 'd' : 'c';
}
