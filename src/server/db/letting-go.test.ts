import Database from 'better-sqlite3';
import { existsSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { bedOf, GARDEN, plantingOf } from '../../../tests/fixtures/books.ts';
import { newFolder, removeFolder } from '../../../tests/http/server.ts';
import { openBooks, type BooksFile } from './books-file.ts';

const LONG_AGO = '2026-01-20T08:00:00.000Z';
/** 89 and 91 days later. */
const STILL_KEPT = '2026-04-19T08:00:00.000Z';
const LET_GO = '2026-04-21T08:00:01.000Z';

let folder: string;
let books: BooksFile;
let instant: string;
const file = () => join(folder, 'books.sqlite');

const water = (id: string, bedId = 'bed') => ({
  id,
  bedId,
  type: 'water' as const,
  state: 'laid' as const,
  date: '2026-01-10',
  note: '',
  waterMm: 5,
});
const rowsOf = (table: string): unknown[] => {
  books.close();
  const db = new Database(file());
  const ids = db.prepare(`SELECT * FROM ${table}`).all();
  db.close();
  books = openBooks({ file: file() }, () => instant);
  return ids;
};
const tidiedAt = (now: string) => {
  instant = now;
  return books.tidy();
};

beforeEach(() => {
  folder = newFolder();
  instant = LONG_AGO;
  books = openBooks({ file: file() }, () => instant);
  const { version, createdAt, updatedAt, ...bed } = bedOf({});
  books.stores.gardens.insert(GARDEN);
  books.stores.beds.insert(bed);
});
afterEach(() => {
  books.close();
  removeFolder(folder);
});

describe('what was deleted', () => {
  it('comes back for ninety days, and goes for good after them; what was not deleted stays', async () => {
    const { entries } = books.stores;
    for (const id of ['gone', 'kept']) entries.insert(water(id));
    entries.update('gone', 1, { ...water('gone'), waterMm: 6 });
    entries.remove('gone', 2);
    expect((await tidiedAt(STILL_KEPT)).records).toBe(0);
    expect(entries.findEvenRemoved('gone')?.isRemoved).toBe(true);
    expect((await tidiedAt(LET_GO)).records).toBe(1);
    expect([entries.findEvenRemoved('gone'), entries.find('kept')]).toEqual([
      undefined,
      expect.objectContaining({ waterMm: 5 }),
    ]);
    expect(rowsOf('earlier')).toEqual([]);
  });

  it('stays while something that is not deleted leans on it', async () => {
    const { entries } = books.stores;
    const straw = { materialId: 'straw_cereal', lotId: null, amount: 5, unit: 'kg' as const, massFreshKg: 5 };
    const laid = { ...straw, dugDepthCm: 0, seasonedMonths: 0 };
    const { waterMm, ...common } = water('straw');
    entries.insert({ ...common, ...laid, type: 'lay' });
    entries.insert({ ...common, id: 'off', type: 'takeOff', layerId: 'straw', shareTakenOff: 1 });
    entries.remove('straw', 1);
    expect((await tidiedAt(LET_GO)).records).toBe(0);
    entries.remove('off', 1);
    expect((await tidiedAt('2026-07-25T08:00:00.000Z')).records).toBe(2);
  });

  it('takes along what lies in it: a bed its entries, a garden its beds and photos', async () => {
    const { version, createdAt, updatedAt, ...bed } = bedOf({ id: 'second', gardenId: 'other' });
    books.stores.gardens.insert({ ...GARDEN, id: 'other' });
    books.stores.beds.insert(bed);
    books.stores.entries.insert(water('in-it'));
    books.stores.entries.insert(water('in-other', 'second'));
    const { version: _v, createdAt: _c, updatedAt: _u, ...planting } = plantingOf({});
    books.stores.plantings.insert(planting);
    const photo = { mediaType: 'image/png', bytes: 1, sentSha256: '' };
    books.stores.photos.insert({ id: 'leaf', gardenId: 'other', ...photo });
    books.stores.beds.remove('bed', 1);
    books.stores.gardens.remove('other', 1);
    const { records, photoIds } = await tidiedAt(LET_GO);
    expect([records, photoIds]).toEqual([2, ['leaf']]);
    for (const table of ['entry', 'planting', 'bed', 'photo'])
      expect([table, rowsOf(table)]).toEqual([table, []]);
  });
});

describe('what else has an age', () => {
  it('goes with it: revoked feeds, ended links, imports of last year, photos shown nowhere, copies put aside', async () => {
    const { stores } = books;
    stores.feeds.insert({ id: 'feed', gardenId: 'garden', name: 'Phone' }, 'a');
    stores.feeds.revoke('feed');
    stores.people.insertLink({ id: 'link', gardenId: 'garden', name: 'Neighbors' }, 'b');
    stores.people.remove('link');
    stores.imports.insert({ id: 'import', gardenId: 'garden', summary: 'a table', writes: [] });
    stores.photos.insert({
      id: 'leaf',
      gardenId: 'garden',
      mediaType: 'image/png',
      bytes: 1,
      sentSha256: '',
    });
    const aside = `${file()}.damaged-2026-01-20_080000`;
    writeFileSync(aside, 'not a database');
    utimesSync(aside, new Date(LONG_AGO), new Date(LONG_AGO));
    expect(books.putAside()).toEqual({ count: 1, bytes: 14 });
    expect((await tidiedAt(STILL_KEPT)).photoIds).toEqual([]);
    expect(existsSync(aside)).toBe(true);
    expect((await tidiedAt(LET_GO)).photoIds).toEqual(['leaf']);
    expect([existsSync(aside), rowsOf('feed'), rowsOf('person'), rowsOf('import').length]).toEqual([
      false,
      [],
      [],
      1,
    ]);
    await tidiedAt('2027-01-21T08:00:00.000Z');
    expect(rowsOf('import')).toEqual([]);
  });
});

describe('gaps in the file', () => {
  it('are closed when they are worth it, and all else stays as it was', async () => {
    const note = 'x'.repeat(2000);
    books.stores.atomically(() => {
      for (let i = 0; i < 1500; i++) books.stores.entries.insert({ ...water(`row-${i}`), note });
      for (let i = 0; i < 1499; i++) books.stores.entries.remove(`row-${i}`, 1);
    });
    const before = statSync(file()).size + statSync(`${file()}-wal`).size;
    expect((await tidiedAt(LET_GO)).records).toBe(1499);
    const after = statSync(file()).size + statSync(`${file()}-wal`).size;
    expect(after).toBeLessThan(before / 3);
    expect(books.stores.entries.listOf('bed').map(({ id }) => id)).toEqual(['row-1499']);
  });
});
