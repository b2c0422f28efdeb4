import Database from 'better-sqlite3';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BackupEntry } from '../../src/contract/backups.ts';
import type { Room } from '../../src/contract/keepsakes.ts';
import { GARDEN } from '../fixtures/books.ts';
import { grayPng } from '../fixtures/photos.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

const folder = newFolder();
const file = join(folder, 'room.sqlite');
const DAY_MS = 86_400_000;
let books: Answering;

const put = (id: string) =>
  books.request(`/api/gardens/garden/photos/${id}`, {
    method: 'PUT',
    body: grayPng(),
    headers: { 'Content-Type': 'image/png' },
  });
const room = async () => (await askAt<Room>(books, 'GET', '/api/gardens/garden/room')).body;
const status = async (path: string) => (await books.request(path)).status;
const seen = (id: string, photoId: string | null, morePhotoIds: string[] = []) => ({
  id,
  kind: 'observation',
  date: '2026-05-10',
  bedId: 'bed',
  plantingId: null,
  photoId,
  morePhotoIds,
  observed: { type: 'growth', vigor: 'steady' },
  note: '',
});
/** As if photos and what was deleted lay so many days back. */
async function aged(days: number): Promise<void> {
  await books.stop();
  const db = new Database(file);
  const at = new Date(Date.now() - days * DAY_MS).toISOString();
  db.prepare('UPDATE photo SET created_at = ?').run(at);
  db.prepare('UPDATE journal SET removed_at = ? WHERE removed_at IS NOT NULL').run(at);
  db.close();
  books = openBooks(file);
}

beforeAll(async () => {
  books = openBooks(file);
  await askAt(books, 'POST', '/api/gardens', GARDEN);
  const bed = {
    id: 'bed',
    name: 'Bed',
    kind: 'annual',
    areaM2: 5,
    organicMatterPct: 4,
    bulkDensityGPerCm3: 1.2,
  };
  const rest = { clayPct: 20, rootZoneCm: 30, exposure: 'normal', isWatered: true, note: '' };
  await askAt(books, 'POST', '/api/gardens/garden/beds', { ...bed, ...rest });
});
afterAll(async () => {
  await books.stop();
  removeFolder(folder);
});

describe('photos that no line shows', () => {
  it('are let go when nobody can want them back: not those on their way, shown, or of a line just deleted', async () => {
    for (const id of ['first', 'second', 'gone', 'loose']) expect((await put(id)).status).toBe(201);
    const records = [seen('kept', 'first', ['second']), seen('deleted', 'gone')];
    expect((await askAt(books, 'POST', '/api/gardens/garden/journal', { records })).status).toBe(201);
    await books.request('/api/journal/deleted?version=1', { method: 'DELETE' });
    expect(await room()).toMatchObject({ photos: { count: 4 }, unshown: { count: 0 } });
    await aged(30);
    expect((await room()).unshown.count).toBe(1);
    await aged(91);
    expect((await room()).unshown.count).toBe(2);

    const { name } = (await askAt<BackupEntry>(books, 'POST', '/api/backups')).body;
    const dropped = await askAt<{ count: number }>(books, 'DELETE', '/api/gardens/garden/photos/unshown');
    expect([dropped.status, dropped.body.count]).toEqual([200, 2]);
    expect([await status('/api/photos/gone'), await status('/api/photos/first')]).toEqual([404, 200]);
    expect(readdirSync(`${file}-photos`).sort()).toEqual(['first', 'second']);
    // The copy that names them holds them still, and brings them back.
    expect((await books.request(`/api/backups/${name}/restore`, { method: 'POST' })).status).toBe(200);
    expect(await status('/api/photos/gone')).toBe(200);
  });
  it('go from the backups too once no copy names them', async () => {
    const isKept = (id: string) => existsSync(join(`${file}-backups`, 'photos', id));
    await askAt(books, 'DELETE', '/api/gardens/garden/photos/unshown');
    await askAt(books, 'POST', '/api/backups');
    expect(isKept('gone')).toBe(true);
    // Of those made by hand ten are kept: the one that names it goes.
    for (let i = 0; i < 9; i++) await askAt(books, 'POST', '/api/backups');
    expect([isKept('gone'), isKept('first')]).toEqual([false, true]);
  });
  it('are shown to nobody when their garden is deleted, until it comes back', async () => {
    await books.request('/api/gardens/garden?version=1', { method: 'DELETE' });
    expect(await status('/api/photos/first')).toBe(404);
    await books.request('/api/gardens/garden/restore', { method: 'POST' });
    expect(await status('/api/photos/first')).toBe(200);
  });
});
