import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bedOf, GARDEN } from '../fixtures/books.ts';
import { afterPowerCut, openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

/** Every field that some answer has and some test looks at. */
interface Body {
  readonly id: string;
  readonly version: number;
  readonly createdAt: string;
  readonly massFreshKg: number;
  readonly current: unknown;
  readonly title: string;
  readonly detail: string;
  readonly errors: readonly { readonly field: string; readonly sentence: string }[];
  readonly beds: readonly { readonly version: number }[];
  readonly gardens: readonly { readonly id: string }[];
  readonly deleted: readonly { readonly id: string; readonly name: string; readonly deletedAt: string }[];
  readonly entries: readonly { readonly id: string }[];
}

const folder = newFolder();
let server: Answering;
const ask = (method: string, path: string, json?: unknown, headers?: Record<string, string>) =>
  askAt<Body>(server, method, path, json, headers);

const garden = GARDEN;
const { version, createdAt, updatedAt, gardenId, ...bed } = bedOf({ isWatered: false });
const layer = {
  type: 'lay',
  state: 'laid',
  date: '2026-05-01',
  note: '',
  materialId: 'chips_branch',
  amount: 7,
  unit: 'cm',
  dugDepthCm: 0,
  seasonedMonths: 0,
};
const planting = {
  state: 'planned',
  cropId: 'leek',
  plantedOn: '2026-05-20',
  clearedOn: '2026-11-20',
  nitrogenDemandGPerM2: 16,
  rootDepthCm: 50,
  note: '',
};

const entriesNow = async () => (await ask('GET', '/api/gardens/garden/books')).body.entries;

beforeAll(async () => {
  server = openBooks(join(folder, 'books.sqlite'));
  expect((await ask('POST', '/api/gardens', garden)).status).toBe(201);
  expect((await ask('POST', '/api/gardens/garden/beds', bed)).status).toBe(201);
});

it('a garden whose months are those of the other half of the earth, or all alike, is refused with the reason', async () => {
  const location = { latitudeDeg: -38, longitudeDeg: 145, elevationM: null, station: '' };
  const temperatureC = [3, 4, 6, 9, 13, 16, 18, 17, 14, 11, 7, 4];
  const southern = { ...garden, id: 'south', location, climate: { ...garden.climate, temperatureC } };
  const refused = await ask('POST', '/api/gardens', southern);
  expect(refused.status).toBe(422);
  expect(refused.body.errors).toMatchObject([
    { field: 'climate.temperatureC', sentence: expect.stringContaining('winter at 38° south') as string },
  ]);
  const equal = { ...southern, climate: { ...garden.climate, temperatureC: Array<number>(12).fill(12) } };
  expect((await ask('POST', '/api/gardens', equal)).body.errors[0]?.sentence).toContain(
    'the same in all twelve',
  );
  expect(
    (await ask('POST', '/api/gardens', { ...southern, location: { ...location, latitudeDeg: 38 } })).status,
  ).toBe(201);
});

afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

describe('keeping books', () => {
  it('weighs what is laid, keeps it, changes it, removes it and brings it back', async () => {
    const made = await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'layer' });
    expect(made.status).toBe(201);
    expect(made.body).toMatchObject({ id: 'layer', version: 1, bedId: 'bed' });
    expect(made.body.massFreshKg).toBeCloseTo(98, 9);

    const changed = await ask('PUT', '/api/entries/layer', { ...layer, version: 1, amount: 10 });
    expect(changed.body).toMatchObject({ version: 2, amount: 10, createdAt: made.body.createdAt });

    expect((await ask('DELETE', '/api/entries/layer?version=2')).status).toBe(204);
    expect(await entriesNow()).toEqual([]);
    expect((await ask('POST', '/api/entries/layer/restore')).body).toMatchObject({ id: 'layer', amount: 10 });
    expect((await entriesNow()).map(({ id }) => id)).toEqual(['layer']);
  });

  it('takes the same record twice as once', async () => {
    const first = await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'twice' });
    const second = await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'twice' });
    expect([first.status, second.status]).toEqual([201, 200]);
    expect(second.body).toEqual(first.body);
    expect((await entriesNow()).filter(({ id }) => id === 'twice')).toHaveLength(1);
  });

  it('does not take another record for the same one, nor the id of one that was removed', async () => {
    const other = await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'twice', amount: 9 });
    expect(other.status).toBe(409);
    expect(other.body.current).toMatchObject({ id: 'twice', amount: 7 });
    await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'gone' });
    await ask('DELETE', '/api/entries/gone?version=1');
    const again = await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'gone' });
    expect([again.status, again.body.title]).toEqual([409, 'Removed meanwhile']);
  });

  it.each([
    ['PUT', '/api/entries/twice', { ...layer, amount: 3 }],
    ['PUT', '/api/beds/bed', { ...bed, id: undefined, name: 'Other' }],
    ['PUT', '/api/gardens/garden', { ...garden, id: undefined, name: 'Other' }],
  ])('refuses a stale write with the newer record: %s %s', async (method, path, change) => {
    const current = await ask(method, path, { ...change, version: 1 });
    expect(current.status).toBe(200);
    const late = await ask(method, path, { ...change, version: 1 });
    expect(late.status).toBe(409);
    expect(late.type).toContain('application/problem+json');
    expect(late.body.current).toEqual(current.body);
  });

  it('begins a garden with its bed, what lies on it and what grows there, all of it or nothing', async () => {
    const begun = (change: object = {}) => ({
      garden: { ...garden, id: 'begun', name: 'Begun' },
      bed: { ...bed, id: 'begun-bed' },
      entry: { ...layer, id: 'begun-chips' },
      planting: { ...planting, id: 'begun-leek' },
      ...change,
    });
    const refused = await ask(
      'POST',
      '/api/gardens/begun',
      begun({ entry: { ...layer, id: 'x', amount: 400 } }),
    );
    expect([refused.status, refused.body.errors[0].field]).toEqual([422, 'amount']);
    expect((await ask('GET', '/api/gardens/begun/books')).status).toBe(404);
    expect((await ask('POST', '/api/gardens/begun', begun())).status).toBe(201);
    expect((await ask('POST', '/api/gardens/begun', begun())).status).toBe(200);
    const { body } = await ask('GET', '/api/gardens/begun/books');
    expect(body.beds).toHaveLength(1);
    expect(body.entries).toMatchObject([{ id: 'begun-chips', massFreshKg: expect.any(Number) as number }]);
    await ask('DELETE', '/api/gardens/begun?version=1');
  });

  it('lists deleted gardens, the last one first, and brings them back', async () => {
    const begun = { ...garden, id: 'gone', name: 'Gone for a while' };
    await ask('POST', '/api/gardens', begun);
    await ask('DELETE', '/api/gardens/gone?version=1');
    const { deleted, gardens } = (await ask('GET', '/api/gardens')).body;
    expect(gardens.map(({ id }) => id)).not.toContain('gone');
    expect(deleted[0]).toMatchObject({ id: 'gone', name: 'Gone for a while' });
    expect(deleted[0].deletedAt).toMatch(/^\d{4}-\d\d-\d\dT/);
    expect((await ask('POST', '/api/gardens/gone/restore')).status).toBe(200);
    const after = (await ask('GET', '/api/gardens')).body;
    expect(after.deleted.map(({ id }) => id)).not.toContain('gone');
    await ask('DELETE', '/api/gardens/gone?version=3');
  });

  it('makes beds alike together, all of them or none', async () => {
    const several = (names: readonly string[]) =>
      ask('POST', '/api/gardens/garden/beds/several', {
        beds: names.map((name, i) => ({
          ...bed,
          kind: 'container',
          potCount: 3,
          name,
          id: `alike-${i + 1}`,
        })),
      });
    const before = (await ask('GET', '/api/gardens/garden/books')).body.beds.length;
    expect((await several(['Row 1', ''])).status).toBe(422);
    expect((await several(['Row 1', 'Row 2'])).status).toBe(201);
    expect((await several(['Row 1', 'Row 2'])).status).toBe(201);
    expect((await several(['Row 1', 'Row three'])).status).toBe(409);
    const { beds } = (await ask('GET', '/api/gardens/garden/books')).body;
    expect(beds).toHaveLength(before + 2);
    expect(beds.at(-1)).toMatchObject({ id: 'alike-2', name: 'Row 2', potCount: 3 });
    for (const id of ['alike-1', 'alike-2']) await ask('DELETE', `/api/beds/${id}?version=1`);
  });

  it('keeps, changes and removes plantings and own materials', async () => {
    const crop = await ask('POST', '/api/beds/bed/plantings', { ...planting, id: 'crop' });
    expect(crop.status).toBe(201);
    expect(
      (await ask('PUT', '/api/plantings/crop', { ...planting, version: 1, nitrogenDemandGPerM2: 18 })).body
        .version,
    ).toBe(2);
    expect((await ask('DELETE', '/api/plantings/crop?version=2')).status).toBe(204);

    const chips = {
      id: 'own',
      name: 'Own chips',
      note: '',
      basis: { type: 'chips', branchDiameterCm: 6, leafShare: 0.1, coniferShare: 0 },
    };
    expect((await ask('POST', '/api/gardens/garden/materials', chips)).status).toBe(201);
    expect(
      (await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'of own', materialId: 'own' })).status,
    ).toBe(422);
    expect(
      (await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'of-own', materialId: 'own' })).status,
    ).toBe(201);
    const inUse = await ask('DELETE', '/api/materials/own?version=1');
    expect([inUse.status, inUse.body.title]).toEqual([422, 'In use']);
    await ask('DELETE', '/api/entries/of-own?version=1');
    expect((await ask('DELETE', '/api/materials/own?version=1')).status).toBe(204);
  });
});

describe('bad input', () => {
  it.each([
    ['amount', { amount: 0 }],
    ['amount', { amount: -3 }],
    ['amount', { amount: null }],
    ['amount', { amount: 'seven' }],
    ['amount', { amount: 1e9, unit: 'kg' }],
    ['amount', { amount: 300 }],
    ['date', { date: '0001-01-01' }],
    ['date', { date: '2026-02-30' }],
    ['date', { date: '1900-01-01' }],
    ['materialId', { materialId: 'moon-dust' }],
    ['unit', { unit: 'handfuls' }],
    ['dugDepthCm', { dugDepthCm: -1 }],
    ['input', { color: 'brown' }],
    [
      'layerId',
      {
        type: 'takeOff',
        layerId: 'nothing',
        shareTakenOff: 0.5,
        materialId: undefined,
        amount: undefined,
        unit: undefined,
        dugDepthCm: undefined,
        seasonedMonths: undefined,
      },
    ],
  ])('%s: %j is refused by name and nothing is kept', async (field, change) => {
    const before = await entriesNow();
    const { status, type, body } = await ask('POST', '/api/beds/bed/entries', { ...layer, ...change });
    expect(status).toBe(422);
    expect(type).toContain('application/problem+json');
    expect(body.errors.map((error) => error.field)).toContain(field);
    expect(body.errors[0].sentence).toMatch(/[^.?][.?]$/);
    expect(await entriesNow()).toEqual(before);
  });

  it('a taking-off that would come before its layer is refused, and so is removing a layer still named', async () => {
    await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'base' });
    const off = {
      type: 'takeOff',
      state: 'laid',
      date: '2026-05-10',
      note: '',
      layerId: 'base',
      shareTakenOff: 0.5,
    };
    expect(
      (await ask('POST', '/api/beds/bed/entries', { ...off, id: 'early', date: '2026-04-01' })).body.errors[0]
        .field,
    ).toBe('layerId');
    expect((await ask('POST', '/api/beds/bed/entries', { ...off, id: 'off' })).status).toBe(201);
    const refused = await ask('DELETE', '/api/entries/base?version=1');
    expect(refused.status).toBe(422);
    expect(refused.body.detail).toMatch(
      /^Taken off on .* on 2026-05-10, would no longer make sense: its layer /,
    );
    expect((await entriesNow()).some(({ id }) => id === 'base')).toBe(true);
    await ask('DELETE', '/api/entries/off?version=1');
    await ask('DELETE', '/api/entries/base?version=1');
  });

  it('a bed too small for what lies on it is refused', async () => {
    await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'heavy', amount: 60 });
    const { version } = (await ask('GET', '/api/gardens/garden/books')).body.beds[0];
    const shrunk = await ask('PUT', '/api/beds/bed', { ...bed, id: undefined, version, areaM2: 1 });
    expect(shrunk.status).toBe(422);
    await ask('DELETE', '/api/entries/heavy?version=1');
  });

  it('half a JSON, 50 MB and unknown addresses are answered in problem JSON', async () => {
    expect((await ask('POST', '/api/beds/bed/entries', '{"type":"lay"')).status).toBe(400);
    const large = await ask('POST', '/api/beds/bed/entries', `"${'x'.repeat(50 * 1024 * 1024)}"`);
    expect(large).toMatchObject({
      status: 413,
      body: { detail: 'That is more than 1 MB; nothing was saved.' },
    });
    expect((await ask('GET', '/api/nothing')).body).toMatchObject({ status: 404 });
    expect((await ask('GET', '/api/gardens/none/books')).body).toMatchObject({ status: 404 });
    expect((await ask('POST', '/api/beds/none/entries', layer)).status).toBe(404);
    expect((await ask('DELETE', '/api/entries/none?version=1')).status).toBe(404);
    expect((await ask('DELETE', '/api/entries/twice?version=x')).status).toBe(422);
    expect((await ask('GET', '/assets/none.js')).status).toBe(404);
  });

  it('another site may not write, and a rebound name may not read', async () => {
    const cross = await ask(
      'POST',
      '/api/gardens',
      { ...garden, id: 'cross' },
      { origin: 'http://evil.example' },
    );
    expect(cross.status).toBe(403);
    expect((await ask('GET', '/api/gardens')).body.gardens.map(({ id }) => id)).not.toContain('cross');
  });
});

describe('the file', () => {
  it('holds what was acknowledged after a power cut', async () => {
    await ask('POST', '/api/beds/bed/entries', { ...layer, id: 'kept' });
    server = await afterPowerCut(server);
    expect((await entriesNow()).map(({ id }) => id)).toContain('kept');
  });
});
