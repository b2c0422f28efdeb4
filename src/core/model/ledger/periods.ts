import { type DayNumber, calendarDateOf, dayNumberOf } from '../../ground/index.ts';

export const PERIOD_KINDS = ['month', 'season', 'year', 'all'] as const;
export type PeriodKind = (typeof PERIOD_KINDS)[number];

/** From the morning of `fromDay` to the morning of `untilDay`. */
export interface Period {
  readonly fromDay: DayNumber;
  readonly untilDay: DayNumber;
}

const MONTHS: Record<Exclude<PeriodKind, 'all'>, number> = { month: 1, season: 3, year: 12 };
/** Seasons of three months begin in March, June, September and December. */
const FIRST_SEASON_MONTH = 3;

const firstOf = (monthIndex: number): DayNumber =>
  dayNumberOf({ year: Math.floor(monthIndex / 12), month: (monthIndex % 12) + 1, day: 1 });

const monthIndexOf = (day: DayNumber): number => {
  const { year, month } = calendarDateOf(day);
  return year * 12 + month - 1;
};

/** The calendar month, season or year that holds `day`, cut to the run; the whole run for 'all'. */
export function periodAround(day: DayNumber, kind: PeriodKind, run: Period): Period {
  if (kind === 'all') return run;
  const length = MONTHS[kind];
  const offset = kind === 'season' ? FIRST_SEASON_MONTH - 1 : 0;
  const index = monthIndexOf(day);
  const start = index - ((((index - offset) % length) + length) % length);
  return {
    fromDay: Math.max(run.fromDay, firstOf(start)),
    untilDay: Math.min(run.untilDay, firstOf(start + length)),
  };
}

/** Whether what is posted in a period was worked out from what is written down, or is forecast. */
export type Basis = 'facts' | 'forecast';

/** A period parted where the forecast begins: what lies before, and what after; neither is empty. */
export function partedAt(
  { fromDay, untilDay }: Period,
  forecastFromDay: DayNumber,
): (Period & { readonly basis: Basis })[] {
  const parts = [
    { fromDay, untilDay: Math.min(untilDay, forecastFromDay), basis: 'facts' as const },
    { fromDay: Math.max(fromDay, forecastFromDay), untilDay, basis: 'forecast' as const },
  ];
  return parts.filter((part) => part.fromDay < part.untilDay);
}

/** Every first of a month within a run, and both its ends. */
export function monthStarts({ fromDay, untilDay }: Period): DayNumber[] {
  const starts = [fromDay];
  for (let index = monthIndexOf(fromDay) + 1; firstOf(index) < untilDay; index++) starts.push(firstOf(index));
  return [...starts, untilDay];
}
