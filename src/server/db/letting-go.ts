import type { Database } from 'better-sqlite3';
import { readdirSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { isConstraint } from '../problems.ts';
import type { Stores } from '../stores.ts';

/** So long what was deleted can be brought back, and what was put aside is kept, days. Set here; three months are a season. */
export const KEPT_DAYS = 90;
/** So long an import can be taken back, days. Set here. */
const IMPORT_DAYS = 365;
const DAY_MS = 86_400_000;
/** Empty pages that are worth a new file, and their share of it. */
const WORTH_BYTES = 1024 * 1024;
const WORTH_SHARE = 0.2;

/** Tables of records that are marked when they are removed, those that lean on others first. */
const MARKED = [
  'journal',
  'entry',
  'planting',
  'stock_movement',
  'weather',
  'recipe',
  'lab_result',
  'habit',
  'build_up',
  'lot',
  'material',
  'crop',
] as const;
const BOOK_OF_TABLE = {
  journal: 'journal',
  entry: 'entries',
  planting: 'plantings',
  stock_movement: 'movements',
} as const;

export const daysBefore = (instant: string, days: number): string =>
  new Date(Date.parse(instant) - days * DAY_MS).toISOString();

/** Rows of a table one by one, the last written first: what another still names stays for its sake. Returns how many went. */
function dropMarked(db: Database, table: string, before: string): number {
  const ids = db
    .prepare(`SELECT id FROM ${table} WHERE removed_at < @before ORDER BY rowid DESC`)
    .pluck()
    .all({ before });
  const drop = db.prepare(`DELETE FROM ${table} WHERE id = @id`);
  let dropped = 0;
  for (const id of ids) {
    try {
      dropped += drop.run({ id }).changes;
    } catch (error) {
      if (!isConstraint(error)) throw error;
    }
  }
  return dropped;
}

/** A bed goes with all that was written about it: nobody finds that without the bed. */
function dropBeds(db: Database, before: string): number {
  const ids = db.prepare('SELECT id FROM bed WHERE removed_at < @before').pluck().all({ before });
  for (const id of ids) {
    for (const table of ['journal', 'entry', 'planting'])
      db.prepare(`DELETE FROM ${table} WHERE bed_id = @id`).run({ id });
    db.prepare('DELETE FROM bed WHERE id = @id').run({ id });
  }
  return ids.length;
}

/** What was said earlier, and who said it, of records that are gone. */
function dropTraces(db: Database): void {
  const isGone = (table: string) => `record_id NOT IN (SELECT id FROM ${table})`;
  for (const [table, book] of Object.entries(BOOK_OF_TABLE))
    db.prepare(`DELETE FROM earlier WHERE book = @book AND ${isGone(table)}`).run({ book });
  for (const table of [...MARKED, 'bed'])
    db.prepare(`DELETE FROM signature WHERE record_table = @table AND ${isGone(table)}`).run({ table });
}

/** What went for good. */
export interface LetGo {
  /** Gardens, beds and single records that had been deleted. */
  readonly records: number;
  /** Photos that no line shows, whose pictures are to go too. */
  readonly photoIds: readonly string[];
}

/**
 * Lets go for good of what was deleted more than `KEPT_DAYS` before the instant `now`, of revoked addresses and links as old, of
 * photos that no line has shown for as long, and of what imports replaced a year ago. All of it or nothing.
 */
export function letGo(db: Database, stores: Stores, now: string): LetGo {
  const before = daysBefore(now, KEPT_DAYS);
  return stores.atomically(() => {
    const gardens = stores.gardens.listRemoved().filter(({ removedAt }) => removedAt < before);
    const ofGardens = gardens.flatMap(({ record }) => stores.photos.listOf(record.id));
    for (const { record } of gardens) stores.erase(record.id);
    const unshown = stores.gardens
      .list()
      .flatMap(({ id }) => stores.photos.unshownOf(id, { since: before, before }));
    for (const { id } of unshown) stores.photos.remove(id);
    const beds = dropBeds(db, before);
    const records = MARKED.map((table) => dropMarked(db, table, before));
    dropTraces(db);
    db.prepare('DELETE FROM feed WHERE revoked_at < @before').run({ before });
    db.prepare(
      'DELETE FROM person WHERE removed_at < @before AND id NOT IN (SELECT person_id FROM signature)',
    ).run({ before });
    db.prepare('DELETE FROM import WHERE at < @before').run({ before: daysBefore(now, IMPORT_DAYS) });
    return {
      records: records.reduce((sum, count) => sum + count, gardens.length + beds),
      photoIds: [...ofGardens, ...unshown].map(({ id }) => id),
    };
  });
}

/** Writes the file anew without the pages that hold nothing, when there are enough of them. Returns whether it did. */
export function closeGaps(db: Database): boolean {
  const number = (pragma: string) => db.pragma(pragma, { simple: true }) as number;
  const [empty, all, bytes] = [number('freelist_count'), number('page_count'), number('page_size')];
  if (empty * bytes < WORTH_BYTES || empty < all * WORTH_SHARE) return false;
  db.exec('VACUUM');
  db.pragma('wal_checkpoint(TRUNCATE)');
  return true;
}

/** Copies that were put aside beside the books: of a damaged file, or of one before it was brought up to date. */
export function putAside(
  file: string,
): { readonly path: string; readonly bytes: number; readonly at: number }[] {
  const marks = [`${basename(file)}.damaged-`, `${basename(file)}.before-migration-`];
  return readdirSync(dirname(file))
    .filter((name) => marks.some((mark) => name.startsWith(mark)))
    .map((name) => {
      const path = join(dirname(file), name);
      const { size: bytes, mtimeMs: at } = statSync(path);
      return { path, bytes, at };
    });
}

/** Takes away copies that were put aside longer ago than `KEPT_DAYS`. */
export function dropPutAside(file: string, now: string): void {
  const before = Date.parse(now) - KEPT_DAYS * DAY_MS;
  for (const { path, at } of putAside(file)) if (at < before) rmSync(path, { force: true });
}
