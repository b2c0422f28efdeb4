import Database from 'better-sqlite3';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { migrate, pendingMigrations } from './migrate.ts';
import { openDatabase } from './open.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'vine-ledger-db-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('migrations', () => {
  it('bring an empty database to the newest version, once', () => {
    const db = new Database(':memory:');
    expect(pendingMigrations(db)).toBeGreaterThan(0);
    migrate(db);
    expect(pendingMigrations(db)).toBe(0);
    const tables = db
      .prepare(
        `SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite%' ORDER BY name`,
      )
      .pluck()
      .all();
    expect(tables).toEqual(['bed', 'entry', 'garden', 'material', 'planting']);
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1);
    migrate(db);
  });

  it('refuse a database newer than the program', () => {
    const db = new Database(':memory:');
    db.pragma('user_version = 999');
    expect(() => pendingMigrations(db)).toThrow(/newer Vine Ledger/);
  });
});

describe('opening the books', () => {
  it('puts a copy beside an older file before changing it', () => {
    const file = join(folder, 'old.sqlite');
    const old = new Database(file);
    old.exec('CREATE TABLE note (text TEXT) STRICT');
    old.close();
    openDatabase(file).close();
    expect(existsSync(`${file}.before-migration-from-0`)).toBe(true);
  });

  it('says that a file is damaged instead of opening it', () => {
    const file = join(folder, 'damaged.sqlite');
    writeFileSync(file, 'this is not a database, only text that is long enough to be looked at'.repeat(50));
    expect(() => openDatabase(file)).toThrow(/not a database|damaged/);
  });

  it('refuses figures the model could not mean', () => {
    const db = openDatabase(join(folder, 'new.sqlite'));
    const insert = db.prepare(
      `INSERT INTO garden (id, version, created_at, updated_at, name, place, climate_json, deposition_g_per_m2_year, measures)
       VALUES ('g', 1, '', '', 'G', '', '{}', @deposition, 'metric')`,
    );
    expect(() => insert.run({ deposition: Infinity })).toThrow(/CHECK/);
    expect(() => insert.run({ deposition: NaN })).toThrow(/NOT NULL/);
    db.close();
  });
});
