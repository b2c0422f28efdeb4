import { bandShares, quantileSorted } from '../../ground/index.ts';
import type { Band, Spread } from '../../bed/index.ts';
import { OPINION_IDS, type SecondOpinions } from '../../model/index.ts';
import type { YearPoint } from './run-years.ts';

/** What stands on a day. */
const STANDING = [
  'organicMatterPct',
  'humusCarbonG',
  'charCarbonG',
  'freshCarbonG',
  'mulchCm',
  'riseCm',
  'nitrogenBankG',
] as const;
/** Totals over the year before a day: there are none for today. */
const OF_A_YEAR = [
  'nitrogenGivenG',
  'nitrogenWantedG',
  'nitrogenLostG',
  'nitrogenWashedOutG',
  'nitrogenSurplusG',
  'phosphorusG',
  'potassiumG',
  'carbonToAirG',
] as const;
/** The figures of a year that can be compared. */
export const YEAR_MEASURES = [...STANDING, ...OF_A_YEAR] as const;
export type YearMeasure = (typeof YEAR_MEASURES)[number];

/** One figure of a year. What would have to be bought is what is bought and what crops miss for good. */
export const readMeasure = (point: YearPoint, measure: YearMeasure): number =>
  measure === 'nitrogenWantedG' ? point.nitrogenBoughtG + point.cropMissedG : point[measure];

export const isOfAYear = (measure: YearMeasure): boolean =>
  (OF_A_YEAR as readonly YearMeasure[]).includes(measure);

/** What comes from tables is the same in every draw. */
const FROM_TABLES: ReadonlySet<YearMeasure> = new Set(['phosphorusG', 'potassiumG']);
export const isDrawn = (measure: YearMeasure): boolean => !FROM_TABLES.has(measure);

export function spreadOf(values: readonly number[]): Spread {
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

/** What a gram of carbon in the humus of a square meter is as organic matter, % of the soil's weight. */
export interface HumusAsMatter {
  readonly pctPerCarbonG: number;
}

/**
 * The same band, widened to what the published models find where they do not agree: theirs is humus carbon, and organic
 * matter as far as it differs by that. Other measures they know nothing of.
 */
export function widenedByOpinions(
  band: Band,
  measure: YearMeasure,
  {
    points,
    opinions,
    pctPerCarbonG,
  }: HumusAsMatter & { readonly points: readonly YearPoint[]; readonly opinions: SecondOpinions },
): Band {
  if (measure !== 'humusCarbonG' && measure !== 'organicMatterPct') return band;
  const perG = measure === 'humusCarbonG' ? 1 : pctPerCarbonG;
  const theirs = points.map((point, i) =>
    OPINION_IDS.map((id) => point[measure] + (opinions[id][i] - point.humusCarbonG) * perG),
  );
  return {
    low: band.low.map((value, i) => Math.max(0, Math.min(value, ...theirs[i]))),
    middle: band.middle,
    high: band.high.map((value, i) => Math.max(value, ...theirs[i])),
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
