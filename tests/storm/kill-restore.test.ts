import { readdirSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { afterAll, expect, it } from 'vitest';
import type { BackupEntry, BooksState } from '../../src/contract/backups.ts';
import { seededStream } from '../../src/core/ground/numerics/seeded-stream.ts';
import { GARDEN } from '../fixtures/books.ts';
import { grayPng } from '../fixtures/photos.ts';
import { askAt, newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';
import { stormy } from './size.ts';

const ROUNDS = stormy(30);
const LONGEST_MS = 250;
const PATIENCE_MS = 15 * 60_000;

const folder = newFolder();
afterAll(() => removeFolder(folder));
const next = seededStream(23);

interface Gardens {
  readonly gardens: readonly { readonly id: string }[];
}
/** Copies, which may have come in before or after, are left aside. */
const idsAt = async (server: RunningServer): Promise<string[]> =>
  (await askAt<Gardens>(server, 'GET', '/api/gardens')).body.gardens
    .map(({ id }) => id)
    .filter((id) => /^(g|own)\d+$/.test(id))
    .sort();
const backupsAt = async (server: RunningServer) =>
  (await askAt<{ backups: BackupEntry[]; state: BooksState }>(server, 'GET', '/api/backups')).body;
/** Whoever asks while the power goes hears nothing. */
const unheard = <Answer>(asked: Promise<Answer>) => asked.catch(() => null);

it(
  `killed ${ROUNDS} times while books are backed up, restored and read in: always one of the two books, whole, nothing half made`,
  async () => {
    const file = `${folder}/books.sqlite`;
    let server = await startServer(file);
    for (let round = 0; round < ROUNDS; round++) {
      await askAt(server, 'POST', '/api/gardens', { ...GARDEN, id: `g${round}` });
      const { name } = (await askAt<BackupEntry>(server, 'POST', '/api/backups')).body;
      const backedUp = await idsAt(server);
      const own = `own${round}`;
      await askAt(server, 'POST', '/api/gardens', { ...GARDEN, id: own });
      const before = await idsAt(server);
      const file1 = (await askAt<object>(server, 'GET', `/api/gardens/${own}/garden.json`)).body;
      const acts = [
        unheard(askAt(server, 'POST', `/api/backups/${name}/restore`)),
        unheard(askAt(server, 'POST', '/api/backups')),
        unheard(askAt(server, 'POST', '/api/imports?copy=true', file1)),
        unheard(
          server.request(`/api/gardens/${own}/photos/leaf${round}`, {
            method: 'PUT',
            body: grayPng(),
            headers: { 'Content-Type': 'image/png' },
          }),
        ),
      ];
      await pause(next() * LONGEST_MS);
      await server.kill();
      const [restored] = await Promise.all(acts);

      server = await startServer(file);
      const { state, backups } = await backupsAt(server);
      expect(state.kind).toBe('sound');
      const found = await idsAt(server);
      if (restored?.status === 200) expect(found).toEqual(backedUp);
      else expect([before, backedUp]).toContainEqual(found);
      for (const backup of backups.slice(0, 2)) {
        expect((await askAt(server, 'GET', `/api/backups/${backup.name}`)).status).toBe(200);
      }
      const left = [...readdirSync(folder), ...readdirSync(`${file}-backups`)];
      expect(left.filter((one) => /\.part$|\.restoring$/.test(one))).toEqual([]);
    }
    await server.stop();
  },
  PATIENCE_MS,
);
