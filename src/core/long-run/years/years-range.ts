import { bandShares, quantileSorted } from '../../ground/index.ts';
import type { Band, Spread } from '../../bed/index.ts';
import type { YearPoint } from './run-years.ts';

/** The figures of a year that can be compared. */
export const YEAR_MEASURES = [
  'organicMatterPct',
  'humusCarbonG',
  'charCarbonG',
  'freshCarbonG',
  'mulchCm',
  'riseCm',
  'nitrogenGivenG',
  'nitrogenBankG',
  'nitrogenWantedG',
  'carbonToAirG',
] as const;
export type YearMeasure = (typeof YEAR_MEASURES)[number];

/** One figure of a year. What would have to be bought is what is bought and what crops miss for good. */
export const readMeasure = (point: YearPoint, measure: YearMeasure): number =>
  measure === 'nitrogenWantedG' ? point.nitrogenBoughtG + point.cropMissedG : point[measure];

/** These are totals over the year before a day, so there are none for today. */
const OF_A_YEAR: ReadonlySet<YearMeasure> = new Set(['nitrogenGivenG', 'nitrogenWantedG', 'carbonToAirG']);
export const isOfAYear = (measure: YearMeasure): boolean => OF_A_YEAR.has(measure);

function spreadOf(values: readonly number[]): Spread {
  const sorted = Float64Array.from(values).sort();
  const [low, middle, high] = bandShares(sorted.length).map((share) => quantileSorted(sorted, share));
  return { low, middle, high };
}

type Draws = readonly (readonly YearPoint[])[];

/** Between what figures a measure lies in 8 of 10 draws, year by year. At least one draw. */
export function bandOfYears(draws: Draws, measure: YearMeasure): Band {
  const spreads = draws[0].map((_, i) => spreadOf(draws.map((draw) => readMeasure(draw[i], measure))));
  return {
    low: spreads.map(({ low }) => low),
    middle: spreads.map(({ middle }) => middle),
    high: spreads.map(({ high }) => high),
  };
}

/**
 * How much more one habit comes to than another in one year: the draws of both are of the same soils and parameters, so
 * they are compared pair by pair and what both share falls out. Null where there is no pair.
 */
export function differenceOf({
  draws,
  others,
  yearsAhead,
  measure,
}: {
  readonly draws: Draws;
  readonly others: Draws;
  readonly yearsAhead: number;
  readonly measure: YearMeasure;
}): Spread | null {
  const pairs = Math.min(draws.length, others.length);
  if (pairs === 0) return null;
  const at = (draw: readonly YearPoint[]) => readMeasure(draw[yearsAhead], measure);
  return spreadOf(Array.from({ length: pairs }, (_, i) => at(draws[i]) - at(others[i])));
}
