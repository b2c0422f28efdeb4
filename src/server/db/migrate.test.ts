import Database from 'better-sqlite3';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { migrate, pendingMigrations } from './migrate.ts';
import { openDatabase } from './open.ts';
import { createStores } from './stores.ts';

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
    expect(tables).toEqual([
      'bed',
      'build_up',
      'change',
      'crop',
      'earlier',
      'entry',
      'feed',
      'garden',
      'habit',
      'import',
      'journal',
      'lab_result',
      'lot',
      'material',
      'person',
      'photo',
      'planting',
      'recipe',
      'signature',
      'stock_movement',
      'weather',
    ]);
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1);
    migrate(db);
  });

  it('refuse a database newer than the program', () => {
    const db = new Database(':memory:');
    db.pragma('user_version = 999');
    expect(() => pendingMigrations(db)).toThrow(/newer Vine Ledger/);
  });
});

/** A database as the first version left it, with a bed on which a layer was laid, dug in, and one deleted. */
function firstVersion(file: string): void {
  const old = new Database(file);
  old.exec(readFileSync(join(import.meta.dirname, 'migrations', '0001_create_books.sql'), 'utf8'));
  old.pragma('user_version = 1');
  old.exec(`
    INSERT INTO garden VALUES ('g', 1, 'a', 'a', NULL, 'Plot', '', '{}', 1, 'metric');
    INSERT INTO bed VALUES ('b', 1, 'a', 'a', NULL, 'g', 'Bed', 'annual', 5, 4, 1.2, 20, 30, 'normal', 1, '');
    INSERT INTO entry (id, version, created_at, updated_at, bed_id, type, state, date, note, material_id, amount, unit,
      mass_fresh_kg, seasoned_months, dug_depth_cm)
    VALUES ('low', 3, 'a', 'a', 'b', 'lay', 'laid', '2026-05-01', 'kept', 'compost_yard', 3, 'cm', 60, 0, 0),
           ('high', 1, 'a', 'a', 'b', 'lay', 'laid', '2026-05-01', '', 'chips_mixed', 7, 'cm', 98, 0, 0);
    INSERT INTO entry (id, version, created_at, updated_at, removed_at, bed_id, type, state, date, note, dug_depth_cm, layer_id)
    VALUES ('dig', 2, 'a', 'a', 'b', 'b', 'dig', 'laid', '2026-05-03', '', 15, 'high');
    INSERT INTO planting VALUES ('p', 1, 'a', 'a', NULL, 'b', 'laid', 'onion', '2026-04-01', '2026-08-01', 11, 35, '');
  `);
  old.close();
}

describe('books of the first version', () => {
  it('keep every record, their order and what was removed, and learn the new fields', () => {
    const file = join(folder, 'first.sqlite');
    firstVersion(file);
    const db = openDatabase(file);
    const stores = createStores(db, () => 'now');
    expect(stores.entries.listOf('b').map(({ id, version, note }) => [id, version, note])).toEqual([
      ['low', 3, 'kept'],
      ['high', 1, ''],
    ]);
    expect(stores.entries.restore('dig')).toMatchObject({ outcome: 'written', current: { layerId: 'high' } });
    expect(stores.beds.find('b')).toMatchObject({
      startedOn: null,
      ph: null,
      croppingBefore: 'unknown',
      learnsFromLog: true,
    });
    expect(stores.journal.listOf('g')).toEqual([]);
    expect(stores.gardens.find('g')).toMatchObject({ school: 'byDepth', feedMaterialId: 'feather_meal' });
    expect(stores.plantings.find('p')).toMatchObject({ startsAs: 'set', areaShare: 1, isUndersown: false });
    stores.entries.insert({
      id: 'wet',
      bedId: 'b',
      type: 'water',
      state: 'laid',
      date: '2026-05-04',
      note: '',
      waterMm: 20,
    });
    stores.entries.reorder(['high', 'low']);
    expect(stores.entries.listOf('b').map(({ id }) => id)).toEqual(['high', 'low', 'dig', 'wet']);
    expect(existsSync(`${file}.before-migration-from-1`)).toBe(true);
    db.close();
  });
});

/** Runs the migrations up to one of them, as a program of that time would have. */
function migratedTo(number: number): Database.Database {
  const db = new Database(':memory:');
  const folderOfAll = join(import.meta.dirname, 'migrations');
  const files = readdirSync(folderOfAll).sort().slice(0, number);
  for (const file of files) db.exec(readFileSync(join(folderOfAll, file), 'utf8'));
  db.pragma(`user_version = ${number}`);
  return db;
}

describe('books from before soil tests kept all of a report', () => {
  const STAMP = { id: 'x', version: 1, createdAt: 'a', updatedAt: 'a' };
  it('keep every entry with its order, pile and wait, and take a test without nitrogen', () => {
    const db = migratedTo(15);
    db.exec(`
      INSERT INTO garden (id, version, created_at, updated_at, name, place, climate_json, deposition_g_per_m2_year, measures)
      VALUES ('g', 1, 'a', 'a', 'Plot', '', '{}', 1, 'metric');
      INSERT INTO bed (id, version, created_at, updated_at, garden_id, name, kind, area_m2, organic_matter_pct,
        bulk_density_g_per_cm3, clay_pct, root_zone_cm, exposure, is_watered, note)
      VALUES ('b', 1, 'a', 'a', 'g', 'Bed', 'annual', 5, 4, 1.2, 20, 30, 'normal', 1, '');
      INSERT INTO entry (id, version, created_at, updated_at, bed_id, type, state, date, note, material_id, amount, unit,
        mass_fresh_kg, seasoned_months, dug_depth_cm, plant_from)
      VALUES ('z', 1, 'a', 'a', 'b', 'lay', 'laid', '2026-05-01', '', 'chips_mixed', 7, 'cm', 98, 0, 0, '2026-07-01'),
             ('a', 1, 'a', 'a', 'b', 'lay', 'laid', '2026-05-01', '', 'compost_yard', 3, 'cm', 60, 0, 0, NULL);
      INSERT INTO entry (id, version, created_at, updated_at, bed_id, type, state, date, note, amount, unit, sampled_depth_cm, ph)
      VALUES ('t', 1, 'a', 'a', 'b', 'soilTest', 'laid', '2026-03-01', '', 40, 'kgPerHa', 30, 6.4);
    `);
    migrate(db);
    const { entries, beds } = createStores(db, () => 'now');
    expect(entries.listOf('b').map(({ id }) => id)).toEqual(['t', 'z', 'a']);
    expect(entries.find('z')).toMatchObject({ plantFrom: '2026-07-01' });
    expect(entries.find('t')).toMatchObject({ amount: 40, ph: 6.4, phosphorusMgPerKg: null });
    const test = {
      ...STAMP,
      bedId: 'b',
      type: 'soilTest' as const,
      state: 'laid' as const,
      date: '2026-06-01',
      note: '',
      amount: null,
      unit: 'kgPerHa' as const,
      sampledDepthCm: 30,
      ph: null,
      organicMatterPct: null,
      extraction: 'olsen' as const,
      phosphorusMgPerKg: 41,
    };
    entries.insert(test);
    expect(entries.listOf('b').at(-1)).toMatchObject({
      amount: null,
      extraction: 'olsen',
      phosphorusMgPerKg: 41,
    });
    const counted = () =>
      db.prepare(`SELECT max(number) FROM change WHERE collection = 'entries'`).pluck().get();
    const before = counted() as number;
    beds.remove('b', 1);
    expect(counted()).toBeGreaterThan(before);
    db.close();
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
