import Database from 'better-sqlite3';
import { spawnSync } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, it, vi } from 'vitest';
import type { BackupCheck, BackupEntry } from '../../src/contract/backups.ts';
import type { GardenFile } from '../../src/contract/garden-file.ts';
import type { AppContext } from '../../src/server/app-context.ts';
import { createApp } from '../../src/server/app.ts';
import { migrate } from '../../src/server/db/migrate.ts';
import { grayPng } from '../fixtures/photos.ts';
import { GARDEN } from '../fixtures/books.ts';
import { listAt, makeGarden as make, namesAt, spoil } from './books-at.ts';
import { openBooks as openBooksHere } from './open-books.ts';
import { askAt, newFolder, removeFolder, startServer } from './server.ts';

const folder = newFolder();
afterAll(() => removeFolder(folder));

describe('npm run verify', () => {
  const verify = (file: string) => {
    const { status, stdout, stderr } = spawnSync('node', ['scripts/verify.mjs', file], { encoding: 'utf8' });
    return [status, stdout + stderr] as const;
  };
  it('tells what a file of books or a backup holds, whether it is whole, and which photos are missing', async () => {
    const file = join(folder, 'verified.sqlite');
    const server = openBooksHere(file);
    await askAt(server, 'POST', '/api/gardens', { ...GARDEN, id: 'g' });
    const put = { method: 'PUT', body: grayPng(), headers: { 'Content-Type': 'image/png' } };
    await server.request('/api/gardens/g/photos/leaf', put);
    const { name } = (await askAt<BackupEntry>(server, 'POST', '/api/backups')).body;
    await server.stop();
    const backup = join(`${file}-backups`, name);
    expect(verify(file)).toEqual([0, expect.stringContaining('is whole: 1 garden (')]);
    expect(verify(backup)).toEqual([0, expect.stringContaining('is whole')]);
    rmSync(join(`${file}-photos`, 'leaf'));
    expect(verify(file)).toEqual([1, expect.stringContaining('1 of 1 photos are missing')]);
    spoil(backup);
    expect(verify(backup)).toEqual([1, expect.stringContaining('is damaged')]);
    expect(verify(join(folder, 'none.sqlite'))).toEqual([2, expect.stringContaining('there is no')]);
  });
});

describe('a file that two programs want', () => {
  it('is opened by one of them; the other is told, and takes nothing from it', async () => {
    const file = join(folder, 'shared.sqlite');
    const first = await startServer(file);
    try {
      expect((await make(first, 'kept')).status).toBe(201);
      // A copy that the first one is just making is not taken for a leftover.
      const half = `${file}-backups/2026-05-14_080000-00.daily.sqlite.part`;
      mkdirSync(`${file}-backups`);
      writeFileSync(half, 'half made');
      await expect(startServer(file)).rejects.toThrow(/is open in another program/);
      await expect(startServer(file, ['--demo'])).rejects.toThrow(/is open in another program/);
      expect(readFileSync(half, 'utf8')).toBe('half made');
      expect((await make(first, 'more')).status).toBe(201);
      expect(await namesAt(first)).toEqual(['Garden kept', 'Garden more']);
    } finally {
      await first.stop();
    }
  });

  it('is kept for itself by the one that has just brought it up to date, too', async () => {
    const file = join(folder, 'older.sqlite');
    const db = new Database(file);
    migrate(db, 17);
    db.close();
    const first = await startServer(file);
    try {
      await expect(startServer(file)).rejects.toThrow(/is open in another program/);
    } finally {
      await first.stop();
    }
  });

  it.each([
    ['deleted', (file: string) => rmSync(file)],
    ['moved away', (file: string) => renameSync(file, `${file}.away`)],
    [
      'replaced',
      (file: string) => {
        writeFileSync(`${file}.new`, readFileSync(file));
        renameSync(`${file}.new`, file);
      },
    ],
  ])(
    'and is %s under the server: no write is acknowledged any more, none is restored over it, and all can be saved',
    async (how, act) => {
      const file = join(folder, `gone-${how.replace(' ', '-')}.sqlite`);
      const server = await startServer(file);
      try {
        expect((await make(server, 'kept')).status).toBe(201);
        const { name } = (await askAt<BackupEntry>(server, 'POST', '/api/backups')).body;
        act(file);
        const refused = await make(server, 'lost');
        expect([refused.status, refused.body.detail]).toEqual([
          503,
          expect.stringMatching(/moved, deleted or replaced/),
        ]);
        expect((await askAt<{ status: string }>(server, 'GET', '/api/health')).body.status).toBe('replaced');
        const saved = await askAt<GardenFile>(server, 'GET', '/api/gardens/kept/garden.json');
        expect([saved.status, saved.body.garden.name]).toEqual([200, 'Garden kept']);
        const lyingThere = existsSync(file) ? readFileSync(file) : null;
        const restored = await askAt<{ detail: string }>(server, 'POST', `/api/backups/${name}/restore`);
        expect([restored.status, restored.body.detail]).toEqual([
          503,
          expect.stringMatching(/moved, deleted or replaced/),
        ]);
        expect(existsSync(file) ? readFileSync(file) : null).toEqual(lyingThere);
      } finally {
        await server.stop();
      }
    },
  );
});

describe('a file into which another program writes', () => {
  it('takes no more writes, is not written into when it is closed, and a backup takes its place', async () => {
    const [file, foreign] = [join(folder, 'overwritten.sqlite'), join(folder, 'foreign.sqlite')];
    const other = await startServer(foreign, ['--demo']);
    await other.stop();
    const server = await startServer(file);
    try {
      expect((await make(server, 'kept')).status).toBe(201);
      const { name } = (await askAt<BackupEntry>(server, 'POST', '/api/backups')).body;
      copyFileSync(foreign, file);
      const refused = await make(server, 'lost');
      expect([refused.status, refused.body.detail]).toEqual([503, expect.stringMatching(/restore a backup/)]);
      expect((await askAt<{ status: string }>(server, 'GET', '/api/health')).body.status).toBe('overwritten');
      expect((await askAt(server, 'POST', `/api/backups/${name}/restore`)).status).toBe(200);
      expect((await make(server, 'after')).status).toBe(201);
      const [aside] = readdirSync(folder).filter((one) => one.startsWith('overwritten.sqlite.damaged-'));
      expect(readFileSync(join(folder, aside)).equals(readFileSync(foreign))).toBe(true);
      copyFileSync(foreign, file);
    } finally {
      await server.stop();
    }
    expect(readFileSync(file).equals(readFileSync(foreign))).toBe(true);
  });

  it('is the same when it was only touched', async () => {
    const file = join(folder, 'touched.sqlite');
    const server = await startServer(file);
    try {
      expect((await make(server, 'before')).status).toBe(201);
      utimesSync(file, new Date('2030-01-01'), new Date('2030-01-01'));
      expect((await make(server, 'after')).status).toBe(201);
    } finally {
      await server.stop();
    }
  });
});

describe('a file that is damaged', () => {
  it('is opened to be read only, says so, lets what can be read be saved, and is replaced by a backup', async () => {
    const file = join(folder, 'damaged.sqlite');
    const first = await startServer(file, ['--demo']);
    const made = (await askAt<BackupEntry>(first, 'POST', '/api/backups')).body;
    await first.stop();
    const db = new Database(file);
    // The index of a table no longer agrees with it: every record can be read, and no write can be trusted.
    db.unsafeMode(true);
    db.pragma('writable_schema = ON');
    db.prepare(
      "UPDATE sqlite_schema SET rootpage = (SELECT rootpage FROM sqlite_schema WHERE name = 'bed_by_garden') WHERE name = 'entry_by_bed'",
    ).run();
    db.close();

    const server = await startServer(file);
    try {
      expect((await listAt(server)).state.kind).toBe('damaged');
      expect((await askAt<{ status: string }>(server, 'GET', '/api/health')).body.status).toBe('damaged');
      const refused = await make(server, 'more');
      expect([refused.status, refused.body.detail]).toEqual([
        503,
        expect.stringMatching(/damaged.*restore a backup/),
      ]);
      const saved = await fetch(`${server.address}/api/gardens/ternhollow/garden.json`);
      expect(saved.status).toBe(200);
      expect(((await saved.json()) as GardenFile).beds).toHaveLength(8);

      const restored = await askAt<BackupCheck>(server, 'POST', `/api/backups/${made.name}/restore`);
      expect(restored.status).toBe(200);
      expect((await listAt(server)).state).toEqual({ kind: 'sound', reason: null });
      expect((await make(server, 'more')).status).toBe(201);
      expect(readdirSync(folder).some((name) => name.startsWith('damaged.sqlite.damaged-'))).toBe(true);
    } finally {
      await server.stop();
    }
  });

  it('while it is in use is noticed by whoever reads it next', async () => {
    const noteDamage = vi.fn();
    const rotten = () => {
      throw Object.assign(new Error('database disk image is malformed'), { code: 'SQLITE_CORRUPT' });
    };
    const books = { state: () => ({ kind: 'sound', reason: null }), noteDamage };
    const app = createApp({
      stores: { gardens: { find: rotten, list: rotten, listRemoved: rotten } },
      books,
      today: () => '2026-05-14',
    } as unknown as AppContext);
    const answer = await app.request('/api/gardens', { headers: { host: '127.0.0.1' } });
    expect(answer.status).toBe(503);
    expect(noteDamage).toHaveBeenCalledExactlyOnceWith('database disk image is malformed');
  });

  it('that is no database any more starts a server all the same', async () => {
    const file = join(folder, 'rubbish.sqlite');
    writeFileSync(file, 'once upon a time there was a ledger '.repeat(500));
    const server = await startServer(file);
    try {
      expect((await listAt(server)).state.kind).toBe('damaged');
      expect(await namesAt(server)).toEqual([]);
      expect((await make(server, 'new')).status).toBe(503);
    } finally {
      await server.stop();
    }
    expect(readFileSync(file, 'utf8').startsWith('once upon a time')).toBe(true);
  });
});
