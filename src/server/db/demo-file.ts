import Database from 'better-sqlite3';
import { existsSync } from 'node:fs';

/** Stands in the head of a file that holds the demo garden: "VDMO". */
const DEMO_MARK = 0x56_44_4d_4f;

function holdsNothingOwn(file: string, demoIds: readonly string[]): boolean {
  const db = new Database(file, { readonly: true });
  try {
    if (db.pragma('application_id', { simple: true }) === DEMO_MARK) return true;
    const hasGardens = db
      .prepare(`SELECT 1 FROM sqlite_schema WHERE type = 'table' AND name = 'garden'`)
      .get();
    if (!hasGardens) return db.prepare('SELECT 1 FROM sqlite_schema').get() === undefined;
    // Demo files from before they were marked. Gardens that were removed can still be brought back, and count.
    const ids = db.prepare('SELECT id FROM garden').pluck().all() as string[];
    return ids.every((id) => demoIds.includes(id));
  } finally {
    db.close();
  }
}

/** Throws with a sentence when a file may not be overwritten with the demo garden: it holds books of somebody's own. */
export function requireDemoFile(file: string, demoIds: readonly string[]): void {
  if (!existsSync(file)) return;
  let isDemo = false;
  try {
    isDemo = holdsNothingOwn(file, demoIds);
  } catch {
    // What cannot be read may be books that can still be saved.
  }
  if (!isDemo) {
    throw new Error(
      `${file} holds books of your own, or cannot be read: --demo would replace them. Name another file after --db, or leave --demo out.`,
    );
  }
}

/** Marks an open file as one that holds the demo garden, and may be made afresh. */
export function markAsDemo(file: string): void {
  const db = new Database(file);
  db.pragma(`application_id = ${DEMO_MARK}`);
  db.close();
}
