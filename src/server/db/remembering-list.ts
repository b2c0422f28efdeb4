import type { Database } from 'better-sqlite3';
import type { OwnedStore, Versioned } from '../stores.ts';

/** Records that may be remembered before all are forgotten. */
const MOST_REMEMBERED = 30_000;
/** When more than so many are not known, all are read at once. */
const READ_SINGLY = 40;

interface Listed {
  readonly table: string;
  readonly order: string;
  /** The condition under which a record belongs to `@value`. */
  readonly ownedBy: string;
}

/** A store whose long lists are asked for at every write: what has not changed since is not read and unpacked again. */
export interface RememberingList<Kept extends Versioned> {
  readonly listOf: OwnedStore<Kept>['listOf'];
  /** To be called when rows may have become others under the same id and version: a write taken back, a garden erased. */
  readonly forget: () => void;
}

/** Records are shared by all who list them and cannot be changed. */
export function rememberingList<Kept extends Versioned>(
  db: Database,
  { table, order, ownedBy }: Listed,
  store: Pick<OwnedStore<Kept>, 'find' | 'listOf'>,
): RememberingList<Kept> {
  const known = new Map<string, Kept>();
  const heads = db
    .prepare(
      `SELECT id, version, updated_at FROM ${table}
       WHERE ${ownedBy} AND removed_at IS NULL ORDER BY ${order}`,
    )
    .raw();
  const keep = (record: Kept): Kept => {
    if (known.size >= MOST_REMEMBERED) known.clear();
    known.set(record.id, Object.freeze(record));
    return record;
  };
  return {
    listOf: (ownerId) => {
      const rows = heads.all({ value: ownerId }) as [id: string, version: number, updatedAt: string][];
      const found = rows.map(([id, version, updatedAt]) => {
        const record = known.get(id);
        return record?.version === version && record.updatedAt === updatedAt ? record : undefined;
      });
      const missing = found.filter((record) => record === undefined).length;
      if (missing > READ_SINGLY) return store.listOf(ownerId).map(keep);
      return found.map((record, i) => record ?? keep(store.find(rows[i]![0])!));
    },
    forget: () => known.clear(),
  };
}
