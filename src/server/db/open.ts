import Database from 'better-sqlite3';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { migrate, pendingMigrations } from './migrate.ts';

/** So long a server that is just being ended may still hold the file. */
const BUSY_TIMEOUT_MS = 3000;

/** A file whose pages do not hold together, or that is no database at all. */
export class DamagedFile extends Error {}

/** A file, or a disk, that nothing can be written to. */
export class UnwritableFile extends Error {}

const codeOf = (error: unknown): string => {
  const code: unknown = (error as { code?: unknown } | null)?.code;
  return typeof code === 'string' ? code : '';
};

/** Whether another program holds the lock of a database file. */
export const isInUse = (error: unknown): boolean => codeOf(error).startsWith('SQLITE_BUSY');

export const inUse = (file: string): Error =>
  new Error(
    `${file} is open in another program, most likely another Vine Ledger. Close it there first: two of them would overwrite each other.`,
  );

/** The failure of the database driver as one of ours. */
function understood(error: unknown, file: string): unknown {
  const code = codeOf(error);
  if (isInUse(error)) return inUse(file);
  if (code.startsWith('SQLITE_CORRUPT') || code === 'SQLITE_NOTADB')
    return new DamagedFile((error as Error).message);
  const isUnwritable = [
    'SQLITE_READONLY',
    'SQLITE_CANTOPEN',
    'SQLITE_PERM',
    'SQLITE_FULL',
    'SQLITE_IOERR',
  ].some((one) => code.startsWith(one));
  const isDisk = ['EACCES', 'EROFS', 'EPERM', 'ENOSPC'].includes(code);
  return isUnwritable || isDisk ? new UnwritableFile((error as Error).message) : error;
}

/**
 * Opens the database of the books, checks it and brings it up to date; a copy of an older file is put beside
 * it first. `mark` is put into its head; a file that is known to be sound is not checked again. Throws DamagedFile or UnwritableFile, or an error with a sentence when it is newer than this program
 * or in use.
 */
export function openDatabase(
  file: string,
  {
    mark,
    isKnownSound = false,
  }: { readonly mark?: number | undefined; readonly isKnownSound?: boolean } = {},
): Database.Database {
  let db: Database.Database | undefined;
  try {
    if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
    const isNew = file === ':memory:' || !existsSync(file);
    db = new Database(file, { timeout: BUSY_TIMEOUT_MS });
    // Held until it is closed, or the program ends in any way: no second server opens the same books.
    db.pragma('locking_mode = EXCLUSIVE');
    db.pragma('journal_mode = WAL');
    // Only when we say so: in between nobody should write into the file, and whoever does is noticed.
    db.pragma('wal_autocheckpoint = 0');
    // An acknowledged write outlives a crash of the machine, not only of the program.
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    if (!isNew && !isKnownSound) {
      requireIntegrity(db);
      if (pendingMigrations(db) > 0) backUpBeforeMigration(db, file);
    }
    migrate(db);
    if (mark !== undefined) db.pragma(`application_id = ${mark}`);
    requireWritable(db);
    return db;
  } catch (error) {
    db?.close();
    throw understood(error, file);
  }
}

/**
 * Writes what stands in the log beside the file into the file itself, as far as nobody is reading it just then. On a disk that is
 * full it stays in the log, where it is as safe; the next write tells of it.
 */
export function writeBack(db: Database.Database): void {
  try {
    db.pragma('wal_checkpoint(PASSIVE)');
  } catch (error) {
    if (!(understood(error, '') instanceof UnwritableFile)) throw error;
  }
}

/** Writes all that stands in the log into the file, and says whether the log is empty then. */
export function isWrittenBack(db: Database.Database): boolean {
  const [done] = db.pragma('wal_checkpoint(TRUNCATE)') as { busy: number; log: number }[];
  return done?.busy === 0 && done.log === 0;
}

/** Throws DamagedFile unless every page, index and constraint of the database holds. */
export function requireIntegrity(db: Database.Database): void {
  const verdict = String(db.pragma('integrity_check(1)', { simple: true }));
  if (verdict !== 'ok') throw new DamagedFile(verdict);
}

/** Opening a file on a disk that cannot be written to succeeds; only writing does not. */
function requireWritable(db: Database.Database): void {
  const version = Number(db.pragma('user_version', { simple: true }));
  db.pragma(`user_version = ${version}`);
}

function backUpBeforeMigration(db: Database.Database, file: string): void {
  const version = String(db.pragma('user_version', { simple: true }));
  // Not copied as a file: whoever opens and closes the file of a database loses the locks on it.
  writeFileSync(`${file}.before-migration-from-${version}`, db.serialize());
}

/** Opens a copy that is to take the place of the books: by the thread that works on it, and nobody else. */
export function openWorkingCopy(copy: string): Database.Database {
  const db = new Database(copy);
  db.pragma('locking_mode = EXCLUSIVE');
  // All of it in the one file that takes the place of another: a log beside it would be left behind.
  db.pragma('journal_mode = DELETE');
  db.pragma('foreign_keys = ON');
  // Nobody leans on it before it lies whole on the disk.
  db.pragma('synchronous = OFF');
  return db;
}

/** Closes such a copy when it is whole and nothing of it lies beside it. Throws DamagedFile when it is not. */
export function closeWorkingCopy(db: Database.Database): void {
  requireIntegrity(db);
  const copy = db.name;
  db.close();
  const beside = ['-wal', '-journal'].map((suffix) => `${copy}${suffix}`).filter((name) => existsSync(name));
  if (beside.length > 0) throw new DamagedFile(`${beside.join(', ')} was left beside the copy`);
}

/**
 * Opens a copy that is only read, brought up to date as far as it goes: nothing that is done to it reaches the file it
 * was copied from.
 */
export function openCopy(copy: string): Database.Database {
  const db = new Database(copy);
  try {
    migrate(db);
    db.pragma('query_only = ON');
    return db;
  } catch (error) {
    db.close();
    throw understood(error, copy);
  }
}
