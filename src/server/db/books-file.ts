import { copyFileSync, renameSync, rmSync } from 'node:fs';
import type {
  BackupCheck,
  BackupEntry,
  BackupKind,
  BooksState,
  SecondPlace,
} from '../../contract/backups.ts';
import { putBackPictures } from '../photos/photo-pool.ts';
import { IN_WORDS, isDamage, ProblemError } from '../problems.ts';
import type { Stores } from '../stores.ts';
import { backupsIn, fsynced } from './backups.ts';
import { closeGaps, dropPutAside, type LetGo, letGo, putAside } from './letting-go.ts';
import { lookInto } from './look-into.ts';
import { compared, footprintOf } from './footprint.ts';
import { DamagedFile, isWrittenBack, writeBack } from './open.ts';
import { bytesOf, openFile, openToRead, shut } from './opened-file.ts';
import { UnlikeCopy } from './sound-copy.ts';

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
  /** Copies of the file that were put aside: of a damaged one, or before it was brought up to date. */
  putAside(): { readonly count: number; readonly bytes: number };
  /** Writes what stands in the log beside the file into the file itself, while it is the one that was opened. */
  writeBack(): void;
  /** How many rows were written since the file was opened. */
  writes(): number;
  /** Lets go of what was deleted long ago, and closes the gaps that leaves. The pictures of photos are left to the caller. */
  tidy(): Promise<LetGo>;
  /**
   * Has something done on a copy of the file, which then takes the place of the books where that is wanted. Null when others
   * wrote into the books each time it was tried, or they cannot be written to: nothing was done then.
   */
  workOnCopy<Result>(work: (copy: string) => Promise<Worked<Result>>): Promise<Result | null>;
  /** Puts a backup in the place of the books, which are backed up before. */
  restore(name: string): Promise<BackupCheck>;
  close(): void;
}

/** What was done on a copy of the books. */
export interface Worked<Result> {
  readonly result: Result;
  /** Done just before the copy takes the place of the books; null when it is not to. */
  readonly takeOver: (() => void) | null;
}

/** Copies are worked on so often while others write into the books meanwhile. */
const MOST_COPIES = 3;

function dropWithLog(file: string): void {
  for (const suffix of ['', '-wal', '-shm', '-journal']) rmSync(`${file}${suffix}`, { force: true });
}

const stamped = (now: string): string => `${now.slice(0, 10)}_${now.slice(11, 19).replaceAll(':', '')}`;

export interface BooksPlaces {
  readonly file: string;
  /** Another folder for every backup. */
  readonly backupTo?: string | undefined;
  /** Put into the head of the file. */
  readonly mark?: number | undefined;
}

/** Where the pictures of the books at `file` lie. */
export const photoFolderOf = (file: string): string => `${file}-photos`;

/** Closing the books would write into the file. */
const NOT_OURS: ReadonlySet<BooksState['kind']> = new Set(['replaced', 'overwritten']);

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
  let open = openFile(file, now, { mark });
  const backups = backupsIn({ folder: `${file}-backups`, photoFolder, second: backupTo }, now);
  rmSync(`${file}.restoring`, { force: true });
  const working = `${file}.working`;
  dropWithLog(working);
  const inTurn = oneAtATime();
  const stores = new Proxy({} as Stores, { get: (_, key) => Reflect.get(open.stores, key) as unknown });
  const state = (): BooksState => {
    if (open.state.kind !== 'sound' || !open.footprint) return open.state;
    const found = compared(file, open.footprint);
    if (found === 'another')
      open = { ...open, state: { kind: 'replaced', reason: `${file} is not the file that was opened` } };
    if (found === 'overwritten')
      open = { ...open, state: { kind: 'overwritten', reason: `another program has written into ${file}` } };
    return open.state;
  };
  const noted = (): void => {
    if (open.footprint) open = { ...open, footprint: footprintOf(open.footprint.handle) };
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

  /** The file at `other` becomes that of the books. */
  const putInPlace = (other: string, isKnownSound = false): void => {
    shut(open);
    try {
      for (const suffix of ['-wal', '-shm']) rmSync(`${file}${suffix}`, { force: true });
      renameSync(other, file);
    } finally {
      open = openFile(file, now, { mark, isKnownSound });
    }
  };

  const writes = (): number => open.db.prepare('SELECT total_changes()').pluck().get() as number;

  /** Everything after the last await happens in one go: no request finds the books half replaced. */
  const workOnCopy = async <Result>(
    work: (copy: string) => Promise<Worked<Result>>,
  ): Promise<Result | null> => {
    for (let i = 0; i < MOST_COPIES; i++) {
      if (state().kind !== 'sound') return null;
      const [before, opened] = [writes(), open.stores.epoch()];
      try {
        await open.db.backup(working);
        const { result, takeOver } = await work(working);
        if (open.stores.epoch() !== opened || writes() !== before || state().kind !== 'sound') continue;
        if (takeOver) {
          // What is still in the log alone would be lost if the copy did not come into its place.
          if (!isWrittenBack(open.db)) return null;
          takeOver();
          putInPlace(working, true);
        }
        return result;
      } catch (error) {
        // When no copy can be made or worked on, doing the same in the books themselves says why.
        if (error instanceof ProblemError) throw error;
        return null;
      } finally {
        dropWithLog(working);
      }
    }
    return null;
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
    putInPlace(restoring);
    const ids = open.db.prepare('SELECT id FROM photo').pluck().all() as string[];
    putBackPictures(ids, { from: backups.photoFolder, to: photoFolder });
    return found;
  };

  return {
    stores,
    state,
    noteDamage,
    bytes: () => bytesOf(file) + bytesOf(`${file}-wal`),
    putAside: () => {
      const copies = putAside(file);
      return { count: copies.length, bytes: copies.reduce((sum, { bytes }) => sum + bytes, 0) };
    },
    writeBack: () => {
      if (state().kind !== 'sound') return;
      try {
        writeBack(open.db);
        noted();
      } catch (error) {
        if (!isDamage(error)) throw error;
        noteDamage((error as Error).message);
      }
    },
    writes,
    workOnCopy: (work) => inTurn(() => workOnCopy(work)),
    tidy: () =>
      inTurn(() => {
        const gone = letGo(open.db, open.stores, now());
        dropPutAside(file, now());
        if (closeGaps(open.db)) noted();
        return Promise.resolve(gone);
      }),
    backUp: (kind) => inTurn(() => backUp(kind)),
    backups: () => backups.list(),
    secondPlace: () => backups.secondPlace(),
    check,
    restore: (name) => inTurn(() => restore(name)),
    // What lies under the name by now, and the log beside it, may be another program's.
    close: () => {
      if (!NOT_OURS.has(state().kind)) shut(open);
    },
  };
}
