import type { BedBooks } from '../../bed/index.ts';
import type { Habit } from '../../../records/habit.ts';
import { checkHabit, habitRecords, type HabitRecords, type HabitSetting } from './habit.ts';

/** How far ahead a habit is written into the plan at most, years. */
export const MOST_PLANNED_YEARS = 5;

/** Ids keep to what a record may be called. */
const PART_LENGTH = 18;

/** What the plans of a habit on a bed begin with. */
export const planPrefix = (habitId: string, bedId: string): string =>
  `hb-${habitId.slice(0, PART_LENGTH)}-${bedId.slice(-PART_LENGTH)}`;

/**
 * What a habit puts into the plan of a bed. Ids say which habit, bed, act and calendar year: doing it again changes
 * nothing, and another year is added beside it.
 */
export function habitPlan({
  habit,
  habitId,
  books,
  setting,
}: {
  readonly habit: Habit;
  readonly habitId: string;
  readonly books: BedBooks;
  readonly setting: HabitSetting;
}): HabitRecords {
  checkHabit(habit, { ...setting, crops: books.crops });
  return habitRecords({ habit, books, setting, prefix: planPrefix(habitId, books.bed.id) });
}

/** Whether a record comes from the habit, by what it is called. */
export const isPlanOf = (habitId: string, bedId: string, recordId: string): boolean =>
  recordId.startsWith(`${planPrefix(habitId, bedId)}-`);
