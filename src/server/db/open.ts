import Database from 'better-sqlite3';
import { copyFileSync, existsSync, mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { migrate, pendingMigrations } from './migrate.ts';

const BUSY_TIMEOUT_MS = 5000;

/**
 * Opens the database of the books, checks it and brings it up to date; a copy of an older file is put beside
 * it first. Throws with a sentence for the owner when the file is damaged or newer than this program.
 */
export function openDatabase(file: string): Database.Database {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const isNew = file === ':memory:' || !existsSync(file);
  const db = new Database(file);
  db.pragma('journal_mode = WAL');
  // An acknowledged write outlives a crash of the machine, not only of the program.
  db.pragma('synchronous = FULL');
  db.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
  db.pragma('foreign_keys = ON');
  if (!isNew) {
    checkIntegrity(db, file);
    if (pendingMigrations(db) > 0) backUpBeforeMigration(db, file);
  }
  migrate(db);
  return db;
}

function checkIntegrity(db: Database.Database, file: string): void {
  const verdict = db.pragma('quick_check', { simple: true });
  if (verdict !== 'ok') {
    throw new Error(
      `The database ${file} is damaged (${String(verdict)}). Restore a copy of it before you go on.`,
    );
  }
}

function backUpBeforeMigration(db: Database.Database, file: string): void {
  db.pragma('wal_checkpoint(TRUNCATE)');
  const version = String(db.pragma('user_version', { simple: true }));
  copyFileSync(file, `${file}.before-migration-from-${version}`);
}
