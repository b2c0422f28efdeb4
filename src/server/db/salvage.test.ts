import Database from 'better-sqlite3';
import { copyFileSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bedOf, GARDEN } from '../../../tests/fixtures/books.ts';
import { newFolder, removeFolder } from '../../../tests/http/server.ts';
import { openBooks } from './books-file.ts';
import { salvage } from './salvage.ts';

const folder = newFolder();
const file = join(folder, 'books.sqlite');
const NOW = () => '2026-05-14T08:00:00.000Z';
const ENTRIES = 600;
const PAGE_BYTES = 4096;

beforeAll(() => {
  const books = openBooks({ file }, NOW);
  const { stores } = books;
  stores.gardens.insert(GARDEN);
  const { version, createdAt, updatedAt, ...bed } = bedOf({ id: 'bed' });
  stores.beds.insert({ ...bed, gardenId: GARDEN.id });
  stores.atomically(() => {
    for (let i = 0; i < ENTRIES; i++) {
      const entry = { id: `e${i}`, bedId: 'bed', type: 'water', state: 'laid', date: '2026-05-01' } as const;
      stores.entries.insert({ ...entry, waterMm: 5, note: `watering ${i} ${'of the bed '.repeat(8)}` });
    }
  });
  books.close();
});
afterAll(() => removeFolder(folder));

/** A copy with these pages of a table overwritten; pages are counted among its leaves. */
function withSpoiltPages(name: string, table: string, spoilt: (leaves: number[]) => number[]): string {
  const db = new Database(file, { readonly: true });
  const leaves = db
    .prepare(`SELECT pageno FROM dbstat WHERE name = ? AND pagetype = 'leaf' ORDER BY path`)
    .pluck()
    .all(table) as number[];
  db.close();
  const copy = join(folder, name);
  copyFileSync(file, copy);
  const bytes = readFileSync(copy);
  for (const page of spoilt(leaves)) bytes.fill(0xa5, (page - 1) * PAGE_BYTES, page * PAGE_BYTES);
  writeFileSync(copy, bytes);
  return copy;
}
const entriesIn = (db: Database.Database) => db.prepare('SELECT count(*) FROM entry').pluck().get() as number;

describe('a damaged file', () => {
  it('gives everything when only an index is spoilt', () => {
    const { db, lostRows } = salvage(withSpoiltPages('index.sqlite', 'entry_by_bed', (leaves) => leaves));
    expect([entriesIn(db), lostRows]).toEqual([ENTRIES, 0]);
    db.close();
  });
  it('gives all rows but those of the pages that are spoilt, at its start, its middle and its end', () => {
    const pages = (leaves: number[]) => [leaves[0], leaves[Math.floor(leaves.length / 2)], leaves.at(-1)!];
    const copy = withSpoiltPages('pages.sqlite', 'entry', pages);
    const { db, lostRows } = salvage(copy);
    const found = entriesIn(db);
    expect(found).toBeLessThan(ENTRIES);
    expect(found).toBeGreaterThan(ENTRIES * 0.8);
    expect(lostRows).toBeGreaterThanOrEqual(ENTRIES - found);
    expect(db.prepare('SELECT name FROM garden').pluck().all()).toEqual([GARDEN.name]);
    expect(() => db.exec('DELETE FROM entry')).toThrow();
    db.close();
  });
  it('is opened so, and says how much of it is lost', () => {
    const copy = withSpoiltPages('opened.sqlite', 'entry', (leaves) => [leaves[1]]);
    const books = openBooks({ file: copy }, NOW);
    const { kind, lostRows } = books.state();
    expect(kind).toBe('damaged');
    const read = books.stores.entries.listOf('bed').length;
    expect([lostRows! > 0, read + lostRows!]).toEqual([true, ENTRIES]);
    books.close();
  });
  it('found out while it is open is read anew so, and written to no more', () => {
    const copy = join(folder, 'rotting.sqlite');
    copyFileSync(file, copy);
    const books = openBooks({ file: copy }, NOW);
    const spoilt = withSpoiltPages('spoilt.sqlite', 'entry', (leaves) => leaves.slice(0, 2));
    writeFileSync(copy, readFileSync(spoilt));
    books.noteDamage('page 7 does not hold');
    expect(books.state()).toMatchObject({ kind: 'damaged', reason: 'page 7 does not hold' });
    expect(books.stores.entries.listOf('bed').length + books.state().lostRows!).toBe(ENTRIES);
    expect(() => books.stores.gardens.insert({ ...GARDEN, id: 'more' })).toThrow();
    books.close();
  });
  it('counts what is lost at the far end by an index, and as one at least where none holds', () => {
    const last = (leaves: number[]) => leaves.slice(-2);
    const { db, lostRows } = salvage(withSpoiltPages('end.sqlite', 'entry', last));
    expect(lostRows).toBe(ENTRIES - entriesIn(db));
    db.close();
  });
  it('leaves out what leans on something lost, and gives nothing where nothing can be read', () => {
    const { db, lostRows } = salvage(withSpoiltPages('bed.sqlite', 'bed', (leaves) => leaves));
    expect([entriesIn(db), lostRows]).toEqual([0, expect.any(Number)]);
    expect(lostRows).toBeGreaterThanOrEqual(ENTRIES);
    db.close();
    const none = join(folder, 'none.sqlite');
    writeFileSync(none, 'once upon a time '.repeat(1000));
    expect(() => salvage(none)).toThrow();
  });
});
