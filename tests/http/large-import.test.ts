import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { gardenFile, type GardenFile } from '../../src/contract/garden-file.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import type { ImportReport } from '../../src/contract/imports.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { grayPng } from '../fixtures/photos.ts';
import { askAt, newFolder, removeFolder, type RunningServer, startServer } from './server.ts';

/** Files so large that a thread reads them in, on a copy of the books that takes their place. */
const LINES = 600;

const folder = newFolder();
let server: RunningServer;
let small: GardenFile;
let large: GardenFile;
let leftOver: () => string[];

const ask = <Body>(method: string, path: string, body?: unknown) => askAt<Body>(server, method, path, body);
const read = (file: unknown, query = '') => ask<ImportReport & Problem>('POST', `/api/imports${query}`, file);
const booksOf = async (id: string) => (await ask<GardenBooks>('GET', `/api/gardens/${id}/books`)).body;

/** Lists leave in the order of their days. */
const byId = (file: GardenFile) =>
  Object.fromEntries(
    Object.entries(file).map(([name, value]) => [
      name,
      Array.isArray(value)
        ? (value as { id: string }[]).toSorted((one, other) => one.id.localeCompare(other.id))
        : value,
    ]),
  );

const watering = (bedId: string, id: string) => ({
  id,
  bedId,
  type: 'water' as const,
  state: 'laid' as const,
  date: '2026-05-10',
  note: '',
  waterMm: 5,
  createdAt: '2026-05-10T08:00:00.000Z',
  updatedAt: '2026-05-10T08:00:00.000Z',
});

beforeAll(async () => {
  const file = join(folder, 'large.sqlite');
  server = await startServer(file);
  leftOver = () => readdirSync(folder).filter((name) => name.includes('working'));
  await ask('POST', '/api/demo-garden');
  small = gardenFile.parse((await ask('GET', '/api/gardens/ternhollow/garden.json')).body);
  const [bed] = small.beds;
  const picture = { id: 'leaf', createdAt: bed.createdAt, mediaType: 'image/png' as const };
  large = {
    ...small,
    garden: { ...small.garden, id: 'large', name: 'Large garden' },
    photos: [{ ...picture, base64: Buffer.from(grayPng()).toString('base64') }],
  };
  const renamed = JSON.parse(JSON.stringify(large).replaceAll('demo-', 'large-')) as GardenFile;
  const waterings = Array.from({ length: LINES }, (_, i) => watering(renamed.beds[0].id, `water-${i}`));
  large = { ...renamed, entries: [...renamed.entries, ...waterings] };
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

describe('a large garden file', () => {
  it('is tried without a trace, and refused like a small one, by the record', async () => {
    const tried = await read(large, '?dryRun=true');
    expect(tried.body).toMatchObject({ isWritten: false, counts: { rejected: 0 } });
    expect(tried.body.counts.added).toBeGreaterThan(LINES);
    const wrong = { ...large, entries: [...large.entries, watering('nowhere', 'lost')] };
    const { status, body } = await read(wrong);
    expect([status, body.isWritten, body.counts.rejected]).toEqual([200, false, 1]);
    expect((await read({ ...large, moons: [] })).status).toBe(422);
    const half = { ...large, garden: { ...large.garden, place: '\ud800' } };
    expect((await read(half)).body).toMatchObject({
      status: 422,
      detail: expect.stringMatching(/half a character/) as string,
    });
    expect((await ask('GET', '/api/gardens/large/books')).status).toBe(404);
    expect(leftOver()).toEqual([]);
  });

  it('comes in whole, photos and all, is taken out as the same file, and taken back', async () => {
    const epochOf = async () =>
      (await server.request('/api/gardens/ternhollow/books')).headers.get('etag')!.split(' ')[0];
    const before = await epochOf();
    const { body: report } = await read(large);
    expect(report).toMatchObject({ isWritten: true, gardenId: 'large', counts: { rejected: 0 } });
    // Another file took the place of the books: pages count from there.
    expect(await epochOf()).not.toBe(before);
    expect((await booksOf('large')).entries).toHaveLength(large.entries.length);
    expect((await server.request('/api/photos/leaf')).status).toBe(200);
    const out = gardenFile.parse((await ask('GET', '/api/gardens/large/garden.json')).body);
    expect(byId(out)).toEqual(byId(gardenFile.parse(large)));
    expect((await read(large, '?dryRun=true')).body.counts).toMatchObject({
      added: 0,
      changed: 0,
      rejected: 0,
    });
    // What stood in the books before stands there still, and they are written to as before.
    expect((await booksOf('ternhollow')).entries).toHaveLength(small.entries.length);
    const [bed] = (await booksOf('ternhollow')).beds;
    const { bedId, createdAt, updatedAt, ...draft } = watering(bed.id, 'after');
    expect((await ask('POST', `/api/beds/${bedId}/entries`, draft)).status).toBe(201);
    expect((await ask('POST', `/api/imports/${report.importId}/undo`)).status).toBe(200);
    expect((await ask('GET', '/api/gardens/large/books')).status).toBe(404);
    expect((await ask('POST', `/api/imports/${report.importId}/undo`)).status).toBe(409);
    expect(leftOver()).toEqual([]);
  });

  it('loses nothing that others write meanwhile, and is in the books all the same', async () => {
    const [bed] = (await booksOf('ternhollow')).beds;
    const goingOn = new Set(['others']);
    const kept: string[] = [];
    const others = (async () => {
      for (let i = 0; goingOn.size > 0; i++) {
        const { bedId, createdAt, updatedAt, ...draft } = watering(bed.id, `meanwhile-${i}`);
        const { status } = await ask('POST', `/api/beds/${bedId}/entries`, draft);
        if (status === 201) kept.push(draft.id);
      }
    })();
    const copies = await Promise.all(
      ['Once more', 'And again'].map((name) =>
        read({ ...large, garden: { ...large.garden, name } }, '?copy=true'),
      ),
    );
    goingOn.clear();
    await others;
    expect(kept.length).toBeGreaterThan(3);
    const ids = new Set((await booksOf('ternhollow')).entries.map(({ id }) => id));
    expect(kept.filter((id) => !ids.has(id))).toEqual([]);
    for (const { body } of copies) {
      expect((await booksOf(body.gardenId)).garden.name).toBe(body.gardenName);
      expect((await booksOf(body.gardenId)).entries).toHaveLength(large.entries.length);
    }
  });

  it('is in the books whole or not at all when the server is killed over it', async () => {
    const before = (await ask<{ gardens: object[] }>('GET', '/api/gardens')).body.gardens.length;
    for (const afterMs of [50, 250, 600]) {
      const sent = read(large, '?copy=true').catch(() => null);
      await new Promise((resolve) => setTimeout(resolve, afterMs));
      await server.kill();
      await sent;
      server = await startServer(join(folder, 'large.sqlite'));
      expect(leftOver()).toEqual([]);
      const { gardens } = (await ask<{ gardens: { id: string; name: string }[] }>('GET', '/api/gardens'))
        .body;
      expect(gardens.length).toBeGreaterThanOrEqual(before);
      for (const { id } of gardens.filter(({ name }) => name === 'Large garden')) {
        expect((await booksOf(id)).entries).toHaveLength(large.entries.length);
      }
      expect(existsSync(join(folder, 'large.sqlite'))).toBe(true);
    }
  });
});
