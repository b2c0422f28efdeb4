import type { CollectionName } from '../records/collections.ts';
import {
  checkMaterial,
  dayNumberFromIso,
  findLibraryCrop,
  findLibraryMaterial,
  ownCrop,
  ownMaterial,
} from '../core/ground/index.ts';
import { InputError } from '../refusals/input-error.ts';
import { fieldOf, finding, type FieldPath, type Finding } from '../refusals/refusal.ts';
import { type GardenRecords, checkBooks, materialFinder, siteOf, stockBooksOf } from '../core/bed/index.ts';
import { type StockRun, proveStock } from '../core/yard/index.ts';

/** A refusal of the model, put to the record that is at fault; an id of null when it is none in particular. */
export const findingAbout = ({
  collection,
  id,
  path,
  error,
}: {
  readonly collection: CollectionName | 'garden';
  readonly id: string | null;
  readonly path: FieldPath;
  readonly error: InputError;
}): Finding => finding(error.refusal, fieldOf(path), { collection, id });

/** Runs a check; what the model refuses becomes a finding. */
export function findingsFrom(check: () => void, asFinding: (error: InputError) => Finding): Finding[] {
  try {
    check();
    return [];
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return [asFinding(error)];
  }
}

function bedFindings(records: GardenRecords, taken: StockRun['taken'] | undefined, today: string): Finding[] {
  const findMaterial = materialFinder(records);
  return records.beds.flatMap((bed) => {
    const entries = records.entries.filter(({ bedId }) => bedId === bed.id);
    const plantings = records.plantings.filter(({ bedId }) => bedId === bed.id);
    const books = {
      site: siteOf(records),
      bed,
      entries,
      plantings,
      crops: records.crops,
      ...(taken ? { taken } : {}),
    };
    return findingsFrom(
      () => checkBooks(books, findMaterial, dayNumberFromIso(today, ['today'])),
      (error) => {
        const [list, index, ...rest] = error.path;
        const isListed = (list === 'entries' || list === 'plantings') && typeof index === 'number';
        return isListed
          ? findingAbout({ collection: list, id: books[list][index]?.id ?? null, path: rest, error })
          : findingAbout({ collection: 'beds', id: bed.id, path: error.path, error });
      },
    );
  });
}

/** The stock as it would be, and what it gives the beds. */
function stockFindings(records: GardenRecords): { findings: Finding[]; taken?: StockRun['taken'] } {
  const books = stockBooksOf(records);
  let taken: StockRun['taken'] | undefined;
  const findings = findingsFrom(
    () => {
      taken = proveStock(books, materialFinder(records));
    },
    (error) => {
      const [list, index, ...rest] = error.path;
      if (list === 'movements' && typeof index === 'number')
        return findingAbout({
          collection: 'movements',
          id: books.movements[index]?.id ?? null,
          path: rest,
          error,
        });
      if (list === 'takes' && typeof index === 'number')
        return findingAbout({
          collection: 'entries',
          id: books.takes[index]?.entryId ?? null,
          path: rest,
          error,
        });
      return findingAbout({ collection: 'lots', id: null, path: error.path, error });
    },
  );
  return taken ? { findings, taken } : { findings };
}

function materialFindings(records: GardenRecords): Finding[] {
  const findMaterial = materialFinder(records);
  const own = records.materials.flatMap(({ id, basis }) =>
    findingsFrom(
      () => {
        if (findLibraryMaterial(id)) throw new InputError(['id'], 'ofTheLibrary', { what: 'material' });
        checkMaterial(ownMaterial(basis), []);
      },
      (error) => findingAbout({ collection: 'materials', id, path: error.path, error }),
    ),
  );
  const reports = (
    records.labResults as readonly (GardenRecords['labResults'][number] & { id: string })[]
  ).flatMap(({ id, materialId }) =>
    findingsFrom(
      () => {
        const material = findMaterial(materialId);
        if (!material)
          throw new InputError(['materialId'], 'namesNone', { what: 'material', got: materialId });
        checkMaterial(material, []);
      },
      (error) => findingAbout({ collection: 'labResults', id, path: error.path, error }),
    ),
  );
  return [...own, ...reports];
}

function cropFindings({ crops }: GardenRecords): Finding[] {
  return crops.flatMap((crop) =>
    findingsFrom(
      () => {
        if (findLibraryCrop(crop.id)) throw new InputError(['id'], 'ofTheLibrary', { what: 'crop' });
        ownCrop(crop);
      },
      (error) => findingAbout({ collection: 'crops', id: crop.id, path: error.path, error }),
    ),
  );
}

/** What the model would refuse of a garden, record by record: its materials and crops, then its stock, then its beds. */
export function modelFindings(records: GardenRecords, today: string): Finding[] {
  const described = [...materialFindings(records), ...cropFindings(records)];
  if (described.length > 0) return described;
  const stock = stockFindings(records);
  if (stock.findings.length > 0) return stock.findings;
  return bedFindings(records, stock.taken, today);
}
