import { type DayNumber, type FindMaterial, dayNumberFromIso } from '../../ground/index.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { checkSoilTest } from './soil-report.ts';
import { checkScenario } from '../../model/index.ts';
import type { BedBooks } from './bed-books.ts';
import { bedScenario, inRecordWords } from './bed-scenario.ts';

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
  refuseBeforeTheBed(books);
  refuseOtherUnits(books);
  try {
    checkScenario(bedScenario({ books, findMaterial, today, endDay: lastDay + 1 }));
  } catch (error) {
    throw error instanceof InputError ? inRecordWords(error, books) : error;
  }
}

/** Nothing can have been laid on a bed that was not there yet. */
function refuseBeforeTheBed({ bed: { startedOn }, entries, plantings }: BedBooks): void {
  if (startedOn === null) return;
  entries.forEach(({ date }, i) => {
    if (date < startedOn)
      throw new InputError(['entries', i, 'date'], 'beforeTheBed', { date, startedOn, canBeMoved: true });
  });
  plantings.forEach(({ plantedOn }, i) => {
    if (plantedOn < startedOn) {
      throw new InputError(['plantings', i, 'plantedOn'], 'beforeTheBed', {
        date: plantedOn,
        startedOn,
        canBeMoved: true,
      });
    }
  });
}

/** Figures of soil tests that can only have been meant in another unit. */
function refuseOtherUnits({ bed: { bulkDensityGPerCm3 }, entries }: BedBooks): void {
  entries.forEach((entry, i) => {
    if (entry.type !== 'soilTest') return;
    try {
      checkSoilTest(entry, { sampledDepthCm: entry.sampledDepthCm, bulkDensityGPerCm3 });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      throw error.at(['entries', i, ...error.path]);
    }
  });
}
