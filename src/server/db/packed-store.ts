import type { Database } from 'better-sqlite3';
import type { OwnedStore, RemovalOutcome, Unstamped, Versioned, WriteOutcome } from '../stores.ts';
import { VersionedTable, type Columns } from './versioned-table.ts';

interface Packed extends Versioned {
  readonly details: object;
}

/** A table whose records have fields of their own by type: those are kept together in its column `details`. */
interface PackedTable<Kept> {
  readonly table: string;
  /** With `details` among them. */
  readonly columns: Columns;
  readonly order: string;
  /** The condition under which a record belongs to `@value`. */
  readonly ownedBy: string;
  /** May drop fields that a type does not have. */
  readonly tidy?: (record: Kept) => Kept;
}

const STAMPED = ['id', 'version', 'createdAt', 'updatedAt'];

/** Such a table as a store; `now` gives the instant of a write. */
export function packedStore<Kept extends Versioned>(
  { db, now }: { readonly db: Database; readonly now: () => string },
  { table: name, columns, order, ownedBy, tidy = (record) => record }: PackedTable<Kept>,
): OwnedStore<Kept> {
  const table = new VersionedTable<Packed>(db, { table: name, columns, order });
  const common = new Set([...STAMPED, ...Object.keys(columns)]);
  const pack = (values: object) => {
    const fields = Object.entries(values);
    const isCommon = ([field]: [string, unknown]) => common.has(field);
    const details = Object.fromEntries(fields.filter((one) => !isCommon(one)));
    return { ...Object.fromEntries(fields.filter(isCommon)), details };
  };
  const unpack = ({ details, ...fields }: Packed) => tidy({ ...fields, ...details } as unknown as Kept);
  const unpacked = <Outcome extends { readonly outcome: string }>(result: Outcome) =>
    'current' in result ? { ...result, current: unpack(result.current as Packed) } : result;
  return {
    find: (id) => {
      const row = table.find(id);
      return row && unpack(row);
    },
    insert: (record: Unstamped<Kept>) => unpack(table.insert(pack(record) as Unstamped<Packed>, now())),
    update: (id, version, values) =>
      unpacked(table.update({ id, version, values: pack(values), now: now() })) as WriteOutcome<Kept>,
    remove: (id, version) => unpacked(table.remove(id, version, now())) as RemovalOutcome<Kept>,
    findEvenRemoved: (id) => {
      const kept = table.findEvenRemoved(id);
      return kept && { ...kept, record: unpack(kept.record) };
    },
    upsert: (record) => unpack(table.upsert(pack(record) as Omit<Packed, 'version'>)),
    restore: (id) => unpacked(table.restore(id, now())) as WriteOutcome<Kept>,
    listOf: (ownerId) => table.listWhere(ownedBy, ownerId).map(unpack),
  };
}
