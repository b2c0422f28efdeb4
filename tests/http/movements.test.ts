import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { GARDEN } from '../fixtures/books.ts';
import { afterPowerCut, openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

interface Kept {
  readonly id: string;
  readonly version: number;
  readonly type: string;
}
interface Body {
  readonly movements: readonly Kept[];
  readonly changed: readonly Kept[];
  readonly lots: readonly Kept[];
  readonly errors: readonly { readonly field: string; readonly sentence: string }[];
}

const folder = newFolder();
const file = join(folder, 'books.sqlite');
let server: Answering;
const ask = (method: string, path: string, json?: unknown) => askAt<Body>(server, method, path, json);

const lot = (id: string) => ({
  id,
  name: id,
  form: 'heap',
  keeping: 'covered',
  isTurned: false,
  isHot: false,
  reserveL: 0,
  note: '',
});
const common = (id: string, date: string, lotId = 'chips') => ({
  id,
  state: 'laid',
  date,
  note: `note of ${id}`,
  lotId,
});
const amount = { amount: 2, unit: 'bucket10L' };
const NOT_READ = {
  temperatureC: null,
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  carbonFractionDryBasis: null,
  nitrogenFractionDryBasis: null,
};
const LOG = {
  method: 'conePit',
  isOneThickness: true,
  dryness: 'dry',
  quench: 'water',
  quenchWaterL: 80,
  coldCheckedOn: '2026-03-12',
  isMagnetPassed: true,
  steps: [{ step: 'quench', at: '2026-03-11T16:00:00Z' }],
};

/** One of every type, in an order that makes sense. */
const MOVEMENTS = [
  {
    ...common('receive', '2026-03-01'),
    type: 'receive',
    amount: 900,
    unit: 'litre',
    materialId: 'log_wood',
    moistureFractionWetBasis: 0.2,
    bulkDensityKgPerM3: 400,
    seasonedMonths: 3,
  },
  {
    ...common('greens', '2026-03-01', 'greens'),
    type: 'receive',
    amount: 300,
    unit: 'litre',
    materialId: 'grass_clippings',
    moistureFractionWetBasis: null,
    bulkDensityKgPerM3: null,
    seasonedMonths: 0,
  },
  {
    ...common('make', '2026-03-02', 'heap'),
    type: 'make',
    ingredients: [
      { lotId: 'greens', materialId: null, ...amount },
      { lotId: null, materialId: 'straw_cereal', ...amount },
    ],
    waterL: 5,
    isLayered: true,
    chargeRecipe: null,
    readyOn: null,
  },
  { ...common('move', '2026-03-03', 'greens'), type: 'move', ...amount, toLotId: 'heap' },
  { ...common('takeOut', '2026-03-03', 'greens'), type: 'takeOut', ...amount, reason: 'given' },
  { ...common('keep', '2026-03-04', 'heap'), type: 'keep', keeping: 'watered', isTurned: true, isHot: true },
  { ...common('turn', '2026-03-05', 'heap'), type: 'turn' },
  { ...common('water', '2026-03-05', 'heap'), type: 'water', waterL: 3 },
  {
    ...common('reading', '2026-03-06', 'heap'),
    type: 'reading',
    ...NOT_READ,
    temperatureC: 57,
    moistureFractionWetBasis: 0.5,
  },
  { ...common('sign', '2026-03-07', 'heap'), type: 'sign', signs: ['earthySmell', 'whiteThreads'] },
  { ...common('stocktake', '2026-03-08', 'greens'), type: 'stocktake', amount: 100, unit: 'litre' },
  {
    ...common('burn', '2026-03-11', 'char'),
    type: 'burn',
    feedstock: [{ lotId: 'chips', materialId: null, amount: 100, unit: 'kg' }],
    charTemperature: 'high',
    yield: { amount: 80, unit: 'litre', moistureFractionWetBasis: 0.3 },
    unburntShare: 0.1,
    log: LOG,
  },
  { ...common('crush', '2026-03-12', 'char'), type: 'crush', fineness: 'dust' },
];

beforeAll(async () => {
  server = openBooks(file);
  await ask('POST', '/api/gardens', GARDEN);
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

describe('every type of stock posting', () => {
  it('is kept as it was sent, in order, and still there after a power cut', async () => {
    const lots = ['chips', 'greens', 'heap', 'char'].map(lot);
    const sent = await ask('POST', '/api/gardens/garden/stock', { lots, movements: MOVEMENTS });
    expect(sent.body.errors).toBeUndefined();
    expect(sent.status).toBe(201);
    server = await afterPowerCut(server);
    const { movements } = (await ask('GET', '/api/gardens/garden/books')).body;
    expect(movements.map(({ id }) => id)).toEqual(MOVEMENTS.map(({ id }) => id));
    MOVEMENTS.forEach((movement, i) => expect(movements[i]).toMatchObject(movement));
  });

  it.each(MOVEMENTS.map((movement) => [movement.id, movement] as const))(
    'a %s is changed, and refused with a field that it has not',
    async (id, movement) => {
      const { id: _, ...values } = movement;
      const { movements } = (await ask('GET', '/api/gardens/garden/books')).body;
      const { version } = movements.find((one) => one.id === id)!;
      const odd = await ask('PUT', `/api/movements/${id}`, { ...values, version, colour: 'green' });
      expect([odd.status, odd.body.errors[0].sentence]).toEqual([422, expect.stringContaining('colour')]);
      const changed = await ask('PUT', `/api/movements/${id}`, { ...values, version, note: 'seen again' });
      expect(changed.body).toMatchObject({ ...values, note: 'seen again', version: version + 1 });
    },
  );

  it('a burn may give nothing yet, and never more than went in', async () => {
    const burn = MOVEMENTS.find(({ id }) => id === 'burn')! as Record<string, unknown>;
    const post = (change: object) =>
      ask('POST', '/api/gardens/garden/stock', { lots: [], movements: [{ ...burn, ...change }] });
    expect((await post({ id: 'later', yield: null })).status).toBe(201);
    const much = await post({ id: 'much', yield: { amount: 95, unit: 'kg', moistureFractionWetBasis: 0 } });
    expect(much.body.errors[0]).toMatchObject({ field: 'yield.amount' });
    expect(much.body.errors[0].sentence).toMatch(/more than went in.*unit wrong/);
  });

  it('a burn gets a pile for what did not char in the request that changes it, or nothing is written', async () => {
    const burn = MOVEMENTS.find(({ id }) => id === 'burn')! as Record<string, unknown>;
    const books = async () => (await ask('GET', '/api/gardens/garden/books')).body;
    const { version } = (await books()).movements.find(({ id }) => id === 'burn')!;
    const send = (change: object) =>
      ask('POST', '/api/gardens/garden/stock', {
        lots: [lot('ends')],
        movements: [],
        changes: [{ ...burn, version, ...change }],
      });
    const refused = await send({ unburntToLotId: 'char' });
    expect(refused.body.errors[0]).toMatchObject({ field: 'unburntToLotId' });
    expect((await send({ version: version + 9, unburntToLotId: 'ends' })).status).toBe(409);
    expect((await send({ id: 'nothing', unburntToLotId: 'ends' })).status).toBe(404);
    expect((await books()).lots.map(({ id }) => id)).not.toContain('ends');
    const sent = await send({ unburntToLotId: 'ends' });
    expect(sent.status).toBe(201);
    expect(sent.body.changed[0]).toMatchObject({ id: 'burn', unburntToLotId: 'ends' });
  });

  it('a burn gives no char before it was found cold, by whatever request it is written', async () => {
    const burn = MOVEMENTS.find(({ id }) => id === 'burn')! as Record<string, unknown>;
    const hot = { ...burn, id: 'hot', log: { ...LOG, coldCheckedOn: null } };
    const none = { creates: [], changes: [], removals: [] };
    const answers = [
      await ask('POST', '/api/gardens/garden/stock', { lots: [], movements: [hot] }),
      await ask('POST', '/api/gardens/garden/acts', {
        journal: none,
        entries: none,
        plantings: { changes: [] },
        movements: { ...none, creates: [hot] },
      }),
    ];
    for (const { status, body } of answers) {
      expect([status, body.errors[0]?.field]).toEqual([422, 'log.coldCheckedOn']);
    }
  });
});
