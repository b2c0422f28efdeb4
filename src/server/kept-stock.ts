import type { MeasuredDay } from '../records/weather.ts';
import { InputError } from '../refusals/input-error.ts';
import { type GardenRecords, materialFinder, stockBooksOf } from '../core/bed/index.ts';
import { type StockBooks, type StockRun, proveStock } from '../core/yard/index.ts';
import { recordTitle, type TitledRecords } from '../words/record-titles.ts';
import { requireFound } from './answers.ts';
import { fromInputError, contradiction, type ProblemError } from './problems.ts';
import type { Stores } from './stores.ts';

/** Everything the model reads of a garden, as it is kept. */
export function keptRecords(stores: Stores, gardenId: string): GardenRecords {
  return {
    garden: requireFound(stores.gardens.find(gardenId), 'garden'),
    beds: stores.beds.listOf(gardenId),
    entries: stores.entries.listOfGarden(gardenId),
    plantings: stores.plantings.listOfGarden(gardenId),
    materials: stores.materials.listOf(gardenId),
    crops: stores.crops.listOf(gardenId),
    labResults: stores.labResults.listOf(gardenId),
    lots: stores.lots.listOf(gardenId),
    movements: stores.movements.listOf(gardenId),
    journal: stores.journal.listOf(gardenId),
    weather: measuredWeather(stores, gardenId),
  };
}

/** The same without what has nothing to do with the stock. */
export const keptForStock = (stores: Stores, gardenId: string): GardenRecords => ({
  garden: requireFound(stores.gardens.find(gardenId), 'garden'),
  beds: stores.beds.listOf(gardenId),
  entries: stores.entries.listFromStock(gardenId),
  plantings: [],
  materials: stores.materials.listOf(gardenId),
  crops: stores.crops.listOf(gardenId),
  labResults: stores.labResults.listOf(gardenId),
  lots: stores.lots.listOf(gardenId),
  movements: stores.movements.listOf(gardenId),
  journal: [],
});

/** What was measured, without what counts in the database only. */
export const measuredWeather = (stores: Stores, gardenId: string): MeasuredDay[] =>
  stores.weather.listOf(gardenId).map(({ date, temperatureC, rainMm, evapotranspirationMm }) => ({
    date,
    temperatureC,
    rainMm,
    evapotranspirationMm,
  }));

/**
 * Throws a problem naming the field unless the stock as kept can be: nothing taken that was not there, no pile used
 * before it came. Returns the run with plans carried out. `about` are the ids a write is about.
 */
export function requireSoundStock(records: GardenRecords, today: string, about: readonly string[]): StockRun {
  const books = stockBooksOf(records);
  try {
    return proveStock(books, materialFinder(records), today);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw problemAbout({ error, records, books, about });
  }
}

/** A fault of the record itself by its field; one it causes elsewhere by a sentence about that record. */
function problemAbout({
  error,
  records,
  books,
  about,
}: {
  readonly error: InputError;
  readonly records: TitledRecords;
  readonly books: StockBooks;
  readonly about: readonly string[];
}): ProblemError {
  const [list, index, ...rest] = error.path;
  if (typeof index !== 'number' || (list !== 'movements' && list !== 'takes')) return fromInputError(error);
  const culprit = list === 'movements' ? books.movements[index] : books.takes[index];
  if (!culprit) return fromInputError(error);
  const id = 'entryId' in culprit ? culprit.entryId : culprit.id;
  if (about.includes(id)) return fromInputError(error.at(rest));
  const title = recordTitle(list === 'movements' ? 'movements' : 'entries', id, records);
  return contradiction(title, rest, error.refusal);
}
