import Database from 'better-sqlite3';
import { closeSync, copyFileSync, existsSync, mkdtempSync, openSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BooksState } from '../../contract/backups.ts';
import type { Stores } from '../stores.ts';
import { migrate } from './migrate.ts';
import { type Footprint, footprintOf } from './footprint.ts';
import { DamagedFile, openCopy, openDatabase, UnwritableFile, writeBack } from './open.ts';
import { salvage } from './salvage.ts';
import { createStores } from './stores.ts';

/** Books that are open: in their file, or in a copy that is read instead of it. */
export interface OpenBooks {
  readonly db: Database.Database;
  readonly stores: Stores;
  readonly state: BooksState;
  /** The copy that is read instead of the file. */
  readonly copy?: string;
  /** Of the file, when something was last written into it; absent where a copy is read. */
  readonly footprint?: Footprint;
}

const SOUND: BooksState = { kind: 'sound', reason: null };

export const bytesOf = (file: string): number => statSync(file, { throwIfNoEntry: false })?.size ?? 0;

/** A copy of a database file, with what is not written back into it yet. */
export function copied(file: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'vine-ledger-'));
  const copy = join(folder, 'copy.sqlite');
  copyFileSync(file, copy);
  if (existsSync(`${file}-wal`)) copyFileSync(`${file}-wal`, `${copy}-wal`);
  return copy;
}

export const dropCopy = (copy: string): void => rmSync(join(copy, '..'), { recursive: true, force: true });

/** The books as far as they can be read, out of a copy; empty ones when nothing of a damaged file can. */
export function openToRead(file: string, now: () => string, state: BooksState): OpenBooks {
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

function openSalvaged(copy: string, now: () => string, state: BooksState): OpenBooks {
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

/** Opens the file of the books; one that is damaged or cannot be written to, to be read. */
export function openFile(
  file: string,
  now: () => string,
  asked: { readonly mark?: number | undefined; readonly isKnownSound?: boolean } = {},
): OpenBooks {
  try {
    const db = openDatabase(file, asked);
    writeBack(db);
    return { db, stores: createStores(db, now), state: SOUND, footprint: footprintOf(openSync(file, 'r')) };
  } catch (error) {
    if (error instanceof DamagedFile)
      return openToRead(file, now, { kind: 'damaged', reason: error.message });
    if (error instanceof UnwritableFile && existsSync(file))
      return openToRead(file, now, { kind: 'readOnly', reason: error.message });
    throw error;
  }
}

export function shut({ db, copy, footprint }: OpenBooks): void {
  db.close();
  if (footprint) closeSync(footprint.handle);
  if (copy !== undefined) dropCopy(copy);
}
