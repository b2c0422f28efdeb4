import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bedOf, GARDEN } from '../fixtures/books.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

interface Kept {
  readonly id: string;
  readonly version: number;
  readonly type: string;
  readonly lotId: string;
  readonly materialId: string;
  readonly massFreshKg: number;
}
interface Body extends Kept {
  readonly detail: string;
  readonly errors: readonly { readonly field: string; readonly sentence: string }[];
  readonly lots: readonly Kept[];
  readonly movements: readonly Kept[];
  readonly labResults: readonly Kept[];
  readonly recipes: readonly Kept[];
  readonly materials: readonly Kept[];
  readonly entries: readonly Kept[];
}

const folder = newFolder();
let server: Answering;
const ask = (method: string, path: string, json?: unknown) => askAt<Body>(server, method, path, json);
const books = async () => (await ask('GET', '/api/gardens/garden/books')).body;
const post = (posting: { materials?: object[]; lots?: object[]; movements?: object[] }) =>
  ask('POST', '/api/gardens/garden/stock', { lots: [], movements: [], ...posting });

const lot = (id: string, change: object = {}) => ({
  id,
  name: `The ${id}`,
  form: 'pile',
  keeping: 'covered',
  isTurned: false,
  isHot: false,
  reserveL: 0,
  note: '',
  ...change,
});
const receive = (id: string, lotId: string, amount: number, change: object = {}) => ({
  id,
  type: 'receive',
  state: 'laid',
  date: '2026-03-01',
  note: 'a load from the lane',
  lotId,
  materialId: 'chips_mixed',
  amount,
  unit: 'barrow85L',
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  seasonedMonths: 0,
  ...change,
});
const layFrom = (lotId: string, amount: number, change: object = {}) => ({
  type: 'lay',
  state: 'laid',
  date: '2026-05-01',
  note: '',
  materialId: 'chips_mixed',
  lotId,
  amount,
  unit: 'barrow85L',
  dugDepthCm: 0,
  seasonedMonths: 0,
  ...change,
});
const draftOf = ({ version, createdAt, updatedAt, gardenId, ...draft }: ReturnType<typeof bedOf>) => draft;

beforeAll(async () => {
  server = openBooks(join(folder, 'books.sqlite'));
  await ask('POST', '/api/gardens', GARDEN);
  await ask('POST', '/api/gardens/garden/beds', draftOf(bedOf()));
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

describe('stock', () => {
  it('is received: a lot and what is in it, in one request, which may be sent twice', async () => {
    const posting = { lots: [lot('heap')], movements: [receive('m1', 'heap', 10)] };
    expect((await post(posting)).status).toBe(201);
    expect((await post(posting)).status).toBe(201);
    const kept = await books();
    expect(kept.lots.map(({ id }) => id)).toEqual(['heap']);
    expect(kept.movements).toMatchObject([{ id: 'm1', type: 'receive', materialId: 'chips_mixed' }]);
  });

  it('goes to a bed, which keeps what it weighs on that day', async () => {
    const { status, body } = await ask('POST', '/api/beds/bed/entries', { ...layFrom('heap', 4), id: 'e1' });
    expect(status).toBe(201);
    expect(body.massFreshKg).toBeCloseTo(4 * 85 * 0.28, 9);
    expect((await books()).entries[0]).toMatchObject({ id: 'e1', lotId: 'heap' });
  });

  it('cannot give more than is there, in one entry or in a revision', async () => {
    const refused = await ask('POST', '/api/beds/bed/entries', { ...layFrom('heap', 8), id: 'e2' });
    expect(refused.status).toBe(422);
    expect(refused.body.errors[0]).toMatchObject({ field: 'amount' });
    expect(refused.body.errors[0].sentence).toMatch(/more than is in stock: on that day only/);
    const nothing = { changes: [], removals: [], restores: [], order: [] };
    const creates = [
      { ...layFrom('heap', 3), id: 'e3' },
      { ...layFrom('heap', 4), id: 'e4' },
    ];
    expect((await ask('POST', '/api/beds/bed/revisions', { ...nothing, creates })).status).toBe(422);
    expect((await books()).entries.map(({ id }) => id)).toEqual(['e1']);
  });

  it('may be promised beyond what is there, which is a plan and not a fact', async () => {
    const planned = { ...layFrom('heap', 9, { state: 'planned', date: '2026-06-01' }), id: 'plan' };
    expect((await ask('POST', '/api/beds/bed/entries', planned)).status).toBe(201);
  });

  it('refuses what cannot be by its field, and keeps nothing of it', async () => {
    const bad = async (movement: object) => {
      const { status, body } = await post({ lots: [lot('other')], movements: [movement] });
      expect(status).toBe(422);
      return body.errors[0];
    };
    expect(await bad(receive('m2', 'other', 1, { moistureFractionWetBasis: 1.1 }))).toMatchObject({
      field: 'movements.0.moistureFractionWetBasis',
    });
    // A depth covers a bed, not a heap.
    expect(await bad(receive('m2', 'other', 1, { unit: 'cm' }))).toMatchObject({ field: 'movements.0.unit' });
    expect(await bad(receive('m2', 'other', 1, { materialId: 'moon' }))).toMatchObject({
      field: 'materialId',
    });
    expect(
      await bad({
        id: 'm2',
        type: 'move',
        state: 'laid',
        date: '2026-03-05',
        note: '',
        lotId: 'heap',
        toLotId: 'other',
        amount: 50,
        unit: 'barrow85L',
      }),
    ).toMatchObject({ field: 'amount' });
    expect(
      await bad({
        id: 'm2',
        type: 'make',
        state: 'laid',
        date: '2026-03-05',
        note: '',
        lotId: 'other',
        ingredients: [],
        waterL: 0,
        isLayered: false,
      }),
    ).toMatchObject({ field: 'movements.0.ingredients' });
    // A material described for a load that is refused is not left behind.
    const described = {
      id: 'seen',
      name: 'Chips',
      note: '',
      basis: {
        type: 'chips',
        branchDiameterCm: 6,
        leafShare: 0,
        coniferShare: 0,
        barkShare: null,
        season: null,
      },
    };
    const load = receive('m2', 'other', -1, { materialId: 'seen' });
    const refused = await post({ materials: [described], lots: [lot('other')], movements: [load] });
    expect(refused.body.errors[0]).toMatchObject({ field: 'movements.0.amount' });
    const kept = await books();
    expect(kept.lots.map(({ id }) => id)).toEqual(['heap']);
    expect(kept.materials).toEqual([]);
    expect(
      (
        await post({
          materials: [described],
          lots: [lot('spruce')],
          movements: [{ ...load, id: 'm3', lotId: 'spruce', amount: 1 }],
        })
      ).status,
    ).toBe(201);
    expect((await books()).materials.map(({ id }) => id)).toEqual(['seen']);
    expect((await ask('DELETE', '/api/lots/spruce?version=1')).status).toBe(204);
  });

  it('is changed and deleted only where everything later still makes sense', async () => {
    const { version, ...movement } = (await books()).movements[0] as Kept & Record<string, unknown>;
    const { createdAt, updatedAt, gardenId, id, ...fields } = movement;
    const less = await ask('PUT', '/api/movements/m1', { ...fields, version, amount: 2 });
    expect(less.status).toBe(422);
    expect(less.body.detail).toMatch(
      /^The heap, laid on First bed on 2026-05-01, would no longer make sense: its amount .*Change that one first\.$/,
    );
    const more = await ask('PUT', '/api/movements/m1', { ...fields, version, amount: 12 });
    expect(more.body).toMatchObject({ version: 2 });
    expect((await ask('PUT', '/api/movements/m1', { ...fields, version, amount: 11 })).status).toBe(409);
    expect((await ask('DELETE', '/api/movements/m1?version=2')).status).toBe(422);
    expect((await ask('DELETE', '/api/lots/heap?version=1')).status).toBe(422);
  });

  it('has its own lots renamed, emptied, removed and brought back', async () => {
    await post({ lots: [lot('spare')], movements: [receive('m9', 'spare', 1)] });
    const { id, ...fields } = lot('spare', { name: 'Spare chips', keeping: 'open' });
    expect((await ask('PUT', '/api/lots/spare', { ...fields, version: 1 })).body).toMatchObject({
      name: 'Spare chips',
      version: 2,
    });
    expect((await ask('DELETE', '/api/lots/spare?version=2')).status).toBe(204);
    expect((await books()).movements.map((one) => one.id)).toEqual(['m1']);
    expect((await ask('POST', '/api/lots/spare/restore')).status).toBe(200);
    expect((await books()).movements.map((one) => one.id)).toEqual(['m1', 'm9']);
    expect((await ask('DELETE', '/api/movements/m9?version=1')).status).toBe(204);
    expect((await ask('POST', '/api/movements/m9/restore')).status).toBe(200);
  });
});

describe('laboratory reports and recipes', () => {
  const report = {
    materialId: 'chips_mixed',
    date: '2026-04-01',
    laboratory: 'the village laboratory',
    moistureFractionWetBasis: null,
    carbonFractionDryBasis: 0.48,
    nitrogenFractionDryBasis: 0.012,
    ammoniumShareOfNitrogen: null,
    bulkDensityKgPerM3: null,
    note: '',
  };
  it('are kept with their dates, and refused for a material nobody knows', async () => {
    expect((await ask('POST', '/api/gardens/garden/lab-results', { ...report, id: 'r1' })).status).toBe(201);
    const { status, body } = await ask('POST', '/api/gardens/garden/lab-results', {
      ...report,
      materialId: 'moon',
    });
    expect(status).toBe(422);
    expect(body.errors[0]).toMatchObject({ field: 'materialId' });
    const again = await ask('PUT', '/api/lab-results/r1', {
      ...report,
      version: 1,
      nitrogenFractionDryBasis: 0.011,
    });
    expect(again.body).toMatchObject({ version: 2 });
    expect((await ask('DELETE', '/api/lab-results/r1?version=2')).status).toBe(204);
    expect((await ask('POST', '/api/lab-results/r1/restore')).status).toBe(200);
    expect((await books()).labResults.map(({ id }) => id)).toEqual(['r1']);
  });
  it('are saved, removed and brought back', async () => {
    const recipe = {
      id: 'mix',
      name: 'Three to one',
      purpose: 'fungalMulch',
      ingredients: [{ lotId: null, materialId: 'chips_mixed', amount: 3, unit: 'bucket10L' }],
      waterL: 0,
      isLayered: true,
      note: '',
    };
    expect((await ask('POST', '/api/gardens/garden/recipes', recipe)).status).toBe(201);
    expect((await ask('DELETE', '/api/recipes/mix?version=1')).status).toBe(204);
    expect((await ask('POST', '/api/recipes/mix/restore')).status).toBe(200);
    expect((await books()).recipes.map(({ id }) => id)).toEqual(['mix']);
  });
});
