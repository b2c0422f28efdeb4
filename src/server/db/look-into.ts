import type Database from 'better-sqlite3';
import type { BackupCheck, BackupEntry } from '../../contract/backups.ts';
import { openCopy, requireIntegrity } from './open.ts';
import { copied, dropCopy } from './opened-file.ts';

function contentsOf(db: Database.Database): Omit<BackupCheck, keyof BackupEntry> {
  const count = (table: string): number =>
    db.prepare(`SELECT count(*) FROM ${table} WHERE removed_at IS NULL`).pluck().get() as number;
  const newest = db
    .prepare(
      `SELECT max(updated_at) FROM (
         SELECT updated_at FROM garden UNION ALL SELECT updated_at FROM bed UNION ALL SELECT updated_at FROM entry
         UNION ALL SELECT updated_at FROM planting UNION ALL SELECT updated_at FROM journal
         UNION ALL SELECT updated_at FROM stock_movement)`,
    )
    .pluck()
    .get() as string | null;
  return {
    gardens: db
      .prepare('SELECT name FROM garden WHERE removed_at IS NULL ORDER BY created_at, id')
      .pluck()
      .all() as string[],
    beds: count('bed'),
    entries: count('entry'),
    observations: count('journal'),
    newestRecordAt: newest,
  };
}

export interface BooksContents extends Omit<BackupCheck, keyof BackupEntry> {
  readonly photos: readonly { readonly id: string; readonly bytes: number }[];
}

/** What a file of books holds, out of a copy. Throws with a sentence unless every page of it holds. */
export function lookInto(file: string): BooksContents {
  const copy = copied(file);
  try {
    const db = openCopy(copy);
    try {
      requireIntegrity(db);
      const photos = db.prepare('SELECT id, bytes FROM photo').all() as { id: string; bytes: number }[];
      return { ...contentsOf(db), photos };
    } finally {
      db.close();
    }
  } finally {
    dropCopy(copy);
  }
}
