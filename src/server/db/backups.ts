import Database, { type Database as Open } from 'better-sqlite3';
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { copyFile, rename } from 'node:fs/promises';
import { join } from 'node:path';
import type { BackupEntry, BackupKind, SecondPlace } from '../../contract/backups.ts';
import { addPictures, picturesMissing } from '../photos/photo-pool.ts';
import { freeBackupName, keptBackups, readBackupName } from './backup-rules.ts';
import { COUNT_RECORDS, requireSoundCopy } from './sound-copy.ts';

export interface BackupPlaces {
  readonly folder: string;
  readonly photoFolder: string;
  /** Absent when copies lie beside the books alone. */
  readonly second?: string | undefined;
}

/** Copies of the books and of their photos. */
export interface Backups {
  /** The newest first. */
  list(): BackupEntry[];
  /** Undefined when there is none of that name. */
  pathOf(name: string): string | undefined;
  /** A whole copy of an open database, looked at before older ones go. Throws DamagedFile when it does not hold. */
  make(db: Open, kind: BackupKind): Promise<BackupEntry>;
  /** Of the pictures, one for all copies. */
  readonly photoFolder: string;
  secondPlace(): SecondPlace | null;
}

export function fsynced(path: string): void {
  const file = openSync(path, 'r');
  fsyncSync(file);
  closeSync(file);
}

const photosIn = (folder: string): string => join(folder, 'photos');

const namesIn = (folder: string): string[] =>
  existsSync(folder) ? readdirSync(folder).filter((name) => readBackupName(name) !== null) : [];

const entryOf = (folder: string, name: string): BackupEntry => {
  const { size, mtime } = statSync(join(folder, name));
  return { name, kind: readBackupName(name)!.kind, bytes: size, at: mtime.toISOString() };
};

/** Lets go what the rules do not keep, but never the copy that was just made. */
function prune(folder: string, made: string, today: string): void {
  const names = namesIn(folder);
  const kept = keptBackups(names, today);
  for (const name of names) if (!kept.has(name) && name !== made) rmSync(join(folder, name), { force: true });
}

const photoIdsIn = (file: string): string[] => {
  let db: Open | undefined;
  try {
    db = new Database(file, { readonly: true });
    return db.prepare('SELECT id FROM photo').pluck().all() as string[];
  } catch {
    // A copy that cannot be read, or from before there were photos, names none.
    return [];
  } finally {
    db?.close();
  }
};

/** Lets go the pictures that are gone from the garden, once no copy names them any more. */
function dropUnnamed({ folder, photoFolder }: Pick<BackupPlaces, 'folder' | 'photoFolder'>): void {
  const gone = picturesMissing(photosIn(folder), photoFolder);
  if (gone.length === 0) return;
  const named = new Set(namesIn(folder).flatMap((name) => photoIdsIn(join(folder, name))));
  for (const id of gone) if (!named.has(id)) rmSync(join(photosIn(folder), id), { force: true });
}

/** `now` gives an instant, ISO in UTC. */
export function backupsIn({ folder, photoFolder, second }: BackupPlaces, now: () => string): Backups {
  let secondState: Omit<SecondPlace, 'folder'> = { lastAt: null, failure: null };
  const today = () => now().slice(0, 10);
  // What a program that was ended has left half made.
  if (existsSync(folder)) {
    for (const name of readdirSync(folder))
      if (name.endsWith('.part')) rmSync(join(folder, name), { force: true });
  }

  async function copyToSecond(name: string): Promise<void> {
    if (second === undefined) return;
    try {
      mkdirSync(second, { recursive: true });
      const half = join(second, `${name}.part`);
      await copyFile(join(folder, name), half);
      fsynced(half);
      await rename(half, join(second, name));
      addPictures(photosIn(folder), photosIn(second));
      prune(second, name, today());
      secondState = { lastAt: now(), failure: null };
    } catch (error) {
      secondState = { ...secondState, failure: (error as Error).message };
      console.error(`The backup did not reach ${second}: ${(error as Error).message}`);
    }
  }

  return {
    list: () =>
      namesIn(folder)
        .sort()
        .reverse()
        .map((name) => entryOf(folder, name)),
    pathOf: (name) => (namesIn(folder).includes(name) ? join(folder, name) : undefined),
    make: async (db, kind) => {
      mkdirSync(folder, { recursive: true });
      const name = freeBackupName(now(), kind, readdirSync(folder));
      const half = join(folder, `${name}.part`);
      const count = db.prepare(COUNT_RECORDS).pluck();
      const countRecords = () => count.get() as number;
      const least = countRecords();
      try {
        await db.backup(half);
        await requireSoundCopy(half, [least, countRecords]);
        fsynced(half);
        renameSync(half, join(folder, name));
      } catch (error) {
        rmSync(half, { force: true });
        throw error;
      }
      addPictures(photoFolder, photosIn(folder));
      prune(folder, name, today());
      dropUnnamed({ folder, photoFolder });
      await copyToSecond(name);
      return entryOf(folder, name);
    },
    photoFolder: photosIn(folder),
    secondPlace: () => (second === undefined ? null : { folder: second, ...secondState }),
  };
}
