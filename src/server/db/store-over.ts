import type { Database } from 'better-sqlite3';
import type { Store, Unstamped, Versioned } from '../stores.ts';
import type { VersionedTable } from './versioned-table.ts';

/** Rows on beds of a garden that are not removed. */
export const ON_BEDS_OF_GARDEN =
  'bed_id IN (SELECT id FROM bed WHERE removed_at IS NULL AND garden_id = @value)';

/** A table as a store whose writes are stamped with the time. */
export function storeOver<Record extends Versioned>(
  table: VersionedTable<Record>,
  now: () => string,
): Store<Record> {
  return {
    find: (id) => table.find(id),
    insert: (record: Unstamped<Record>) => table.insert(record, now()),
    update: (id, version, values) => table.update({ id, version, values, now: now() }),
    remove: (id, version) => table.remove(id, version, now()),
    restore: (id) => table.restore(id, now()),
    findEvenRemoved: (id) => table.findEvenRemoved(id),
    upsert: (record) => table.upsert(record),
  };
}

/** Gives these records their places among themselves in a new order. */
export function reorder(
  db: Database,
  table: 'entry' | 'stock_movement' | 'journal',
  ids: readonly string[],
): void {
  const held = db
    .prepare(
      `SELECT id, sequence FROM ${table} WHERE id IN (SELECT value FROM json_each(@ids)) ORDER BY sequence`,
    )
    .raw()
    .all({ ids: JSON.stringify(ids) }) as [id: string, place: number][];
  const put = db.prepare(`UPDATE ${table} SET sequence = @place WHERE id = @id`);
  ids.forEach((id, i) => {
    const [holder, place] = held[i] ?? [];
    if (holder !== id) put.run({ id, place });
  });
}
