import Database from 'better-sqlite3';
import {
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BackupCheck, BackupEntry, BooksState } from '../../contract/backups.ts';
import { IN_WORDS, ProblemError } from '../problems.ts';
import type { Stores } from '../stores.ts';
import { migrate } from './migrate.ts';
import { DamagedFile, openCopy, openDatabase, requireIntegrity, UnwritableFile } from './open.ts';
import { createStores } from './stores.ts';

export const BACKUPS_KEPT = 14;
const NAME = /^\d{4}-\d{2}-\d{2}_\d{6}-(\d{2})\.sqlite$/;

/** The file the books are kept in, with its backups; open for as long as the server runs. */
export interface BooksFile {
  /** Always those of the file as it now is, after a restore too. */
  readonly stores: Stores;
  readonly state: () => BooksState;
  /** Copies the books while they are in use; the oldest copies beyond fourteen go. */
  backUp(): Promise<BackupEntry>;
  /** The newest first. */
  backups(): BackupEntry[];
  /** Opens a copy of a backup and looks at it; a problem when it is none that can be restored. */
  check(name: string): BackupCheck;
  /** Puts a backup in the place of the books, which are backed up before. */
  restore(name: string): Promise<BackupCheck>;
  close(): void;
}

interface Open {
  readonly db: Database.Database;
  readonly stores: Stores;
  readonly state: BooksState;
  /** The copy that is read instead of the file. */
  readonly copy?: string;
}

const stamped = (now: string): string => `${now.slice(0, 10)}_${now.slice(11, 19).replaceAll(':', '')}`;

function fsynced(path: string): void {
  const file = openSync(path, 'r');
  fsyncSync(file);
  closeSync(file);
}

/** A copy of a database file, with what is not written back into it yet. */
function copied(file: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'vine-ledger-'));
  const copy = join(folder, 'copy.sqlite');
  copyFileSync(file, copy);
  if (existsSync(`${file}-wal`)) copyFileSync(`${file}-wal`, `${copy}-wal`);
  return copy;
}

const dropCopy = (copy: string): void => rmSync(join(copy, '..'), { recursive: true, force: true });

/** The books as far as they can be read, out of a copy; empty ones when nothing can. */
function openToRead(file: string, now: () => string, state: BooksState): Open {
  let db: Database.Database;
  const copy = copied(file);
  try {
    db = openCopy(copy);
  } catch (error) {
    dropCopy(copy);
    if (state.kind === 'readOnly') throw error;
    db = new Database(':memory:');
    migrate(db);
    db.pragma('query_only = ON');
  }
  return { db, stores: createStores(db, now), state, copy };
}

function openFile(file: string, now: () => string): Open {
  try {
    const db = openDatabase(file);
    return { db, stores: createStores(db, now), state: { kind: 'sound', reason: null } };
  } catch (error) {
    if (error instanceof DamagedFile)
      return openToRead(file, now, { kind: 'damaged', reason: error.message });
    if (error instanceof UnwritableFile && existsSync(file))
      return openToRead(file, now, { kind: 'readOnly', reason: error.message });
    throw error;
  }
}

function shut({ db, copy }: Open): void {
  db.close();
  if (copy !== undefined) dropCopy(copy);
}

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

/** Opens the books at `file`; `now` gives the instant, ISO in UTC. Damaged or unwritable books are opened to be read. */
export function openBooks(file: string, now: () => string): BooksFile {
  const folder = `${file}-backups`;
  let open = openFile(file, now);
  const stores = new Proxy({} as Stores, { get: (_, key) => Reflect.get(open.stores, key) as unknown });

  const entryOf = (name: string): BackupEntry => {
    const { size, mtime } = statSync(join(folder, name));
    return { name, bytes: size, at: mtime.toISOString() };
  };
  const backups = (): BackupEntry[] =>
    existsSync(folder)
      ? readdirSync(folder)
          .filter((name) => NAME.test(name))
          .sort()
          .reverse()
          .map(entryOf)
      : [];
  const pathOf = (name: string): string => {
    if (!NAME.test(name) || !existsSync(join(folder, name))) {
      throw new ProblemError(404, 'Not found', 'There is no such backup.');
    }
    return join(folder, name);
  };
  /** Names in the order of making, within one second too. */
  const freeName = (): string => {
    const stem = stamped(now());
    const last = backups().find(({ name }) => name.startsWith(`${stem}-`));
    const nth = last ? Number(NAME.exec(last.name)?.[1]) + 1 : 0;
    return `${stem}-${String(nth).padStart(2, '0')}.sqlite`;
  };

  const backUp = async (): Promise<BackupEntry> => {
    mkdirSync(folder, { recursive: true });
    const name = freeName();
    const half = join(folder, `${name}.part`);
    rmSync(half, { force: true });
    await open.db.backup(half);
    fsynced(half);
    renameSync(half, join(folder, name));
    for (const { name: old } of backups().slice(BACKUPS_KEPT)) rmSync(join(folder, old), { force: true });
    return entryOf(name);
  };

  const check = (name: string): BackupCheck => {
    const path = pathOf(name);
    const copy = copied(path);
    try {
      const db = openCopy(copy);
      try {
        requireIntegrity(db);
        return { ...entryOf(name), ...contentsOf(db) };
      } finally {
        db.close();
      }
    } catch (error) {
      if (error instanceof ProblemError) throw error;
      const detail = `This backup cannot be restored: ${(error as Error).message}. Nothing was changed.`;
      throw new ProblemError(422, 'Not restored', detail);
    } finally {
      dropCopy(copy);
    }
  };

  /** Everything after the last await happens in one go: no request finds the books half restored. */
  const restore = async (name: string): Promise<BackupCheck> => {
    if (open.state.kind === 'readOnly') throw new ProblemError(503, 'Read only', IN_WORDS.readOnly);
    const found = check(name);
    const restoring = `${file}.restoring`;
    copyFileSync(pathOf(name), restoring);
    fsynced(restoring);
    if (open.state.kind === 'sound') await backUp();
    else copyFileSync(file, `${file}.damaged-${stamped(now())}`);
    shut(open);
    for (const suffix of ['-wal', '-shm']) rmSync(`${file}${suffix}`, { force: true });
    renameSync(restoring, file);
    open = openFile(file, now);
    return found;
  };

  return { stores, state: () => open.state, backUp, backups, check, restore, close: () => shut(open) };
}
