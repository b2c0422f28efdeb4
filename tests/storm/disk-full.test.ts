import Database from 'better-sqlite3';
import { copyFileSync, existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';
import type { GardenFile } from '../../src/contract/garden-file.ts';
import { grayPng } from '../fixtures/photos.ts';
import { makeGarden, namesAt } from '../http/books-at.ts';
import { askAt, newFolder, removeFolder, startServer } from '../http/server.ts';
import { stormy } from './size.ts';

const LIMITS = stormy(30);
const folder = newFolder();
afterAll(() => removeFolder(folder));

/** All that a server writes: rows, pictures, copies, a garden read in. Which of it was acknowledged. */
async function writeAll(
  server: Awaited<ReturnType<typeof startServer>>,
  file: GardenFile,
): Promise<string[]> {
  const acknowledged: string[] = [];
  const note = (what: string, status: number) => {
    expect([what, status < 500 || status === 503 || status === 507]).toEqual([what, true]);
    if (status < 300) acknowledged.push(what);
  };
  for (let i = 0; i < 4; i++) note(`Garden more-${i}`, (await makeGarden(server, `more-${i}`)).status);
  const put = await server.request('/api/gardens/first/photos/leaf', {
    method: 'PUT',
    headers: { 'content-type': 'image/png' },
    body: grayPng(),
  });
  note('photo', put.status);
  note('backup', (await askAt(server, 'POST', '/api/backups')).status);
  note('import', (await askAt(server, 'POST', '/api/imports?copy=true', file)).status);
  return acknowledged;
}

it(
  `a disk that is full at any moment loses nothing and breaks nothing: ${LIMITS} sizes`,
  { timeout: 15 * 60_000 },
  async () => {
    const start = join(folder, 'start.sqlite');
    const first = await startServer(start, ['--demo']);
    expect((await makeGarden(first, 'first')).status).toBe(201);
    const { body: file } = await askAt<GardenFile>(first, 'GET', '/api/gardens/ternhollow/garden.json');
    await first.stop();
    const wholeKb = Math.ceil(new Database(start).pragma('page_count', { simple: true }) as number) * 4;

    const seen = new Set<number>();
    for (let i = 0; i < LIMITS; i++) {
      const books = join(folder, `full-${i}.sqlite`);
      copyFileSync(start, books);
      // From a log that takes a page or two to a file that takes nearly all of it.
      const fileSizeLimitKb = Math.round(8 + (wholeKb * 1.6 * i) / LIMITS);
      const full = await startServer(books, [], { fileSizeLimitKb });
      let acknowledged: string[];
      try {
        acknowledged = await writeAll(full, file);
      } finally {
        await full.stop();
      }
      seen.add(acknowledged.length);

      const after = await startServer(books);
      try {
        const names = await namesAt(after);
        expect(names).toEqual(expect.arrayContaining(acknowledged.filter((one) => one.startsWith('Garden'))));
        expect((await askAt(after, 'GET', '/api/gardens/ternhollow/books')).status).toBe(200);
        if (acknowledged.includes('photo'))
          expect((await after.request('/api/photos/leaf')).status).toBe(200);
        const { body } = await askAt<{ state: { kind: string }; backups: { name: string }[] }>(
          after,
          'GET',
          '/api/backups',
        );
        expect(body.state.kind).toBe('sound');
        for (const { name } of body.backups)
          expect((await askAt(after, 'GET', `/api/backups/${name}`)).status).toBe(200);
      } finally {
        await after.stop();
      }
      const left = existsSync(`${books}-backups`) ? readdirSync(`${books}-backups`) : [];
      expect(left.filter((name) => name.endsWith('.part'))).toEqual([]);
      rmSync(books);
    }
    // Otherwise the sizes would show nothing.
    expect(seen.size).toBeGreaterThan(2);
  },
);
