import type { Database } from 'better-sqlite3';
import { entryFields, type EntryRecord, type EntryType } from '../../records/entry.ts';
import type { Filed, Stores } from '../stores.ts';
import { columnsOf, OF_A_BED } from './columns.ts';
import { ON_BEDS_OF_GARDEN, reorder, storeOver } from './store-over.ts';
import { VersionedTable, type Columns } from './versioned-table.ts';

const BY_TYPE = Object.entries(entryFields) as [EntryType, (typeof entryFields)[EntryType]][];

/** Every field that some type of entry has. */
const ENTRY: Columns = Object.fromEntries([
  ...Object.entries(OF_A_BED),
  ['type', ['type']],
  ...BY_TYPE.flatMap(([, fields]) => Object.entries(columnsOf(fields))),
]);

const COMMON_FIELDS = ['id', 'version', 'createdAt', 'updatedAt', 'bedId', 'type', 'state', 'date', 'note'];
const OWN_FIELDS = new Map(
  BY_TYPE.map(([type, fields]) => [type, Object.keys(fields).filter((one) => !COMMON_FIELDS.includes(one))]),
);

/** Only the fields that an entry of its type has. */
function trimEntry(row: EntryRecord): EntryRecord {
  const all = row as unknown as Record<string, unknown>;
  const entry: Record<string, unknown> = {};
  for (const field of COMMON_FIELDS) entry[field] = all[field];
  for (const field of OWN_FIELDS.get(row.type) ?? []) entry[field] = all[field];
  return entry as unknown as EntryRecord;
}

const NO_FIELDS: object = Object.fromEntries([...OWN_FIELDS.values()].flat().map((field) => [field, null]));

/** Fields that an entry of another type had are emptied when it changes type. */
const spreadEntry = (values: object): object => ({ ...NO_FIELDS, ...values });

const trimmed = (entry: EntryRecord | undefined): EntryRecord | undefined => entry && trimEntry(entry);

const trimmedOutcome = <Outcome extends { readonly outcome: string }>(result: Outcome): Outcome =>
  'current' in result ? { ...result, current: trimEntry(result.current as EntryRecord) } : result;

/** Entries of all types in one table; those of one day in the order in which they were written. */
export function entryStore(db: Database, now: () => string): Stores['entries'] {
  const table = new VersionedTable<EntryRecord>(db, {
    table: 'entry',
    columns: ENTRY,
    order: 'date, sequence',
  });
  const store = storeOver(table, now);
  const sequences = db.prepare('SELECT id, sequence FROM entry WHERE bed_id = @bedId').raw();
  const months = db
    .prepare(
      `SELECT DISTINCT substr(date, 1, 7) FROM entry
       WHERE removed_at IS NULL AND ${ON_BEDS_OF_GARDEN} ORDER BY 1`,
    )
    .pluck();
  const list = (where: string, value: string) => table.listWhere(where, value).map(trimEntry);
  return {
    reorder: (ids) => reorder(db, 'entry', ids),
    find: (id) => trimmed(store.find(id)),
    insert: (record) => trimEntry(store.insert(record)),
    update: (id, version, values) => trimmedOutcome(store.update(id, version, spreadEntry(values))),
    remove: (id, version) => trimmedOutcome(store.remove(id, version)),
    restore: (id) => trimmedOutcome(store.restore(id)),
    findEvenRemoved: (id) => {
      const kept = store.findEvenRemoved(id);
      return kept && { ...kept, record: trimEntry(kept.record) };
    },
    upsert: (record) => trimEntry(store.upsert(spreadEntry(record) as Filed<EntryRecord>)),
    listOf: (bedId) => list('bed_id = @value', bedId),
    listOfGarden: (gardenId) => list(ON_BEDS_OF_GARDEN, gardenId),
    monthsOf: (gardenId) => months.all({ value: gardenId }) as string[],
    listOfMonth: (gardenId, month) =>
      table
        .listWhere(`date BETWEEN @first AND @last AND ${ON_BEDS_OF_GARDEN}`, gardenId, {
          first: `${month}-01`,
          last: `${month}-31`,
        })
        .map(trimEntry),
    sequencesOf: (bedId) => new Map(sequences.all({ bedId }) as [string, number][]),
    listFromStock: (gardenId) => list(`lot_id IS NOT NULL AND ${ON_BEDS_OF_GARDEN}`, gardenId),
  };
}
