import type { ImportSetting } from './import-asked.ts';
import { COLLECTION_NAMES, type CollectionName } from '../../records/collections.ts';
import type { ImportReport, ImportRow } from '../../contract/imports.ts';
import type { Finding } from '../../refusals/refusal.ts';
import type { ImportWrite, Stores } from '../stores.ts';
import { journalFindings } from './check-import.ts';
import { modelFindings } from '../../contract/check-garden.ts';
import { describeFinding } from '../../words/refusal-words.ts';
import type { GardenRecords } from '../../core/bed/index.ts';
import { keptRecords } from '../kept-stock.ts';
import { withIds } from './row-ids.ts';
import { withTitles } from './row-titles.ts';
import type { JudgedRow, NamedRow, ReadRow, Setting } from './rows.ts';
import { writeRow } from './write-row.ts';

/** Layers come before what is done to them, whatever their order in the file. */
const inWritingOrder = <Row extends ReadRow>(rows: readonly Row[]): Row[] => {
  const rank = ({ collection, record }: Row) =>
    COLLECTION_NAMES.indexOf(collection) * 2 +
    (collection === 'entries' && !('materialId' in record) ? 1 : 0);
  return [...rows].sort((a, b) => rank(a) - rank(b));
};

function reordered(stores: Stores, rows: readonly JudgedRow[]): void {
  const idsOf = (collection: CollectionName) =>
    rows
      .filter((row) => row.collection === collection && row.outcome !== 'rejected')
      .sort((a, b) => a.index - b.index)
      .map(({ id }) => id);
  stores.entries.reorder(idsOf('entries'));
  stores.movements.reorder(idsOf('movements'));
  stores.journal.reorder(idsOf('journal'));
}

/** Findings beside the rows they are about; those about no row of the file become rows of the garden. */
function withFindings(rows: readonly JudgedRow[], findings: readonly Finding[]): JudgedRow[] {
  const left = new Set(findings);
  const judged = rows.map((row) => {
    const own = findings.filter(({ at }) => at.collection === row.collection && at.id === row.id);
    own.forEach((found) => left.delete(found));
    if (own.length === 0) return row;
    return { ...row, outcome: 'rejected' as const, reasons: own.map(describeFinding) };
  });
  const others = [...left].map((found) => ({
    collection: found.at.collection as ImportRow['collection'],
    index: -1,
    id: found.at.id ?? '',
    outcome: 'rejected' as const,
    fields: [],
    reasons: [describeFinding(found)],
  }));
  return [...judged, ...others];
}

const countsOf = (rows: readonly JudgedRow[]): ImportReport['counts'] => {
  const counts = { added: 0, changed: 0, same: 0, rejected: 0 };
  for (const { outcome } of rows) counts[outcome] += 1;
  return counts;
};

/** Ends a transaction so that nothing of it is kept. */
class NothingKept extends Error {
  constructor(readonly report: ImportReport) {
    super('nothing is kept');
  }
}

export interface ImportPlan {
  readonly gardenId: string;
  readonly rows: readonly ReadRow[];
  readonly summary: string;
  readonly isDryRun: boolean;
  /** A garden file brings its own order; rows of a table are put behind what is there. */
  readonly isWholeGarden: boolean;
  /** Runs in the same transaction, before the rows. */
  readonly before?: () => { readonly rows: JudgedRow[]; readonly writes: ImportWrite[] };
  /** Runs when all of it can be taken, just before it is kept. */
  readonly keepFiles?: () => void;
}

/** Reads records in: all of them, or none while one is rejected or it is only tried. */
export function importRows({ stores, today, newId }: ImportSetting, plan: ImportPlan): ImportReport {
  const setting: Setting = { stores, today: today(), now: new Date().toISOString(), gardenId: plan.gardenId };
  try {
    return stores.atomically(() => {
      const first = plan.before?.() ?? { rows: [], writes: [] };
      const writes = [...first.writes];
      const rowsInOrder = inWritingOrder(withIds(setting, plan.rows));
      const written = [...first.rows, ...rowsInOrder.map((row) => writeRow(setting, row, writes))];
      reordered(stores, written);
      const rows = checked({ setting, plan, rows: rowsInOrder, written });
      const counts = countsOf(rows);
      const isWritten = counts.rejected === 0 && !plan.isDryRun;
      const importId = isWritten && writes.length > 0 ? newId() : null;
      const report: ImportReport = {
        gardenId: plan.gardenId,
        gardenName: stores.gardens.find(plan.gardenId)!.name,
        isWritten,
        importId,
        counts,
        rows: withTitles(
          setting,
          plan.rows,
          rows.filter(({ outcome }) => outcome !== 'same'),
        ),
      };
      if (!isWritten) throw new NothingKept(report);
      plan.keepFiles?.();
      if (importId !== null)
        stores.imports.insert({ id: importId, gardenId: plan.gardenId, summary: plan.summary, writes });
      return report;
    });
  } catch (error) {
    if (error instanceof NothingKept) return error.report;
    throw error;
  }
}

/** The database took it for impossible and cannot say why; the model can. */
const isUnfit = ({ reasons }: JudgedRow): boolean => reasons.some(({ code }) => code === 'doesNotFit');

/** The records of a garden as they would be with these rows. */
function withRows(records: GardenRecords, rows: readonly NamedRow[]): GardenRecords {
  const added = (collection: CollectionName) =>
    rows.filter((row) => row.collection === collection).map(({ id, record }) => ({ ...record, id }));
  return {
    ...records,
    entries: [...records.entries, ...(added('entries') as unknown as GardenRecords['entries'])],
    plantings: [...records.plantings, ...(added('plantings') as unknown as GardenRecords['plantings'])],
  };
}

/** The model is asked only about records that could be read at all. */
function checked({
  setting,
  plan,
  rows,
  written,
}: {
  readonly setting: Setting;
  readonly plan: ImportPlan;
  readonly rows: readonly NamedRow[];
  readonly written: readonly JudgedRow[];
}): JudgedRow[] {
  const { stores, gardenId, today } = setting;
  const unfit = new Set(written.filter(isUnfit).map(({ id }) => id));
  if (unfit.size > 0) {
    const records = withRows(
      keptRecords(stores, gardenId),
      rows.filter(({ id }) => unfit.has(id)),
    );
    return withFindings(
      written,
      modelFindings(records, today).filter(({ at }) => at.id !== null && unfit.has(at.id)),
    );
  }
  if (written.some(({ outcome }) => outcome === 'rejected')) return [...written];
  const ids = new Set(written.filter(({ collection }) => collection === 'journal').map(({ id }) => id));
  const touchesModel = written.some(
    ({ collection, outcome }) => collection !== 'journal' && outcome !== 'same',
  );
  return withFindings(written, [
    ...(touchesModel ? modelFindings(keptRecords(stores, gardenId), today) : []),
    ...journalFindings(stores, gardenId, { ids, today, isWholeGarden: plan.isWholeGarden }),
  ]);
}
