import { createHash } from 'node:crypto';
import { COLLECTION_NAMES, type CollectionName } from '../../records/collections.ts';
import type { EntryDraft } from '../../records/entry.ts';
import type { ImportOutcome, ImportReport, ImportRow } from '../../contract/imports.ts';
import type { FieldProblem } from '../../contract/problem.ts';
import { finding, refusal, type Finding } from '../../refusals/refusal.ts';
import { InputError } from '../../refusals/input-error.ts';
import type { AppContext } from '../app-context.ts';
import { weighed } from '../entry-revision.ts';
import { fromInputError, isConstraint, ProblemError } from '../problems.ts';
import type { Filed, ImportWrite, Store, Stores, Versioned } from '../stores.ts';
import { journalFindings } from './check-import.ts';
import { modelFindings } from '../../contract/check-garden.ts';
import { told } from '../../words/refusal-words.ts';
import { recordTitle } from '../../words/record-titles.ts';
import type { GardenRecords } from '../../core/bed/index.ts';
import { keptRecords } from '../kept-stock.ts';

/** A record out of a file, or what keeps it from being one. */
export interface ReadRow {
  readonly collection: CollectionName;
  readonly index: number;
  /** Without an id, one is made of what it says, so that the same line read twice is the same record. */
  readonly record: object & { readonly id?: string | undefined };
  readonly reasons: readonly Finding[];
}

type AnyRecord = Versioned & { readonly gardenId?: string; readonly bedId?: string };
type AnyStore = Store<AnyRecord>;

interface Setting {
  readonly stores: Stores;
  /** ISO date. */
  readonly today: string;
  /** The instant of the import. */
  readonly now: string;
  readonly gardenId: string;
}

const storeOf = (stores: Stores, collection: CollectionName): AnyStore =>
  stores[collection] as unknown as AnyStore;

/** A value without what is empty, its fields in one order: what a row leaves out is the same as what it leaves empty. */
function plain(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(plain);
  if (typeof value !== 'object' || value === null) return value ?? null;
  const fields = Object.entries(value).filter(([, one]) => one !== null && one !== undefined);
  return Object.fromEntries(
    fields.sort(([a], [b]) => (a < b ? -1 : 1)).map(([field, one]) => [field, plain(one)]),
  );
}

const sameValue = (a: unknown, b: unknown): boolean => JSON.stringify(plain(a)) === JSON.stringify(plain(b));

/** Fields in which a record differs from the one that is kept. */
export const differing = (record: object, kept: object): string[] =>
  Object.entries(record)
    .filter(([field, value]) => !sameValue(value, (kept as Record<string, unknown>)[field]))
    .map(([field]) => field);

type NamedRow = ReadRow & { readonly id: string };

interface Named {
  readonly stores: Stores;
  readonly gardenId: string;
}

const digestOf = (text: string): string => createHash('sha256').update(text).digest('hex').slice(0, 24);

/**
 * An id that goes with what a line says, and with how many the same have come before it. There is one weather a day:
 * it is known by its date.
 */
function named({ stores, gardenId }: Named, rows: readonly ReadRow[]): NamedRow[] {
  const seen = new Map<string, number>();
  const weather = new Map(stores.weather.listOf(gardenId).map(({ date, id }) => [date, id]));
  return rows.map((row) => {
    if (row.record.id !== undefined) return { ...row, id: row.record.id };
    if (row.collection === 'weather' && 'date' in row.record) {
      const date = String(row.record.date);
      return { ...row, id: weather.get(date) ?? `day-${digestOf(`${gardenId} ${date}`)}` };
    }
    const content = JSON.stringify([row.collection, row.record]);
    const nth = seen.get(content) ?? 0;
    seen.set(content, nth + 1);
    return {
      ...row,
      id: `line-${digestOf(`${nth} ${gardenId} ${content}`)}`,
    };
  });
}

/** Where a kept record belongs; entries and plantings belong to the garden of their bed. */
const gardenOf = (stores: Stores, record: AnyRecord): string | undefined =>
  record.gardenId ??
  (record.bedId === undefined ? undefined : stores.beds.look(record.bedId)?.record.gardenId);

const isOwnBed = ({ stores, gardenId }: Named, bedId: unknown) =>
  typeof bedId === 'string' && stores.beds.find(bedId)?.gardenId === gardenId;
const isOwnLot = ({ stores, gardenId }: Named, lotId: unknown) =>
  typeof lotId === 'string' && stores.lots.find(lotId)?.gardenId === gardenId;

type NoName = 'bed' | 'ownPile' | 'ownLayer';

/** What a record leans on and the garden does not have. */
function missingReferences(named: Named, collection: CollectionName, record: object): Finding[] {
  const { bedId, lotId, toLotId, layerId } = record as Record<string, unknown>;
  const missing: Finding[] = [];
  const say = (field: string, what: NoName, value: unknown) =>
    missing.push(finding(refusal('namesNone', { what, got: String(value) }), field));
  if (bedId !== undefined && bedId !== null && !isOwnBed(named, bedId)) say('bedId', 'bed', bedId);
  if (lotId !== undefined && lotId !== null && !isOwnLot(named, lotId)) say('lotId', 'ownPile', lotId);
  if (toLotId !== undefined && !isOwnLot(named, toLotId)) say('toLotId', 'ownPile', toLotId);
  if (collection === 'entries' && typeof layerId === 'string' && !named.stores.entries.look(layerId))
    say('layerId', 'ownLayer', layerId);
  return missing;
}

/** The record as it will be kept: stamped, and weighed where it says how much but not how heavy. */
function asKept(setting: Setting, row: NamedRow, kept: AnyRecord | undefined): Filed<AnyRecord> {
  const { stores, now, gardenId, today } = setting;
  const isOfBed = row.collection === 'entries' || row.collection === 'plantings';
  const stamped = {
    createdAt: kept?.createdAt ?? now,
    updatedAt: now,
    ...row.record,
    id: row.id,
    ...(isOfBed ? {} : { gardenId }),
  };
  if (
    row.collection !== 'entries' ||
    !('type' in stamped) ||
    stamped.type !== 'lay' ||
    'massFreshKg' in stamped
  )
    return stamped;
  const { createdAt, updatedAt, bedId, ...draft } = stamped as unknown as EntryDraft & Filed<AnyRecord>;
  const bed = stores.beds.find(bedId!)!;
  const entry = weighed({ stores, today }, bed, row.id, draft);
  return { ...entry, createdAt, updatedAt };
}

/** What becomes of a row, before it is called by what a gardener calls it. */
type JudgedRow = Omit<ImportRow, 'title'>;

interface Written {
  readonly rows: JudgedRow[];
  readonly writes: ImportWrite[];
}

const refused = (row: NamedRow, reasons: readonly FieldProblem[]): JudgedRow => ({
  collection: row.collection,
  index: row.index,
  id: row.id,
  outcome: 'rejected',
  fields: [],
  reasons,
});

/** What the books refuse without naming a field, as the reason of a row. */
const asReason = ({ message }: ProblemError): FieldProblem => ({
  ...told(finding(refusal('mustBe', { requirement: message }), 'row')),
  sentence: message,
});

/** Writes one row unless it cannot be; what stood there before goes into the list of writes. */
function writeRow(setting: Setting, row: NamedRow, writes: ImportWrite[]): JudgedRow {
  const { stores, gardenId } = setting;
  if (row.reasons.length > 0) return refused(row, row.reasons.map(told));
  const store = storeOf(stores, row.collection);
  const kept = store.look(row.id);
  if (kept && gardenOf(stores, kept.record) !== gardenId) {
    return refused(row, [told(finding(refusal('ofAnotherGarden'), 'id'))]);
  }
  const missing = missingReferences({ stores, gardenId }, row.collection, row.record);
  if (missing.length > 0) return refused(row, missing.map(told));
  const before = kept && !kept.isRemoved ? kept.record : undefined;
  const fields = before ? differing(row.record, before) : [];
  const outcome: ImportOutcome = !before ? 'added' : fields.length > 0 ? 'changed' : 'same';
  if (outcome !== 'same') {
    let record;
    try {
      record = asKept(setting, row, before);
    } catch (error) {
      const problem = error instanceof InputError ? fromInputError(error) : error;
      if (!(problem instanceof ProblemError)) throw error;
      return refused(row, problem.extra.errors ?? [asReason(problem)]);
    }
    let version: number;
    try {
      ({ version } = store.put(record));
    } catch (error) {
      if (!isConstraint(error)) throw error;
      return refused(row, [told(finding(refusal('doesNotFit'), 'input'))]);
    }
    writes.push({ collection: row.collection, id: row.id, version, before: before ?? null });
  }
  const { collection, index, id } = row;
  return { collection, index, id, outcome, fields, reasons: [] };
}

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

/** Findings put to the rows they are about; what is about no row of the file is told as one about the garden. */
function withFindings(rows: readonly JudgedRow[], findings: readonly Finding[]): JudgedRow[] {
  const left = new Set(findings);
  const judged = rows.map((row) => {
    const own = findings.filter(({ at }) => at.collection === row.collection && at.id === row.id);
    own.forEach((found) => left.delete(found));
    if (own.length === 0) return row;
    return { ...row, outcome: 'rejected' as const, reasons: own.map(told) };
  });
  const others = [...left].map((found) => ({
    collection: found.at.collection as ImportRow['collection'],
    index: -1,
    id: found.at.id ?? '',
    outcome: 'rejected' as const,
    fields: [],
    reasons: [told(found)],
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
  readonly before?: () => Written;
  /** Runs when all of it can be taken, just before it is kept. */
  readonly keepFiles?: () => void;
}

/** Reads records in: all of them, or none while one is rejected or it is only tried. */
export function importRows({ stores, today, newId }: AppContext, plan: ImportPlan): ImportReport {
  const setting: Setting = { stores, today: today(), now: new Date().toISOString(), gardenId: plan.gardenId };
  try {
    return stores.atomically(() => {
      const first = plan.before?.() ?? { rows: [], writes: [] };
      const writes = [...first.writes];
      const rowsInOrder = inWritingOrder(named(setting, plan.rows));
      const written = [...first.rows, ...rowsInOrder.map((row) => writeRow(setting, row, writes))];
      reordered(stores, written);
      const rows = checked(setting, plan, rowsInOrder, written);
      const counts = countsOf(rows);
      const isWritten = counts.rejected === 0 && !plan.isDryRun;
      const importId = isWritten && writes.length > 0 ? newId() : null;
      const report: ImportReport = {
        gardenId: plan.gardenId,
        gardenName: stores.gardens.find(plan.gardenId)!.name,
        isWritten,
        importId,
        counts,
        rows: titled(
          stores,
          plan,
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

/** Rows by what a gardener calls their records, the other lists of the import being known. */
function titled(stores: Stores, { gardenId, rows }: ImportPlan, judged: readonly JudgedRow[]): ImportRow[] {
  const of = (collection: CollectionName) =>
    rows
      .filter((row) => row.collection === collection)
      .map(({ record }) => record as { id: string; name: string });
  const names = {
    beds: [...of('beds'), ...stores.beds.listOf(gardenId)],
    lots: [...of('lots'), ...stores.lots.listOf(gardenId)],
    materials: [...of('materials'), ...stores.materials.listOf(gardenId)],
  };
  return judged.map((row) => {
    const { collection, id, index } = row;
    const own = rows.find((one) => one.collection === collection && one.index === index)?.record;
    const isKept = collection !== 'garden' && collection !== 'photos';
    const record = own ?? (isKept ? storeOf(stores, collection).look(id)?.record : undefined);
    const title = recordTitle(collection, id, { ...names, [collection]: record ? [{ ...record, id }] : [] });
    return { ...row, title };
  });
}

/** The model is asked only about records that could be read at all. */
function checked(
  setting: Setting,
  plan: ImportPlan,
  rows: readonly NamedRow[],
  written: readonly JudgedRow[],
): JudgedRow[] {
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

/** Puts back what an import has overwritten and takes away what it added; a problem when any of it was changed since. */
export function undoImport({ stores, today }: AppContext, importId: string): { gardenId: string } {
  return stores.atomically(() => {
    const record = stores.imports.find(importId);
    if (!record) throw new ProblemError(404, 'Not found', 'There is no such import.');
    const isLater = record.writes.some(({ collection, id, version }) => {
      const kept = undoStore(stores, collection).look(id);
      return kept !== undefined && kept.record.version !== version;
    });
    if (isLater) {
      const detail =
        'Something that was read in has been changed since; taking it back would lose that. Nothing was changed.';
      throw new ProblemError(409, 'Changed meanwhile', detail);
    }
    if (!stores.imports.markUndone(importId)) {
      throw new ProblemError(409, 'Taken back already', 'This has been taken back already.');
    }
    for (const { collection, id, version, before } of [...record.writes].reverse()) {
      const store = undoStore(stores, collection);
      if (before) store.put(before as Filed<AnyRecord>);
      else store.remove(id, version);
    }
    const isGardenGone = !stores.gardens.find(record.gardenId);
    const [found] = isGardenGone ? [] : modelFindings(keptRecords(stores, record.gardenId), today());
    if (found) {
      const detail = `What was written since leans on it: ${told(found).sentence} Nothing was changed.`;
      throw new ProblemError(422, 'Not accepted', detail);
    }
    return { gardenId: record.gardenId };
  });
}

const undoStore = (stores: Stores, collection: ImportWrite['collection']): AnyStore =>
  collection === 'garden' ? stores.gardens : storeOf(stores, collection);
