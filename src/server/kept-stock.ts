import type { MeasuredDay } from '../records/weather.ts';
import { InputError } from '../refusals/input-error.ts';
import { type GardenRecords, materialFinder, stockBooksOf } from '../core/bed/index.ts';
import {
  type StockBooks,
  type StockMemory,
  type StockRun,
  emptyMemory,
  proveStock,
} from '../core/yard/index.ts';
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

/** What the stocks of the gardens written to last came to, so that a posting runs only what it touches. */
const memories = new WeakMap<Stores, Map<string, StockMemory>>();
const MOST_REMEMBERED = 3;

export function memoryOf(stores: Stores, gardenId: string): StockMemory {
  const known = memories.get(stores) ?? new Map<string, StockMemory>();
  memories.set(stores, known);
  const memory = known.get(gardenId) ?? emptyMemory({ keepsLooks: false });
  known.delete(gardenId);
  known.set(gardenId, memory);
  if (known.size > MOST_REMEMBERED) known.delete(known.keys().next().value!);
  return memory;
}

/**
 * Throws a problem naming the field unless the stock, as kept or as `records` would have it, can be: nothing taken that
 * was not there, no pile used before it came. Returns what the beds are given. `about` are the ids a write is about.
 */
export function requireSoundStock({
  stores,
  gardenId,
  records = keptForStock(stores, gardenId),
  about,
}: {
  readonly stores: Stores;
  readonly gardenId: string;
  readonly records?: GardenRecords;
  readonly about: readonly string[];
}): StockRun['taken'] {
  const books = stockBooksOf(records);
  try {
    return proveStock(books, materialFinder(records), memoryOf(stores, gardenId));
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
