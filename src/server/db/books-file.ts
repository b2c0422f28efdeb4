import Database from 'better-sqlite3';
import { copyFileSync, existsSync, mkdtempSync, renameSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type {
  BackupCheck,
  BackupEntry,
  BackupKind,
  BooksState,
  SecondPlace,
} from '../../contract/backups.ts';
import { putBackPictures } from '../photos/photo-pool.ts';
import { IN_WORDS, ProblemError } from '../problems.ts';
import type { Stores } from '../stores.ts';
import { backupsIn, fsynced } from './backups.ts';
import { migrate } from './migrate.ts';
import { DamagedFile, openCopy, openDatabase, requireIntegrity, UnwritableFile } from './open.ts';
import { salvage } from './salvage.ts';
import { UnlikeCopy } from './sound-copy.ts';
import { createStores } from './stores.ts';

/** The file the books are kept in, with its backups; open for as long as the server runs. */
export interface BooksFile {
  /** Always those of the file as it now is, after a restore too. */
  readonly stores: Stores;
  readonly state: () => BooksState;
  /** Of the file and the log beside it. */
  bytes(): number;
  /** Pages were found that do not hold: from now on the books are read as far as they go, and not written to. */
  noteDamage(reason: string): void;
  /** Copies the books and their photos while they are in use, one copy at a time; older ones go by the rules of backups. */
  backUp(kind: BackupKind): Promise<BackupEntry>;
  /** The newest first. */
  backups(): BackupEntry[];
  /** Opens a copy of a backup and looks at it; a problem when it is none that can be restored. */
  check(name: string): BackupCheck;
  /** Null when copies lie beside the books alone. */
  secondPlace(): SecondPlace | null;
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
  /** Of the file, when it was opened; null where there is none. */
  readonly inode?: number | null;
}

const SOUND: BooksState = { kind: 'sound', reason: null };

const bytesOf = (file: string): number => statSync(file, { throwIfNoEntry: false })?.size ?? 0;

/** By which the system knows a file, whatever its name; null when there is none. */
const inodeOf = (file: string): number | null => statSync(file, { throwIfNoEntry: false })?.ino ?? null;

const stamped = (now: string): string => `${now.slice(0, 10)}_${now.slice(11, 19).replaceAll(':', '')}`;

/** A copy of a database file, with what is not written back into it yet. */
function copied(file: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'vine-ledger-'));
  const copy = join(folder, 'copy.sqlite');
  copyFileSync(file, copy);
  if (existsSync(`${file}-wal`)) copyFileSync(`${file}-wal`, `${copy}-wal`);
  return copy;
}

const dropCopy = (copy: string): void => rmSync(join(copy, '..'), { recursive: true, force: true });

/** The books as far as they can be read, out of a copy; empty ones when nothing of a damaged file can. */
function openToRead(file: string, now: () => string, state: BooksState): Open {
  const copy = copied(file);
  let db: Database.Database;
  try {
    if (state.kind === 'damaged') return openSalvaged(copy, now, state);
    db = openCopy(copy);
  } catch (error) {
    dropCopy(copy);
    throw error;
  }
  return { db, stores: createStores(db, now), state, copy };
}

function openSalvaged(copy: string, now: () => string, state: BooksState): Open {
  try {
    const { db, lostRows } = salvage(copy);
    return { db, stores: createStores(db, now), state: { ...state, lostRows } };
  } catch {
    const db = new Database(':memory:');
    migrate(db);
    db.pragma('query_only = ON');
    return { db, stores: createStores(db, now), state };
  } finally {
    dropCopy(copy);
  }
}

function openFile(file: string, now: () => string, mark?: number): Open {
  try {
    const db = openDatabase(file, mark);
    return { db, stores: createStores(db, now), state: SOUND, inode: inodeOf(file) };
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

export interface BooksPlaces {
  readonly file: string;
  /** Another folder for every backup. */
  readonly backupTo?: string | undefined;
  /** Put into the head of the file. */
  readonly mark?: number | undefined;
}

/** Where the pictures of the books at `file` lie. */
export const photoFolderOf = (file: string): string => `${file}-photos`;

/** Each job begins when those before it have ended, in whatever way. */
function oneAtATime() {
  let last: Promise<unknown> = Promise.resolve();
  return <Result>(job: () => Promise<Result>): Promise<Result> => {
    const result = last.then(job, job);
    last = result.catch(() => undefined);
    return result;
  };
}

/** Opens the books at `file`; `now` gives the instant, ISO in UTC. Damaged or unwritable books are opened to be read. */
export function openBooks({ file, backupTo, mark }: BooksPlaces, now: () => string): BooksFile {
  const photoFolder = photoFolderOf(file);
  // Once the file is ours: what lies half made beside it may be another program's until then.
  let open = openFile(file, now, mark);
  const backups = backupsIn({ folder: `${file}-backups`, photoFolder, second: backupTo }, now);
  rmSync(`${file}.restoring`, { force: true });
  const inTurn = oneAtATime();
  const stores = new Proxy({} as Stores, { get: (_, key) => Reflect.get(open.stores, key) as unknown });
  const state = (): BooksState => {
    const inode = open.inode ?? null;
    if (open.state.kind === 'sound' && inodeOf(file) !== inode) {
      open = { ...open, state: { kind: 'replaced', reason: `${file} is not the file that was opened` } };
    }
    return open.state;
  };

  const noteDamage = (reason: string): void => {
    if (open.state.kind !== 'sound') return;
    console.error(`The file of the books is damaged: ${reason}`);
    shut(open);
    open = openToRead(file, now, { kind: 'damaged', reason });
  };

  const backUp = async (kind: BackupKind): Promise<BackupEntry> => {
    try {
      return await backups.make(open.db, kind);
    } catch (error) {
      if (error instanceof UnlikeCopy) {
        throw new ProblemError(
          503,
          'Busy',
          'The books changed while they were copied. Make the backup again.',
        );
      }
      if (!(error instanceof DamagedFile)) throw error;
      // What does not hold in a fresh copy does not hold in the books.
      noteDamage(error.message);
      throw new ProblemError(503, 'Damaged', IN_WORDS.damaged);
    }
  };

  const pathOf = (name: string): string => {
    const path = backups.pathOf(name);
    if (path === undefined) throw new ProblemError(404, 'Not found', 'There is no such backup.');
    return path;
  };
  const check = (name: string): BackupCheck => {
    const path = pathOf(name);
    try {
      const { photos, ...contents } = lookInto(path);
      return { ...backups.list().find((one) => one.name === name)!, ...contents };
    } catch (error) {
      const detail = `This backup cannot be restored: ${(error as Error).message}. Nothing was changed.`;
      throw new ProblemError(422, 'Not restored', detail);
    }
  };

  /** Everything after the last await happens in one go: no request finds the books half restored. */
  const restore = async (name: string): Promise<BackupCheck> => {
    const { kind } = state();
    if (kind === 'readOnly' || kind === 'replaced') throw new ProblemError(503, 'Read only', IN_WORDS[kind]);
    const found = check(name);
    const restoring = `${file}.restoring`;
    copyFileSync(pathOf(name), restoring);
    fsynced(restoring);
    if (kind === 'sound') await backUp('beforeRestore');
    else copyFileSync(file, `${file}.damaged-${stamped(now())}`);
    shut(open);
    for (const suffix of ['-wal', '-shm']) rmSync(`${file}${suffix}`, { force: true });
    renameSync(restoring, file);
    open = openFile(file, now, mark);
    const ids = open.db.prepare('SELECT id FROM photo').pluck().all() as string[];
    putBackPictures(ids, { from: backups.photoFolder, to: photoFolder });
    return found;
  };

  return {
    stores,
    state,
    noteDamage,
    bytes: () => bytesOf(file) + bytesOf(`${file}-wal`),
    backUp: (kind) => inTurn(() => backUp(kind)),
    backups: () => backups.list(),
    secondPlace: () => backups.secondPlace(),
    check,
    restore: (name) => inTurn(() => restore(name)),
    // What lies under the name by now, and the log beside it, may be another program's.
    close: () => {
      if (state().kind !== 'replaced') shut(open);
    },
  };
}
