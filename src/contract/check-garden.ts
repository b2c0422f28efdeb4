import { fieldAsEntered } from './as-entered.ts';
import type { CollectionName } from './garden-file.ts';
import { fieldName, type FieldProblem } from './problem-fields.ts';
import { dayNumberFromIso } from '../core/climate/calendar.ts';
import { faultSentence, InputError, type FieldPath } from '../core/input-error.ts';
import { checkMaterial } from '../core/materials/check-material.ts';
import { ownMaterial } from '../core/materials/own-material.ts';
import { findLibraryMaterial } from '../core/materials/library.ts';
import { checkBooks } from '../core/records/check-books.ts';
import { materialFinder, siteOf, stockBooksOf, type GardenRecords } from '../core/records/garden-books.ts';
import { proveStock } from '../core/stock/prove-stock.ts';
import type { StockRun } from '../core/stock/run-stock.ts';

/** What the model would refuse, by the record that is at fault; null when it is none of them in particular. */
export interface Fault {
  readonly collection: CollectionName | 'garden';
  readonly id: string | null;
  readonly reason: FieldProblem;
}

export function faultOf(
  collection: Fault['collection'],
  id: string | null,
  path: FieldPath,
  error: InputError,
): Fault {
  const field = fieldName(path.map((key) => (typeof key === 'string' ? fieldAsEntered(key) : key)));
  return { collection, id, reason: { field, sentence: faultSentence(field, error.requirement) } };
}

/** Runs a check; what the model refuses becomes a fault. */
export function faultsFrom(check: () => void, asFault: (error: InputError) => Fault): Fault[] {
  try {
    check();
    return [];
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return [asFault(error)];
  }
}

function bedFaults(records: GardenRecords, taken: StockRun['taken'] | undefined, today: string): Fault[] {
  const findMaterial = materialFinder(records);
  return records.beds.flatMap((bed) => {
    const entries = records.entries.filter(({ bedId }) => bedId === bed.id);
    const plantings = records.plantings.filter(({ bedId }) => bedId === bed.id);
    const books = { site: siteOf(records), bed, entries, plantings, ...(taken ? { taken } : {}) };
    return faultsFrom(
      () => checkBooks(books, findMaterial, dayNumberFromIso(today, ['today'])),
      (error) => {
        const [list, index, ...rest] = error.path;
        const isListed = (list === 'entries' || list === 'plantings') && typeof index === 'number';
        return isListed
          ? faultOf(list, books[list][index]?.id ?? null, rest, error)
          : faultOf('beds', bed.id, error.path, error);
      },
    );
  });
}

/** The stock as it would be, and what it gives the beds. */
function stockFaults(records: GardenRecords, today: string): { faults: Fault[]; taken?: StockRun['taken'] } {
  const books = stockBooksOf(records);
  let run: StockRun | undefined;
  const faults = faultsFrom(
    () => {
      run = proveStock(books, materialFinder(records), today);
    },
    (error) => {
      const [list, index, ...rest] = error.path;
      if (list === 'movements' && typeof index === 'number')
        return faultOf('movements', books.movements[index]?.id ?? null, rest, error);
      if (list === 'takes' && typeof index === 'number')
        return faultOf('entries', books.takes[index]?.entryId ?? null, rest, error);
      return faultOf('lots', null, error.path, error);
    },
  );
  return run ? { faults, taken: run.taken } : { faults };
}

function materialFaults(records: GardenRecords): Fault[] {
  const findMaterial = materialFinder(records);
  const own = records.materials.flatMap(({ id, basis }) =>
    faultsFrom(
      () => {
        if (findLibraryMaterial(id))
          throw new InputError(['id'], 'duplicate', 'belongs to a material of the library');
        checkMaterial(ownMaterial(basis), []);
      },
      (error) => faultOf('materials', id, error.path, error),
    ),
  );
  const reports = (
    records.labResults as readonly (GardenRecords['labResults'][number] & { id: string })[]
  ).flatMap(({ id, materialId }) =>
    faultsFrom(
      () => {
        const material = findMaterial(materialId);
        if (!material)
          throw new InputError(['materialId'], 'unknown', `names no material; got "${materialId}"`);
        checkMaterial(material, []);
      },
      (error) => faultOf('labResults', id, error.path, error),
    ),
  );
  return [...own, ...reports];
}

/** What the model would refuse of a garden, record by record: its materials, then its stock, then its beds. */
export function modelFaults(records: GardenRecords, today: string): Fault[] {
  const materials = materialFaults(records);
  if (materials.length > 0) return materials;
  const stock = stockFaults(records, today);
  if (stock.faults.length > 0) return stock.faults;
  return bedFaults(records, stock.taken, today);
}
