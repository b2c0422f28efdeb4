import type { DayNumber } from '../climate/calendar.ts';
import { dayNumberFromIso } from '../climate/calendar.ts';
import { InputError } from '../input-error.ts';
import { checkScenario } from '../simulation/check-scenario.ts';
import type { BedBooks } from './bed-records.ts';
import { bedScenario, inRecordWords, type FindMaterial } from './bed-scenario.ts';

/**
 * Throws InputError naming the record and its field unless the model can run these books from end to end.
 * Every change to the books passes here before it is kept.
 */
export function checkBooks(books: BedBooks, findMaterial: FindMaterial, today: DayNumber): void {
  const lastDay = Math.max(
    today,
    ...books.entries.map(({ date }, i) => dayNumberFromIso(date, ['entries', i, 'date'])),
    ...books.plantings.map(({ plantedOn }, i) => dayNumberFromIso(plantedOn, ['plantings', i, 'plantedOn'])),
  );
  try {
    checkScenario(bedScenario(books, findMaterial, today, lastDay + 1));
  } catch (error) {
    throw error instanceof InputError ? inRecordWords(error, books) : error;
  }
}
