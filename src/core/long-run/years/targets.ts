import { InputError, requireNumber } from '../../../refusals/input-error.ts';
import { bracketedRoot } from '../../ground/index.ts';
import type { YearPoint } from './run-years.ts';
import { type LimitSetting, type YearLimit, limitsYearByYear, worstOfEach } from './year-limits.ts';

/** What somebody wants to have reached. */
export type Target =
  /** Organic matter of at least so many percent. */
  | { readonly type: 'organicMatter'; readonly pct: number }
  /** Crops miss nothing to speak of, and nothing is bought, in that year and ever after. */
  | { readonly type: 'noBoughtNitrogen' }
  /** Char carbon on the whole area that outlasts a century, kg. */
  | { readonly type: 'lastingCarbon'; readonly massKg: number; readonly areaM2: number };

/** Crops that miss no more than this share of their nitrogen do not show it (set here, as the schools have it). */
export const NOT_MISSED_SHARE = 0.05;
const GRAMS_PER_KG = 1000;

/** Throws InputError naming the field for a target nobody can mean. */
export function checkTarget(target: Target): void {
  if (target.type === 'organicMatter') requireNumber(target.pct, ['pct'], { above: 0, max: 60 });
  if (target.type === 'lastingCarbon') requireNumber(target.massKg, ['massKg'], { above: 0, max: 1e7 });
}

/** How far a point is from the target: 0 or more where it is met. */
export function marginOf(target: Target, point: YearPoint): number {
  switch (target.type) {
    case 'organicMatter':
      return point.organicMatterPct - target.pct;
    case 'lastingCarbon':
      return (point.lastingCharG[1] * target.areaM2) / GRAMS_PER_KG - target.massKg;
    case 'noBoughtNitrogen':
      return NOT_MISSED_SHARE * point.cropWantG - point.cropMissedG - point.nitrogenBoughtG;
  }
}

/** Whether a target is about a state that stands today already, or about what happens in a year. */
const isAboutYears = ({ type }: Target): boolean => type === 'noBoughtNitrogen';

/**
 * The first of the years ahead from which a target is met, 0 for today; null when it is not within the points. What is
 * a statement about whole years (nothing bought) must hold in every later year too.
 */
export function firstYearReached(target: Target, points: readonly YearPoint[]): number | null {
  if (!isAboutYears(target)) {
    return points.find((point) => marginOf(target, point) >= 0)?.yearsAhead ?? null;
  }
  const years = points.filter(({ yearsAhead }) => yearsAhead > 0);
  const lastMissed = years.findLastIndex((point) => marginOf(target, point) < 0);
  return years[lastMissed + 1]?.yearsAhead ?? null;
}

export interface TargetOdds {
  readonly firstYear: number | null;
  /** Share of the draws that have reached it by each year, by years ahead. */
  readonly reachedShare: readonly number[];
  readonly draws: number;
}

/** The year in which the model's default run reaches a target, and how many of the draws reach it by which year. */
export function targetOdds(
  target: Target,
  points: readonly YearPoint[],
  draws: readonly (readonly YearPoint[])[],
): TargetOdds {
  const reached = draws.map((draw) => firstYearReached(target, draw));
  return {
    firstYear: firstYearReached(target, points),
    reachedShare: points.map(({ yearsAhead }) =>
      draws.length === 0
        ? 0
        : reached.filter((year) => year !== null && year <= yearsAhead).length / draws.length,
    ),
    draws: draws.length,
  };
}

/** How much of something every time reaches a target in time. */
export type AmountAnswer =
  | {
      readonly status: 'solved';
      readonly amount: number;
      /** The answer lies between these. */
      readonly low: number;
      readonly high: number;
      readonly runs: number;
      readonly way: WayThere;
    }
  /** The target is met without any. */
  | { readonly status: 'notNeeded'; readonly runs: number }
  /** Even the most that can be laid at a time does not reach it. */
  | {
      readonly status: 'infeasible';
      readonly most: number;
      readonly shortfall: number;
      readonly runs: number;
      readonly way: WayThere;
    };

/** What an amount does on its way that none of it would not do. */
export interface WayThere {
  readonly passed: readonly YearLimit[];
  /** The most that passes no limit; null where none is passed. */
  readonly within: AmountWithin | null;
}

export interface AmountWithin {
  readonly amount: number;
  /** What it has come to in the year asked for. */
  readonly point: YearPoint;
}

export interface AmountSearch {
  readonly target: Target;
  readonly byYear: number;
  /** The most that may be tried. */
  readonly most: number;
  readonly tolerance: number;
  /** What the way there is held against; null when nobody asks. */
  readonly limits: LimitSetting | null;
}

/**
 * The limits that an amount passes in years in which none of it does not, and the most that passes none. Amounts between are halved until
 * they are within the tolerance.
 */
function wayThere(
  amount: number,
  { byYear, tolerance, limits }: AmountSearch,
  pointsWith: (amount: number) => readonly YearPoint[],
): WayThere {
  if (!limits) return { passed: [], within: null };
  const key = ({ yearsAhead, limit }: YearLimit) => `${limit.code} ${yearsAhead}`;
  const standing = new Set(limitsYearByYear(pointsWith(0), limits).map(key));
  const passedBy = (points: readonly YearPoint[]) =>
    worstOfEach(limitsYearByYear(points, limits).filter((one) => !standing.has(key(one))));
  const passed = passedBy(pointsWith(amount));
  if (passed.length === 0) return { passed, within: null };
  let [low, high] = [0, amount];
  while (high - low > tolerance) {
    const middle = (low + high) / 2;
    if (passedBy(pointsWith(middle)).length > 0) high = middle;
    else low = middle;
  }
  const point = pointsWith(low).find(({ yearsAhead }) => yearsAhead === byYear)!;
  return { passed, within: { amount: low, point } };
}

/**
 * The least amount with which a target is met in year `byYear`. `pointsWith` runs the habit with an amount (0 for
 * none) and gives its points. Throws InputError when the year lies outside what is run.
 */
export function amountFor(
  search: AmountSearch,
  pointsOf: (amount: number) => readonly YearPoint[],
): AmountAnswer {
  const { target, byYear, most, tolerance } = search;
  let runs = 0;
  const known = new Map<number, readonly YearPoint[]>();
  const pointsWith = (amount: number): readonly YearPoint[] => {
    const points = known.get(amount);
    if (points) return points;
    runs += 1;
    const found = pointsOf(amount);
    known.set(amount, found);
    return found;
  };
  const marginWith = (amount: number): number => {
    const point = pointsWith(amount).find(({ yearsAhead }) => yearsAhead === byYear);
    if (!point) throw new InputError(['byYear'], 'beyondTheYears', { year: byYear });
    return marginOf(target, point);
  };
  if (marginWith(0) >= 0) return { status: 'notNeeded', runs };
  const best = marginWith(most);
  if (best < 0) {
    const way = wayThere(most, search, pointsWith);
    return { status: 'infeasible', most, shortfall: -best, runs, way };
  }
  const { at, low, high } = bracketedRoot(marginWith, { low: 0, high: most, tolerance });
  const way = wayThere(at, search, pointsWith);
  return { status: 'solved', amount: at, low, high, runs, way };
}
