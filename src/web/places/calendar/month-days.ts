import { type DayNumber, calendarDateOf, dayNumberOf } from '../../../core/ground/index.ts';
import type { AgendaItem } from '../../../core/season/index.ts';

/** The first day of the month that lies so many months from that of a day. */
export function monthFrom(day: DayNumber, by: number): DayNumber {
  const { year, month } = calendarDateOf(day);
  const index = year * 12 + month - 1 + by;
  return dayNumberOf({ year: Math.floor(index / 12), month: (index % 12) + 1, day: 1 });
}

/** Tasks by the day on which they are shown; what is late counts to today. */
export function itemsByDay(items: readonly AgendaItem[], today: DayNumber): Map<DayNumber, AgendaItem[]> {
  const byDay = new Map<DayNumber, AgendaItem[]>();
  for (const item of items) {
    const shown = Math.max(item.shownDay, today);
    byDay.set(shown, [...(byDay.get(shown) ?? []), item]);
  }
  return byDay;
}

/** One thing to do in a month, on one place or several. */
export interface MonthJob {
  /** The first of the tasks, which the job is named after. */
  readonly item: AgendaItem;
  readonly places: readonly string[];
}

export interface MonthOfYear {
  /** Its first day. */
  readonly first: DayNumber;
  readonly jobs: readonly MonthJob[];
}

const MONTHS = 12;

/** Twelve months from that of today, each with what is to be done in it, the same task on many beds as one. */
export function yearOfJobs(
  items: readonly AgendaItem[],
  today: DayNumber,
  words: { readonly ofTask: (item: AgendaItem) => string; readonly ofPlace: (item: AgendaItem) => string },
): MonthOfYear[] {
  return Array.from({ length: MONTHS }, (_, i) => {
    const [first, next] = [monthFrom(today, i), monthFrom(today, i + 1)];
    const own = items.filter(({ shownDay }) => {
      const shown = Math.max(shownDay, today);
      return shown >= first && shown < next;
    });
    const byWords = new Map<string, AgendaItem[]>();
    for (const item of own) {
      const name = words.ofTask(item);
      byWords.set(name, [...(byWords.get(name) ?? []), item]);
    }
    const jobs = [...byWords.values()].map((same) => ({
      item: same[0]!,
      places: [...new Set(same.map(words.ofPlace))].filter((place) => place !== ''),
    }));
    return { first, jobs };
  });
}
