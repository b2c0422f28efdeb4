import Database from 'better-sqlite3';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import type { BackupCheck, BackupEntry } from '../../src/contract/backups.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { openBooks } from '../../src/server/db/books-file.ts';
import { grayPng } from '../fixtures/photos.ts';
import { isBackupDue } from '../../src/server/jobs/daily-backup.ts';
import { GARDEN } from '../fixtures/books.ts';
import { listAt, makeGarden as make, namesAt, spoil } from './books-at.ts';
import { openBooks as openBooksHere } from './open-books.ts';
import { askAt, newFolder, removeFolder, startServer } from './server.ts';

const folder = newFolder();
afterAll(() => removeFolder(folder));

describe('backups', () => {
  it('are made while the books are in use, looked at and restored; what was there is backed up first', async () => {
    const server = await startServer(join(folder, 'a.sqlite'), []);
    try {
      await make(server, 'first');
      const made = await askAt<BackupEntry>(server, 'POST', '/api/backups');
      expect(made.status).toBe(201);
      await make(server, 'second');
      expect(await namesAt(server)).toEqual(['Garden first', 'Garden second']);

      const check = await askAt<BackupCheck>(server, 'GET', `/api/backups/${made.body.name}`);
      expect(check.body).toMatchObject({ gardens: ['Garden first'], beds: 0, entries: 0 });
      const restored = await askAt<BackupCheck>(server, 'POST', `/api/backups/${made.body.name}/restore`);
      expect(restored.status).toBe(200);
      expect(await namesAt(server)).toEqual(['Garden first']);
      expect((await make(server, 'third')).status).toBe(201);

      const [newest] = (await listAt(server)).backups;
      const back = await askAt<BackupCheck>(server, 'GET', `/api/backups/${newest.name}`);
      expect(back.body.gardens).toEqual(['Garden first', 'Garden second']);
    } finally {
      await server.stop();
    }
  });

  it('are refused when they are no books, and the books stay as they are', async () => {
    const file = join(folder, 'b.sqlite');
    const server = await startServer(file);
    try {
      await make(server, 'kept');
      const { name } = (await askAt<BackupEntry>(server, 'POST', '/api/backups')).body;
      spoil(join(`${file}-backups`, name));
      writeFileSync(join(`${file}-backups`, '2026-01-01_000000-00.sqlite'), 'not a database at all');
      for (const backup of [name, '2026-01-01_000000-00.sqlite']) {
        const refused = await askAt<Problem>(server, 'POST', `/api/backups/${backup}/restore`);
        expect([refused.status, refused.body.detail]).toEqual([
          422,
          expect.stringMatching(/cannot be restored.*Nothing was changed/),
        ]);
      }
      expect((await askAt(server, 'GET', '/api/backups/2026-01-01_000001-00.sqlite')).status).toBe(404);
      expect((await askAt(server, 'POST', '/api/backups/a.sqlite/restore')).status).toBe(404);
      expect(await namesAt(server)).toEqual(['Garden kept']);
    } finally {
      await server.stop();
    }
  });

  it('are made one after the other however many are asked for at once, and push out no daily ones', async () => {
    const books = openBooks({ file: join(folder, 'c.sqlite') }, () => '2026-05-14T08:00:00.000Z');
    const daily = await books.backUp('daily');
    await Promise.all(Array.from({ length: 14 }, () => books.backUp('manual')));
    const kinds = books.backups().map(({ kind }) => kind);
    expect(kinds.filter((kind) => kind === 'manual')).toHaveLength(10);
    expect(books.backups().map(({ name }) => name)).toContain(daily.name);
    books.close();
  });

  it('are made where fourteen copies of days to come lie already', async () => {
    const file = join(folder, 'ahead.sqlite');
    const before = openBooks({ file }, () => '2031-01-01T08:00:00.000Z');
    for (let i = 0; i < 14; i++) await before.backUp('manual');
    before.close();
    const books = openBooks({ file }, () => '2026-05-14T08:00:00.000Z');
    const made = await books.backUp('manual');
    expect(books.backups().map(({ name }) => name)).toContain(made.name);
    books.close();
  });

  it('asked for twice are restored twice, and every copy there is can be restored', async () => {
    const server = openBooksHere(join(folder, 'drill.sqlite'));
    const post = async (path: string) => (await server.request(path, { method: 'POST' })).status;
    const gardens = async () =>
      ((await (await server.request('/api/gardens')).json()) as { gardens: object[] }).gardens.length;
    const copies: { name: string; gardens: number }[] = [];
    for (const id of ['one', 'two', 'three']) {
      await askAt(server, 'POST', '/api/gardens', { ...GARDEN, id, name: id });
      const { name } = (await askAt<BackupEntry>(server, 'POST', '/api/backups')).body;
      copies.push({ name, gardens: await gardens() });
    }
    const twice = `/api/backups/${copies[0].name}/restore`;
    expect(await Promise.all([post(twice), post(twice)])).toEqual([200, 200]);
    expect(await gardens()).toBe(1);
    for (const copy of copies) {
      expect(await post(`/api/backups/${copy.name}/restore`)).toBe(200);
      expect(await gardens()).toBe(copy.gardens);
    }
    await server.stop();
  });

  it('hold the photos too, and bring back those that are gone', async () => {
    const file = join(folder, 'photos.sqlite');
    const server = openBooksHere(file);
    await askAt(server, 'POST', '/api/gardens', { ...GARDEN, id: 'g' });
    const put = { method: 'PUT', body: grayPng(), headers: { 'Content-Type': 'image/png' } };
    expect((await server.request('/api/gardens/g/photos/leaf', put)).status).toBe(201);
    const { name } = (await askAt<BackupEntry>(server, 'POST', '/api/backups')).body;
    rmSync(join(`${file}-photos`, 'leaf'));
    expect((await server.request('/api/photos/leaf')).status).toBe(404);
    expect((await server.request(`/api/backups/${name}/restore`, { method: 'POST' })).status).toBe(200);
    expect((await server.request('/api/photos/leaf')).status).toBe(200);
    await server.stop();
  });

  it('go to a second place, and say so when they do not get there', async () => {
    const second = join(folder, 'other-disk');
    const books = openBooks(
      { file: join(folder, 'd.sqlite'), backupTo: second },
      () => '2026-05-14T08:00:00.000Z',
    );
    const { name } = await books.backUp('daily');
    expect(readdirSync(second)).toContain(name);
    expect(books.secondPlace()).toEqual({
      folder: second,
      lastAt: '2026-05-14T08:00:00.000Z',
      failure: null,
    });
    rmSync(second, { recursive: true });
    writeFileSync(second, 'a file where the folder was');
    await books.backUp('daily');
    expect(books.secondPlace()!.failure).toMatch(/EEXIST|ENOTDIR/);
    // Of one day the newest is kept.
    expect(books.backups()).toHaveLength(1);
    books.close();
  });

  it('are due once a day, when the clock has gone back too', () => {
    expect(isBackupDue(undefined, '2026-05-14T08:00:00.000Z')).toBe(true);
    expect(isBackupDue('2026-05-14T00:10:00.000Z', '2026-05-14T23:59:00.000Z')).toBe(false);
    expect(isBackupDue('2026-05-13T23:59:00.000Z', '2026-05-14T00:01:00.000Z')).toBe(true);
    expect(isBackupDue('2031-01-01T00:00:00.000Z', '2026-05-14T00:01:00.000Z')).toBe(true);
  });
});

describe('every version of the database there has been', () => {
  const MIGRATIONS = 'src/server/db/migrations';
  const files = readdirSync(MIGRATIONS).sort();

  it.each(files.slice(0, -1).map((file, i) => [i + 1, file] as const))(
    'version %d is brought up to date with everything in it, and copied before',
    async (version) => {
      const file = join(folder, `version-${version}.sqlite`);
      const old = new Database(file);
      for (const migration of files.slice(0, version))
        old.exec(readFileSync(join(MIGRATIONS, migration), 'utf8'));
      old.pragma(`user_version = ${version}`);
      const stamp = "1, '2024-03-01T08:00:00.000Z', '2024-03-01T08:00:00.000Z'";
      const climate = JSON.stringify(GARDEN.climate);
      old.exec(`
        INSERT INTO garden (id, version, created_at, updated_at, name, place, climate_json, deposition_g_per_m2_year, measures)
          VALUES ('g', ${stamp}, 'Old garden', '', '${climate}', 1, 'metric');
        INSERT INTO bed (id, version, created_at, updated_at, garden_id, name, kind, area_m2, organic_matter_pct,
            bulk_density_g_per_cm3, clay_pct, root_zone_cm, exposure, is_watered, note)
          VALUES ('b', ${stamp}, 'g', 'Old bed', 'annual', 4, 3, 1.2, 20, 30, 'normal', 1, '');
        INSERT INTO entry (id, version, created_at, updated_at, bed_id, type, state, date, note, material_id, amount, unit,
            mass_fresh_kg, seasoned_months, dug_depth_cm)
          VALUES ('e', ${stamp}, 'b', 'lay', 'laid', '2024-03-01', 'as it was', 'straw_cereal', 20, 'kg', 20, 0, 0);
        INSERT INTO planting (id, version, created_at, updated_at, bed_id, state, crop_id, planted_on, cleared_on,
            nitrogen_demand_g_per_m2, root_depth_cm, note)
          VALUES ('p', ${stamp}, 'b', 'laid', 'leek', '2024-04-20', '2024-10-01', 12, 40, '');`);
      old.close();

      const server = openBooksHere(file);
      try {
        const { body, status } = await askAt<GardenBooks>(server, 'GET', '/api/gardens/g/books');
        expect(status).toBe(200);
        expect(body.entries).toMatchObject([{ id: 'e', note: 'as it was', massFreshKg: 20 }]);
        expect(body.plantings).toMatchObject([
          { id: 'p', startsAs: version === 1 ? 'transplant' : 'seed', areaShare: 1 },
        ]);
        expect(body.beds).toMatchObject([{ id: 'b', outline: null, learnsFromLog: true }]);
        const note = { type: 'feed', state: 'laid', date: '2026-04-01', note: '', nitrogenG: 12 };
        expect((await askAt(server, 'POST', '/api/beds/b/entries', note)).status).toBe(201);
      } finally {
        await server.stop();
      }
      const copy = new Database(`${file}.before-migration-from-${version}`, { readonly: true });
      expect(copy.pragma('user_version', { simple: true })).toBe(version);
      expect(copy.prepare('SELECT name FROM bed').pluck().get()).toBe('Old bed');
      copy.close();
    },
  );
});

describe('a disk that takes nothing more', () => {
  it('is told in words when it is full; nothing is half written, and it goes on when there is room', async () => {
    const file = join(folder, 'full.sqlite');
    const server = await startServer(file);
    await make(server, 'before');
    await server.stop();
    const full = await startServer(file, [], { fileSizeLimitKb: 256 });
    let refused: { status: number; detail: string } | undefined;
    const kept: string[] = ['Garden before'];
    try {
      for (let i = 0; i < 400 && !refused; i++) {
        const place = 'x'.repeat(1900);
        const answer = await askAt<Problem>(full, 'POST', '/api/gardens', {
          ...GARDEN,
          id: `g${i}`,
          name: `Garden ${i}`,
          place,
        });
        if (answer.status === 201) kept.push(`Garden ${i}`);
        else refused = { status: answer.status, detail: answer.body.detail };
      }
      expect(refused?.detail).toMatch(/disk is full|cannot be written/);
      expect([503, 507]).toContain(refused?.status);
      expect(await namesAt(full)).toEqual(kept);
    } finally {
      await full.kill();
    }
    const again = await startServer(file);
    try {
      expect((await listAt(again)).state.kind).toBe('sound');
      expect(await namesAt(again)).toEqual(kept);
      expect((await make(again, 'after')).status).toBe(201);
    } finally {
      await again.stop();
    }
  });

  it('is told in words when it may only be read, and the books can be read all the same', async () => {
    const place = join(folder, 'read-only');
    mkdirSync(place);
    const file = join(place, 'books.sqlite');
    const server = await startServer(file);
    await make(server, 'before');
    await server.stop();
    const isRoot = process.getuid?.() === 0;
    const nobody = 65534;
    if (isRoot) for (const path of [place, file]) chownSync(path, nobody, nobody);
    chmodSync(folder, 0o755);
    chmodSync(file, 0o444);
    chmodSync(place, 0o555);
    const locked = await startServer(file, [], isRoot ? { uid: nobody } : {});
    try {
      expect((await listAt(locked)).state.kind).toBe('readOnly');
      expect(await namesAt(locked)).toEqual(['Garden before']);
      const refused = await make(locked, 'more');
      expect([refused.status, refused.body.detail]).toEqual([
        503,
        expect.stringMatching(/cannot be written to/),
      ]);
    } finally {
      await locked.stop();
      chmodSync(place, 0o755);
    }
    expect(existsSync(`${file}-wal`)).toBe(false);
  });
});
