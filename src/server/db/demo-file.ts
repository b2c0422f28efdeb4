import Database from 'better-sqlite3';
import { existsSync } from 'node:fs';
import { inUse, isInUse } from './open.ts';

/** Stands in the head of a file that holds the demo garden: "VDMO". */
export const DEMO_MARK = 0x56_44_4d_4f;

/** What of somebody's own a file holds. Gardens that were removed can still be brought back, and count. */
interface DemoFile {
  readonly isDemo: boolean;
  /** Somebody has begun a garden beside those of the demo. */
  readonly hasOwnGardens: boolean;
}

const NO_FILE: DemoFile = { isDemo: true, hasOwnGardens: false };

function read(file: string, demoIds: readonly string[]): DemoFile {
  const db = new Database(file, { readonly: true, timeout: 0 });
  try {
    const isMarked = db.pragma('application_id', { simple: true }) === DEMO_MARK;
    const hasGardens = db
      .prepare(`SELECT 1 FROM sqlite_schema WHERE type = 'table' AND name = 'garden'`)
      .get();
    if (!hasGardens) {
      const isEmpty = db.prepare('SELECT 1 FROM sqlite_schema').get() === undefined;
      return { isDemo: isMarked || isEmpty, hasOwnGardens: false };
    }
    const ids = db.prepare('SELECT id FROM garden').pluck().all() as string[];
    const hasOwnGardens = ids.some((id) => !demoIds.includes(id));
    // Demo files from before they were marked hold nothing but the demo.
    return { isDemo: isMarked || !hasOwnGardens, hasOwnGardens };
  } finally {
    db.close();
  }
}

/**
 * Whether a file in which the demo is to be made afresh holds gardens of somebody's own, which stay. Throws with a sentence
 * when it is no file of the demo at all.
 */
export function readDemoFile(file: string, demoIds: readonly string[]): Pick<DemoFile, 'hasOwnGardens'> {
  let found = NO_FILE;
  try {
    if (existsSync(file)) found = read(file, demoIds);
  } catch (error) {
    if (isInUse(error)) throw inUse(file);
    // What cannot be read may be books that can still be saved.
    found = { isDemo: false, hasOwnGardens: true };
  }
  if (found.isDemo) return found;
  throw new Error(
    `${file} holds books of your own, or cannot be read: --demo would replace them. Name another file after --db, or leave --demo out.`,
  );
}
