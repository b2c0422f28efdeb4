import type { Database, Statement } from 'better-sqlite3';
import { IdTaken, type RemovalOutcome, type Versioned, type WriteOutcome } from '../stores.ts';
import { visitor } from '../visitor.ts';

type Kind = 'plain' | 'boolean' | 'json';
type Row = Record<string, unknown>;

/** Columns of a table by the field they hold; every table also has id, version and its time stamps. */
export type Columns = Readonly<Record<string, readonly [column: string, kind?: Kind]>>;

const STAMP: Columns = {
  id: ['id'],
  version: ['version'],
  createdAt: ['created_at'],
  updatedAt: ['updated_at'],
};

/** What an update never touches, or touches by itself. */
const FIXED = new Set(['id', 'version', 'createdAt']);

function toColumn(value: unknown, kind: Kind = 'plain'): unknown {
  if (value === undefined || value === null) return null;
  if (kind === 'boolean') return value === true ? 1 : 0;
  return kind === 'json' ? JSON.stringify(value) : value;
}

function fromColumn(value: unknown, kind: Kind = 'plain'): unknown {
  if (kind === 'boolean') return value === 1;
  return kind === 'json' ? JSON.parse(value as string) : value;
}

export interface TableDeclaration {
  readonly table: string;
  readonly columns: Columns;
  /** Columns by which its records are listed. */
  readonly order?: string;
}

interface Change {
  readonly id: string;
  /** The version that is known to whoever changes it. */
  readonly version: number;
  readonly values: object;
  /** The instant of the change. */
  readonly now: string;
}

/**
 * Records with a version each: a write that names an older version changes nothing. Removal only marks, so
 * that it can be undone. Column and table names come from the stores, values are always bound.
 */
export class VersionedTable<Record extends Versioned> {
  readonly #columns: Columns;
  readonly #selected: string;
  /** Columns that come out of the database as something else than they are. */
  readonly #converted: readonly (readonly [field: string, kind: Kind])[];

  readonly #insertion: string;
  readonly #upsertion: string;
  readonly #statements = new Map<string, Statement>();

  private readonly table: string;
  private readonly order: string;

  constructor(
    private readonly db: Database,
    { table, columns, order = 'created_at, id' }: TableDeclaration,
  ) {
    this.table = table;
    this.order = order;
    this.#columns = { ...STAMP, ...columns };
    this.#selected = Object.entries(this.#columns)
      .map(([field, [column]]) => `${column} AS ${field}`)
      .join(', ');
    const names = Object.values(this.#columns).map(([column]) => column);
    const overwritten = names
      .filter((column) => column !== 'id' && column !== 'version')
      .map((column) => `${column} = excluded.${column}`);
    this.#insertion = `INSERT INTO ${table} (${names.join(', ')})
         VALUES (${Object.keys(this.#columns)
           .map((field) => `@${field}`)
           .join(', ')})`;
    this.#upsertion = `${this.#insertion} ON CONFLICT (id) DO UPDATE SET ${overwritten.join(', ')},
           version = ${table}.version + 1, removed_at = NULL RETURNING ${this.#selected}`;
    this.#converted = Object.entries(this.#columns).flatMap(([field, [, kind = 'plain']]) =>
      kind === 'plain' ? [] : [[field, kind] as const],
    );
  }

  /** Each statement is prepared once: that takes longer than most of them run. */
  #prepared(sql: string): Statement {
    const known = this.#statements.get(sql);
    if (known) return known;
    const statement = this.db.prepare(sql);
    this.#statements.set(sql, statement);
    return statement;
  }

  /** The row is the record, but for what is kept in another form. Mutates row. */
  #fromRow(row: Row): Record {
    for (const [field, kind] of this.#converted) row[field] = fromColumn(row[field], kind);
    return row as Record;
  }

  /** Named parameters for the fields of `values` that have a column. */
  #bound(values: object): Row {
    return Object.fromEntries(
      Object.entries(this.#columns).map(([field, [, kind]]) => [
        field,
        toColumn((values as Row)[field], kind),
      ]),
    );
  }

  find(id: string): Record | undefined {
    const row = this.#prepared(
      `SELECT ${this.#selected} FROM ${this.table} WHERE id = @id AND removed_at IS NULL`,
    ).get({ id });
    return row === undefined ? undefined : this.#fromRow(row as Row);
  }

  /** Records that are not removed and meet a condition of the store on `@value` and what else it names. */
  listWhere(condition: string, value: string, more: Readonly<{ [name: string]: string }> = {}): Record[] {
    return this.#prepared(
      `SELECT ${this.#selected} FROM ${this.table}
         WHERE ${condition} AND removed_at IS NULL ORDER BY ${this.order}`,
    )
      .all({ value, ...more })
      .map((row) => this.#fromRow(row as Row));
  }

  list(): Record[] {
    return this.#prepared(
      `SELECT ${this.#selected} FROM ${this.table} WHERE removed_at IS NULL ORDER BY ${this.order}`,
    )
      .all()
      .map((row) => this.#fromRow(row as Row));
  }

  /** Removed records with the instant of their removal, the last one first. */
  listRemoved(): { readonly record: Record; readonly removedAt: string }[] {
    const rows = this.#prepared(
      `SELECT ${this.#selected}, removed_at AS removedAt FROM ${this.table}
         WHERE removed_at IS NOT NULL ORDER BY removed_at DESC, id`,
    ).all() as Row[];
    return rows.map(({ removedAt, ...fields }) => ({
      record: this.#fromRow(fields),
      removedAt: removedAt as string,
    }));
  }

  /** Keeps a new record. Throws IdTaken when a removed one still holds its id. */
  insert(record: Omit<Record, 'version' | 'createdAt' | 'updatedAt'>, now: string): Record {
    const values = { ...record, version: 1, createdAt: now, updatedAt: now };
    if (this.#isKnown(record.id)) throw new IdTaken();
    this.#prepared(this.#insertion).run(this.#bound(values));
    this.#sign(record.id);
    return this.find(record.id)!;
  }

  /** Whatever has this id, removed or not. */
  findEvenRemoved(id: string): { readonly record: Record; readonly isRemoved: boolean } | undefined {
    const row = this.#prepared(
      `SELECT ${this.#selected}, removed_at AS removedAt FROM ${this.table} WHERE id = @id`,
    ).get({ id }) as Row | undefined;
    if (!row) return undefined;
    const { removedAt, ...fields } = row;
    return { record: this.#fromRow(fields), isRemoved: removedAt !== null };
  }

  /** Keeps a record with the time stamps it brings, in the place of whatever has its id. */
  upsert(record: Omit<Record, 'version'>): Record {
    const row = this.#prepared(this.#upsertion).get(this.#bound({ ...record, version: 1 })) as Row;
    this.#sign(row['id'] as string);
    return this.#fromRow(row);
  }

  /** Notes who wrote the version that now stands, unless it was the keeper of the books. */
  #sign(id: string): void {
    const who = visitor();
    if (who.role === 'keeper') return;
    this.#prepared(
      `INSERT OR REPLACE INTO signature (record_table, record_id, version, person_id)
         SELECT @table, id, version, @personId FROM ${this.table} WHERE id = @id`,
    ).run({ table: this.table, id, personId: who.personId });
  }

  #isKnown(id: string): boolean {
    return this.#prepared(`SELECT 1 FROM ${this.table} WHERE id = @id`).get({ id }) !== undefined;
  }

  update({ id, version, values, now }: Change): WriteOutcome<Record> {
    const changed = { ...values, updatedAt: now };
    const fields = Object.keys(this.#columns).filter((field) => field in changed && !FIXED.has(field));
    const assignments = fields.map((field) => `${this.#columns[field]![0]} = @${field}`);
    const { changes } = this.#prepared(
      `UPDATE ${this.table} SET ${assignments.join(', ')}, version = version + 1
         WHERE id = @id AND version = @version AND removed_at IS NULL`,
    ).run({ ...pick(this.#bound(changed), fields), id, version });
    if (changes === 1) this.#sign(id);
    return this.#outcome(id, changes === 1);
  }

  remove(id: string, version: number, now: string): RemovalOutcome<Record> {
    const before = this.find(id);
    const { changes } = this.#prepared(
      `UPDATE ${this.table} SET removed_at = @now, updated_at = @now, version = version + 1
         WHERE id = @id AND version = @version AND removed_at IS NULL`,
    ).run({ id, version, now });
    if (changes === 1) {
      this.#sign(id);
      return { outcome: 'removed' };
    }
    return before ? { outcome: 'stale', current: before } : { outcome: 'missing' };
  }

  restore(id: string, now: string): WriteOutcome<Record> {
    const { changes } = this.#prepared(
      `UPDATE ${this.table} SET removed_at = NULL, updated_at = @now, version = version + 1
         WHERE id = @id AND removed_at IS NOT NULL`,
    ).run({ id, now });
    if (changes === 1) this.#sign(id);
    return this.#outcome(id, true);
  }

  #outcome(id: string, isWritten: boolean): WriteOutcome<Record> {
    const current = this.find(id);
    if (!current) return { outcome: 'missing' };
    return { outcome: isWritten ? 'written' : 'stale', current };
  }
}

const pick = (row: Row, fields: readonly string[]): Row =>
  Object.fromEntries(fields.map((field) => [field, row[field]]));
