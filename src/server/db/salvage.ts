import Database, { type Database as Open } from 'better-sqlite3';
import { migrate, versionOf } from './migrate.ts';

/** Books as far as a damaged file can be read. */
export interface Salvaged {
  /** In memory, brought up to date, not to be written to. */
  readonly db: Open;
  /** Rows that are known to be there and could not be read or made no sense. */
  readonly lostRows: number;
}

interface Table {
  readonly name: string;
  readonly columns: readonly string[];
  readonly hasRowId: boolean;
}

type Row = readonly unknown[];

/** Row by row is only looked where so many numbers lie between what could be read from both ends. */
const MOST_PROBED = 200_000;
/** Where nothing can be read from the far end, so much further is looked. */
const PROBED_BEYOND = 5000;
const NO_ROW_ID = /WITHOUT\s+ROWID/i;

const schemaOf = (db: Open, type: 'table' | 'trigger') =>
  db.prepare(`SELECT name, sql FROM sqlite_schema WHERE type = ? AND name NOT LIKE 'sqlite_%'`).all(type) as {
    name: string;
    sql: string;
  }[];

const tablesOf = (db: Open): Table[] =>
  schemaOf(db, 'table').map(({ name, sql }) => ({
    name,
    columns: (db.pragma(`table_info(${name})`) as { name: string }[]).map((column) => column.name),
    hasRowId: !NO_ROW_ID.test(sql),
  }));

/** Gives rows to `take` as far as they can be read in one direction; the last row number, and whether the end was reached. */
function readTowards(
  source: Open,
  { name, columns }: Table,
  {
    direction,
    take,
  }: { readonly direction: 'ASC' | 'DESC'; readonly take: (rowId: number, row: Row) => boolean },
): { readonly last: number | null; readonly isWhole: boolean } {
  let last: number | null = null;
  try {
    const rows = source
      .prepare(`SELECT rowid, ${columns.join(', ')} FROM ${name} NOT INDEXED ORDER BY rowid ${direction}`)
      .raw()
      .iterate() as IterableIterator<[number, ...unknown[]]>;
    for (const [rowId, ...row] of rows) {
      if (!take(rowId, row)) return { last, isWhole: true };
      last = rowId;
    }
    return { last, isWhole: true };
  } catch {
    return { last, isWhole: false };
  }
}

/** How many rows a table has by an index of it, which may hold where the table does not; null when none does. */
function countByIndex(source: Open, { name }: Table): number | null {
  try {
    return source.prepare(`SELECT count(*) FROM ${name}`).pluck().get() as number;
  } catch {
    return null;
  }
}

/** All rows of a table that can be read. Returns how many are known to be lost; one at least where any is. */
function readTable(source: Open, table: Table, take: (row: Row) => void): number {
  let taken = 0;
  const lost = readRows(source, table, (row) => {
    taken += 1;
    take(row);
  });
  if (lost === 0) return 0;
  const all = countByIndex(source, table);
  return Math.max(1, all === null ? lost : all - taken);
}

/** From both ends, then one by one in between. Returns how many are lost. */
function readRows(source: Open, table: Table, take: (row: Row) => void): number {
  const { name, columns, hasRowId } = table;
  if (!hasRowId) {
    try {
      const rows = source
        .prepare(`SELECT ${columns.join(', ')} FROM ${name}`)
        .raw()
        .iterate();
      for (const row of rows) take(row as Row);
      return 0;
    } catch {
      return 1;
    }
  }
  const keep = (_: number, row: Row) => {
    take(row);
    return true;
  };
  const fromStart = readTowards(source, table, { direction: 'ASC', take: keep });
  if (fromStart.isWhole) return 0;
  const start = fromStart.last ?? 0;
  const fromEnd = readTowards(source, table, {
    direction: 'DESC',
    take: (rowId, row) => rowId > start && keep(rowId, row),
  });
  const end = fromEnd.last ?? start + PROBED_BEYOND;
  const isEndKnown = fromEnd.last !== null;
  const one = source.prepare(`SELECT ${columns.join(', ')} FROM ${name} WHERE rowid = ?`).raw();
  let lost = 0;
  for (let rowId = start + 1; rowId < Math.min(end, start + MOST_PROBED); rowId++) {
    try {
      const row = one.get(rowId) as Row | undefined;
      if (row) take(row);
    } catch {
      lost += 1;
    }
  }
  // Beyond the last row every number fails on a page that does not hold.
  return isEndKnown ? Math.max(1, lost) : 1;
}

const MOST_ROUNDS = 20;

/** Takes out what leans on a row that is lost. Returns how many rows that are. */
function removeOrphans(db: Open): number {
  let removed = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const broken = db.pragma('foreign_key_check') as { table: string; rowid: number | null }[];
    const rows = broken.filter(({ rowid }) => rowid !== null);
    if (rows.length === 0) return removed;
    for (const { table, rowid } of rows)
      removed += db.prepare(`DELETE FROM ${table} WHERE rowid = ?`).run(rowid).changes;
  }
  return removed;
}

/** Reads a copy of a damaged file table by table and row by row. Throws when not even its schema can be read. */
export function salvage(copy: string): Salvaged {
  const source = new Database(copy, { readonly: true });
  const db = new Database(':memory:');
  try {
    migrate(db, versionOf(source));
    db.pragma('foreign_keys = OFF');
    const triggers = schemaOf(db, 'trigger');
    for (const { name } of triggers) db.exec(`DROP TRIGGER ${name}`);
    let lostRows = 0;
    for (const table of tablesOf(db)) {
      const { name, columns } = table;
      const insert = db.prepare(
        `INSERT OR IGNORE INTO ${name} (${columns.join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
      );
      lostRows += readTable(source, table, (row) => {
        try {
          insert.run(...row);
        } catch {
          lostRows += 1;
        }
      });
    }
    lostRows += removeOrphans(db);
    for (const { sql } of triggers) db.exec(sql);
    migrate(db);
    db.pragma('query_only = ON');
    return { db, lostRows };
  } catch (error) {
    db.close();
    throw error;
  } finally {
    source.close();
  }
}
