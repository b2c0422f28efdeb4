import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bedOf, GARDEN, plantingOf } from '../fixtures/books.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

interface Kept {
  readonly id: string;
  readonly version: number;
  readonly amount: number;
}
interface Body {
  readonly errors: readonly { readonly field: string; readonly sentence: string }[];
  readonly entries: readonly Kept[];
  readonly buildUps: readonly { readonly id: string; readonly name: string }[];
  readonly current: Kept;
}

const folder = newFolder();
let server: Answering;
const ask = (method: string, path: string, json?: unknown) => askAt<Body>(server, method, path, json);
const books = async () => (await ask('GET', '/api/gardens/garden/books')).body;
const kept = async () => (await books()).entries.map(({ id, amount, version }) => [id, amount, version]);

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
const nothing = { creates: [], changes: [], removals: [], restores: [], order: [] };
const revise = (revision: object) => ask('POST', '/api/beds/bed/revisions', { ...nothing, ...revision });
const draftOf = ({ version, createdAt, updatedAt, gardenId, ...draft }: ReturnType<typeof bedOf>) => draft;
const plantingDraft = (change: Parameters<typeof plantingOf>[0]) => {
  const { version, createdAt, updatedAt, bedId, ...draft } = plantingOf(change);
  return draft;
};

beforeAll(async () => {
  server = openBooks(join(folder, 'books.sqlite'));
  await ask('POST', '/api/gardens', GARDEN);
  await ask('POST', '/api/gardens/garden/beds', draftOf(bedOf()));
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

describe('a revision of a bed', () => {
  it('writes, changes, strikes out and puts in order in one go', async () => {
    expect(
      (
        await revise({
          creates: [
            { ...layer, id: 'a' },
            { ...layer, id: 'b', amount: 3 },
          ],
        })
      ).status,
    ).toBe(200);
    const { status } = await revise({
      creates: [{ ...layer, id: 'c', materialId: 'compost_yard', amount: 2 }],
      changes: [{ ...layer, id: 'a', amount: 5, version: 1 }],
      removals: [{ id: 'b', version: 1 }],
      order: ['c', 'a'],
    });
    expect(status).toBe(200);
    expect(await kept()).toEqual([
      ['c', 2, 1],
      ['a', 5, 2],
    ]);
  });

  it('can be taken back by the reverse one', async () => {
    await revise({
      removals: [{ id: 'c', version: 1 }],
      changes: [{ ...layer, id: 'a', amount: 7, version: 2 }],
      restores: ['b'],
      order: ['a', 'b'],
    });
    expect(await kept()).toEqual([
      ['a', 7, 3],
      ['b', 3, 3],
    ]);
  });

  it('keeps nothing at all when one part of it cannot be', async () => {
    const before = await kept();
    const stale = await revise({
      creates: [{ ...layer, id: 'd' }],
      changes: [{ ...layer, id: 'a', version: 1 }],
    });
    expect(stale.status).toBe(409);
    expect(stale.body.current).toMatchObject({ id: 'a', version: 3 });
    const absurd = await revise({
      creates: [
        { ...layer, id: 'd' },
        { ...layer, id: 'e', amount: 900 },
      ],
    });
    expect(absurd.status).toBe(422);
    expect(absurd.body.errors[0].sentence).toContain('Is the unit right');
    expect((await revise({ creates: [{ ...layer, id: 'd' }], order: ['nobody'] })).status).toBe(404);
    expect((await revise({ creates: [{ ...layer, id: 'd', amount: 'six' }] })).body.errors[0].field).toBe(
      'creates.0.amount',
    );
    expect(await kept()).toEqual(before);
  });
});

describe('the ground', () => {
  it('keeps soil tests and waterings, and refuses what they cannot be', async () => {
    const test = {
      type: 'soilTest',
      state: 'laid',
      date: '2026-04-20',
      note: '',
      amount: 60,
      unit: 'kgPerHa',
      sampledDepthCm: 30,
    };
    expect((await ask('POST', '/api/beds/bed/entries', { ...test, id: 'test', ph: 6.4 })).status).toBe(201);
    expect((await ask('POST', '/api/beds/bed/entries', { ...test, ph: 14 })).body.errors[0].field).toBe('ph');
    const water = { type: 'water', state: 'laid', date: '2026-05-02', note: '', waterMm: 20 };
    expect((await ask('POST', '/api/beds/bed/entries', water)).status).toBe(201);
    expect((await ask('POST', '/api/beds/bed/entries', { ...water, waterMm: 0 })).status).toBe(422);
  });

  it('refuses a layer from before the bed was made', async () => {
    await ask('POST', '/api/gardens/garden/beds', {
      ...draftOf(bedOf()),
      id: 'young',
      startedOn: '2026-05-05',
    });
    const { status, body } = await ask('POST', '/api/beds/young/entries', layer);
    expect(status).toBe(422);
    expect(body.errors[0]).toMatchObject({ field: 'date' });
    expect(body.errors[0].sentence).toContain('before the bed was made on 2026-05-05');
  });
});

describe('plantings', () => {
  it('are refused where another crop fills the bed, with the ways out', async () => {
    expect((await ask('POST', '/api/beds/bed/plantings', plantingDraft({ id: 'leek' }))).status).toBe(201);
    const kale = plantingDraft({
      id: 'kale',
      cropId: 'kale',
      state: 'planned',
      plantedOn: '2026-07-01',
      clearedOn: '2026-12-01',
    });
    const clash = await ask('POST', '/api/beds/bed/plantings', kale);
    expect(clash.status).toBe(422);
    expect(clash.body.errors[0]).toMatchObject({ field: 'plantedOn' });
    expect(clash.body.errors[0].sentence).toContain('Leek (until 2026-10-01)');
    expect((await ask('POST', '/api/beds/bed/plantings', { ...kale, isUndersown: true })).status).toBe(201);
  });
  it('that stand side by side already can be ticked off, but not spread further', async () => {
    const kept = plantingDraft({
      id: 'kale',
      cropId: 'kale',
      state: 'planned',
      plantedOn: '2026-07-01',
      clearedOn: '2026-12-01',
    });
    const { id, ...kale } = { ...kept, plantedOn: '2026-05-14' };
    const change = (values: object) => ask('PUT', '/api/plantings/kale', { ...kale, ...values });
    expect((await change({ version: 1, isUndersown: true, state: 'laid', note: 'ticked off' })).status).toBe(
      200,
    );
    expect((await change({ version: 2, isUndersown: false })).status).toBe(422);
  });
  it('cannot be cleared before they are sown', async () => {
    const { body } = await ask(
      'POST',
      '/api/beds/bed/plantings',
      plantingDraft({ id: 'back', state: 'planned', plantedOn: '2027-03-01', clearedOn: '2026-03-01' }),
    );
    expect(body.errors[0]).toMatchObject({ field: 'clearedOn' });
    expect(body.errors[0].sentence).toContain('is the year right?');
  });
});

describe("a garden's own build-ups", () => {
  const buildUp = {
    id: 'own',
    name: 'Kelp under chips',
    layers: [{ materialId: 'chips_mixed', thicknessCm: 6, dugDepthCm: 0, seasonedMonths: 4 }],
    waitDays: 30,
    note: '',
  };
  it('are kept, listed, deleted and restored', async () => {
    expect((await ask('POST', '/api/gardens/garden/build-ups', buildUp)).status).toBe(201);
    expect((await ask('POST', '/api/gardens/garden/build-ups', buildUp)).status).toBe(200);
    expect((await books()).buildUps).toMatchObject([{ id: 'own', name: 'Kelp under chips' }]);
    expect((await ask('DELETE', '/api/build-ups/own?version=1')).status).toBe(204);
    expect((await books()).buildUps).toEqual([]);
    expect((await ask('POST', '/api/build-ups/own/restore')).status).toBe(200);
  });
  it('name materials that exist', async () => {
    const odd = { ...buildUp, id: 'odd', layers: [{ ...buildUp.layers[0], materialId: 'moondust' }] };
    expect((await ask('POST', '/api/gardens/garden/build-ups', odd)).body.errors[0].field).toBe(
      'layers.0.materialId',
    );
  });
});
