import type { BedBooks } from '../../bed/index.ts';
import type { Habit } from '../../../records/habit.ts';
import { cropsAgain } from './crops-again.ts';
import { checkHabit, habitRecords, type HabitSetting } from './habit.ts';

/**
 * The books of a bed had the habit become the plan: what has really been done, what stands or is repeated, and the
 * acts of the habit in place of whatever else was planned to be laid. Throws InputError for a habit that cannot be.
 */
export function booksWithHabit(books: BedBooks, habit: Habit, setting: HabitSetting): BedBooks {
  checkHabit(habit, { ...setting, crops: books.crops });
  const facts = {
    ...books,
    entries: books.entries.filter(({ state }) => state === 'laid'),
    plantings: books.plantings.filter(({ state }) => state === 'laid'),
  };
  const own = habitRecords({ habit, books: facts, setting });
  const grown = habit.keepsCrops ? cropsAgain(books, setting.today, setting.years) : [];
  return {
    ...facts,
    entries: [...facts.entries, ...own.entries],
    plantings: [...facts.plantings, ...grown, ...own.plantings],
  };
}

/** The books as they stand with their plan, and what grew last year grown again in the years beyond it. */
export function booksAsPlanned(books: BedBooks, { today, years }: HabitSetting): BedBooks {
  const planned = books.plantings.filter(({ state }) => state === 'planned');
  const beyond = planned
    .map(({ plantedOn }) => plantedOn)
    .toSorted()
    .at(-1);
  const again = cropsAgain(books, today, years).filter(
    ({ plantedOn }) => beyond === undefined || plantedOn > beyond,
  );
  return { ...books, plantings: [...books.plantings, ...again] };
}
