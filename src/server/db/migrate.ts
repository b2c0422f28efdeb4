import type { Database } from 'better-sqlite3';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { PROJECT } from '../project.ts';

const FOLDER = join(PROJECT, 'src', 'server', 'db', 'migrations');

interface Migration {
  readonly number: number;
  readonly file: string;
}

/** Migrations in order. Throws when a number is missing or taken twice. */
function migrations(): Migration[] {
  const found = readdirSync(FOLDER)
    .filter((file) => /^\d{4}_\w+\.sql$/.test(file))
    .sort()
    .map((file) => ({ number: Number(file.slice(0, 4)), file }));
  found.forEach(({ number, file }, i) => {
    if (number !== i + 1) throw new Error(`Migration ${file} should be number ${i + 1}`);
  });
  return found;
}

export const versionOf = (db: Database): number => db.pragma('user_version', { simple: true }) as number;

/** How many migrations the database still wants. Throws when it is newer than this program. */
export function pendingMigrations(db: Database): number {
  const newest = migrations().length;
  const version = versionOf(db);
  if (version > newest) {
    throw new Error(
      `This database was written by a newer Vine Ledger (version ${version}, this one knows ${newest}). Update Vine Ledger to open it.`,
    );
  }
  return newest - version;
}

/** Brings the database to a version, or to the newest; each migration is all or nothing. Mutates the database. */
export function migrate(db: Database, version?: number): void {
  const wanted = migrations().slice(versionOf(db), version);
  // Rebuilding a parent table with foreign keys on would delete its children.
  db.pragma('foreign_keys = OFF');
  try {
    for (const { number, file } of wanted) {
      db.transaction(() => {
        db.exec(readFileSync(join(FOLDER, file), 'utf8'));
        const broken = db.pragma('foreign_key_check') as unknown[];
        if (broken.length > 0) throw new Error(`Migration ${file} leaves ${broken.length} broken references`);
        db.pragma(`user_version = ${number}`);
      }).immediate();
    }
  } finally {
    db.pragma('foreign_keys = ON');
  }
}
