import type { ImportSetting } from './import-asked.ts';
import { findingAbout, findingsFrom } from '../../contract/check-garden.ts';
import type { ImportReport, ImportRequest } from '../../contract/imports.ts';
import { findingsOf } from '../../contract/problem-fields.ts';
import { rowSchemas } from '../../records/collections.ts';
import { requireLikelyDates } from '../likely-dates.ts';
import type { ReadRow } from './rows.ts';
import { importRows } from './write-import.ts';

export interface TableAsked {
  readonly table: ImportRequest;
  readonly isDryRun: boolean;
}

/** Reads the rows of a table into a garden: all of them, or none while one cannot be imported or it is only tried. */
export function importTable(
  context: ImportSetting,
  gardenId: string,
  { table: { collection, summary, rows }, isDryRun }: TableAsked,
): ImportReport {
  const read = rows.map((raw, index): ReadRow => {
    const result = rowSchemas[collection].safeParse(raw);
    if (!result.success) return { collection, index, record: {}, reasons: findingsOf(result.error) };
    const record: ReadRow['record'] = result.data;
    const reasons = findingsFrom(
      () => requireLikelyDates(record, context.today()),
      (error) => findingAbout({ collection, id: record.id ?? null, path: error.path, error }),
    );
    return { collection, index, record, reasons };
  });
  return importRows(context, { gardenId, rows: read, summary, isDryRun, isWholeGarden: false });
}
