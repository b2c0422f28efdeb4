import { type DayNumber, calendarDateOf, dayNumberFromIso, isSouthern } from '../../ground/index.ts';
import type { BedBooks } from '../../bed/index.ts';
import type { FeedEntry, LayEntry } from '../../../records/entry.ts';
import type { FeedAct, Habit, HabitAct, LayAct } from '../../../records/habit.ts';
import { MOST_YEARS } from '../../../records/vocabulary.ts';
import { ownMonth } from './habit.ts';

const YEAR_DAYS = 365.25;

/** The month most of these days fall into, as a month of the northern year. */
function usualMonth(days: readonly DayNumber[], isSouth: boolean): number {
  const counts = new Map<number, number>();
  for (const day of days) {
    const { month } = calendarDateOf(day);
    counts.set(month, (counts.get(month) ?? 0) + 1);
  }
  const [[month]] = [...counts].toSorted((a, b) => b[1] - a[1] || a[0] - b[0]);
  return ownMonth(month, isSouth);
}

interface Rhythm {
  readonly everyYears: number;
  /** Of what was given over all years, the part each time has. */
  readonly perTime: number;
}

/** How often something done `times` times in `years` years is done. */
function rhythmOf(times: number, years: number): Rhythm {
  const everyYears = Math.min(MOST_YEARS, Math.max(1, Math.round(years / times)));
  return { everyYears, perTime: everyYears / years };
}

/**
 * What was really done on a bed, as a habit: everything laid so far by material and place, as often and as much as the
 * years since the first posting had of it; bought nitrogen likewise. Null when nothing was ever laid or fed.
 */
export function habitSoFar(books: BedBooks, today: DayNumber): Habit | null {
  const dayOf = ({ date }: { readonly date: string }) => dayNumberFromIso(date, ['date']);
  const done = books.entries.filter((one) => one.state === 'laid' && dayOf(one) <= today);
  const laid = done.filter((one): one is LayEntry => one.type === 'lay');
  const fed = done.filter((one): one is FeedEntry => one.type === 'feed');
  if (laid.length + fed.length === 0) return null;
  const first = Math.min(...[...laid, ...fed].map(dayOf));
  const years = Math.max(1, Math.round((today - first) / YEAR_DAYS));
  const isSouth = isSouthern(books.site.climate);
  const groups = new Map<string, LayEntry[]>();
  for (const one of laid) {
    const key = `${one.materialId} ${one.dugDepthCm > 0}`;
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  const acts: HabitAct[] = [...groups.values()].map((group): LayAct => {
    const { everyYears, perTime } = rhythmOf(group.length, years);
    const massKg = group.reduce((sum, { massFreshKg }) => sum + massFreshKg, 0) / books.bed.areaM2;
    const mean = (read: (one: LayEntry) => number) =>
      Math.round(group.reduce((sum, one) => sum + read(one), 0) / group.length);
    return {
      type: 'lay',
      materialId: group[0].materialId,
      amount: massKg * perTime,
      unit: 'kg',
      dugDepthCm: mean((one) => one.dugDepthCm),
      seasonedMonths: mean((one) => one.seasonedMonths),
      month: usualMonth(group.map(dayOf), isSouth),
      everyYears,
      fromYear: 1,
      untilYear: null,
    };
  });
  if (fed.length > 0) acts.push(feedSoFar({ fed, books, years, isSouth }));
  return { acts, keepsCrops: true };
}

function feedSoFar({
  fed,
  books: { bed },
  years,
  isSouth,
}: {
  readonly fed: readonly FeedEntry[];
  readonly books: BedBooks;
  readonly years: number;
  readonly isSouth: boolean;
}): FeedAct {
  const { everyYears, perTime } = rhythmOf(fed.length, years);
  const gPerM2 = fed.reduce((sum, { nitrogenG }) => sum + nitrogenG, 0) / bed.areaM2;
  return {
    type: 'feed',
    nitrogenGPerM2: gPerM2 * perTime,
    month: usualMonth(
      fed.map(({ date }) => dayNumberFromIso(date, ['date'])),
      isSouth,
    ),
    everyYears,
    fromYear: 1,
    untilYear: null,
  };
}
