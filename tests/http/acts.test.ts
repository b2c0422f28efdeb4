import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { bedOf, GARDEN, plantingOf } from '../fixtures/books.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

interface Kept {
  readonly journal: readonly { readonly id: string; readonly version: number }[];
  readonly entries: readonly {
    readonly id: string;
    readonly version: number;
    readonly massFreshKg: number;
  }[];
  readonly plantings: readonly {
    readonly id: string;
    readonly version: number;
    readonly clearedOn: string;
  }[];
  readonly movements: readonly { readonly id: string; readonly version: number }[];
}

const folder = newFolder();
let server: Answering;
const ask = <Body = Problem>(method: string, path: string, json?: unknown) =>
  askAt<Body>(server, method, path, json);
type Parts = Readonly<Partial<Record<'journal' | 'entries' | 'plantings' | 'lots' | 'movements', object>>>;
const NOTHING = { creates: [], changes: [], removals: [] };
const actOf = ({ journal, entries, plantings, lots, movements }: Parts) => ({
  journal: { ...NOTHING, ...journal },
  entries: { ...NOTHING, ...entries },
  plantings: { changes: [], ...plantings },
  ...(lots ? { lots: { creates: [], removals: [], ...lots } } : {}),
  movements: { ...NOTHING, ...movements },
});
const act = <Body = Problem>(parts: Parts, garden = 'garden') =>
  ask<Body>('POST', `/api/gardens/${garden}/acts`, actOf(parts));
const books = async () => (await ask<GardenBooks>('GET', '/api/gardens/garden/books')).body;
const TODAY = '2026-05-14';

beforeAll(async () => {
  server = openBooks(join(folder, 'acts.sqlite'));
  await ask('POST', '/api/gardens', GARDEN);
  await ask('POST', '/api/gardens', { ...GARDEN, id: 'elsewhere' });
  const { version, createdAt, updatedAt, gardenId, ...bed } = bedOf();
  await ask('POST', '/api/gardens/garden/beds', bed);
  const { version: _, createdAt: c, updatedAt: u, bedId, ...planting } = plantingOf();
  await ask('POST', '/api/beds/bed/plantings', planting);
  await ask('POST', '/api/gardens/garden/stock', {
    lots: [
      {
        id: 'bag',
        name: 'Feather meal',
        form: 'bag',
        keeping: 'shut',
        isTurned: false,
        isHot: false,
        note: '',
      },
    ],
    movements: [],
  });
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

const fed = (change: object = {}) => ({
  id: 'fed',
  type: 'lay',
  state: 'laid',
  date: TODAY,
  note: '',
  materialId: 'feather_meal',
  lotId: null,
  amount: 0.2,
  unit: 'kg',
  dugDepthCm: 3,
  seasonedMonths: 0,
  ...change,
});
const weighed = (massKg: number, id = 'weighed') => ({
  kind: 'observation',
  id,
  date: TODAY,
  note: 'sound',
  bedId: 'bed',
  plantingId: 'planting',
  photoId: null,
  observed: { type: 'yield', massKg },
});

describe('what one thing done writes', () => {
  it('a harvest clears the crop and is weighed in one request, and is taken back in one', async () => {
    const { version, clearedOn, ...planting } = (await books()).plantings[0];
    const { bedId, createdAt, updatedAt, ...fields } = planting;
    const { status, body } = await act<Kept>({
      journal: { creates: [weighed(4)] },
      plantings: { changes: [{ ...fields, version, clearedOn: TODAY }] },
    });
    expect(status).toBe(200);
    expect(body.plantings).toMatchObject([{ id: 'planting', clearedOn: TODAY, version: version + 1 }]);
    expect((await books()).journal).toMatchObject([{ id: 'weighed', observed: { massKg: 4 } }]);
    const undone = await act({
      journal: { removals: body.journal.map(({ id, version: now }) => ({ id, version: now })) },
      plantings: { changes: [{ ...fields, version: version + 1, clearedOn }] },
    });
    expect(undone.status).toBe(200);
    const after = await books();
    expect(after.journal).toEqual([]);
    expect(after.plantings[0].clearedOn).toBe(clearedOn);
  });
  it('a feed is laid by its weight', async () => {
    const { body } = await act<Kept>({ entries: { creates: [{ bedId: 'bed', draft: fed() }] } });
    expect(body.entries).toMatchObject([{ id: 'fed', massFreshKg: 0.2 }]);
    await act({ entries: { removals: body.entries.map(({ id, version }) => ({ id, version })) } });
    expect((await books()).entries).toEqual([]);
  });
  it.each([
    [
      'more is taken from a bag than lies in it',
      { entries: { creates: [{ bedId: 'bed', draft: fed({ lotId: 'bag' }) }] } },
      422,
    ],
    ['a harvest weighs less than nothing', { journal: { creates: [weighed(-1)] } }, 422],
    [
      'something is done in the future',
      { journal: { creates: [{ ...weighed(1), date: '2027-01-01' }] } },
      422,
    ],
    ['a record was changed meanwhile', { journal: { removals: [{ id: 'nobody', version: 1 }] } }, 404],
  ])('nothing is written when %s', async (_, change, status) => {
    const before = await books();
    const tried = await act(change);
    expect(tried.status).toBe(status);
    const { journal = {} } = change as { readonly journal?: { readonly creates?: object[] } };
    const alsoFine = await act({
      ...change,
      journal: { ...journal, creates: [weighed(2, 'fine'), ...(journal.creates ?? [])] },
    });
    expect(alsoFine.status).toBe(status);
    expect(await books()).toEqual(before);
  });
  it('beds and piles of another garden are not reached', async () => {
    expect((await act({ entries: { creates: [{ bedId: 'bed', draft: fed() }] } }, 'elsewhere')).status).toBe(
      404,
    );
    const turned = { id: 'turned', type: 'turn', state: 'laid', date: TODAY, note: '', lotId: 'bag' };
    expect((await act({ movements: { creates: [turned] } }, 'elsewhere')).status).toBe(404);
  });
});

describe('a new pile', () => {
  const heap = { id: 'heap', name: 'Heap', form: 'heap', keeping: 'open', isTurned: true, isHot: true };
  const lots = { creates: [{ ...heap, reserveL: 0, note: '' }] };
  const common = { state: 'planned', date: '2026-06-01', note: '' };
  const stuff = { amount: 300, unit: 'litre', materialId: 'leaves_mixed', seasonedMonths: 0 };
  const asItComes = { moistureFractionWetBasis: null, bulkDensityKgPerM3: null };
  const comes = { id: 'comes', type: 'receive', lotId: 'heap', ...common, ...stuff, ...asItComes };
  const lay = { type: 'lay', materialId: 'leaves_mixed', amount: 100, unit: 'litre', seasonedMonths: 0 };
  const later = { ...common, date: '2027-03-01', dugDepthCm: 0 };
  const creates = [{ bedId: 'bed', draft: { id: 'of-heap', ...later, ...lay, lotId: 'heap' } }];

  it('is made with what comes into it and what is laid from it, and taken back with them', async () => {
    const before = await books();
    const { status, body } = await act<Kept & { lots: { id: string; version: number }[] }>({
      lots,
      movements: { creates: [comes] },
      entries: { creates },
    });
    expect([status, body.lots.map(({ id }) => id), body.entries.length]).toEqual([200, ['heap'], 1]);
    expect(body.entries[0].massFreshKg).toBeGreaterThan(0);
    const seen = ({ id, version }: { id: string; version: number }) => ({ id, version });
    const back = await act({
      lots: { removals: body.lots.map(seen) },
      movements: { removals: body.movements.map(seen) },
      entries: { removals: body.entries.map(seen) },
    });
    expect(back.status).toBe(200);
    const after = await books();
    expect([after.lots, after.movements, after.entries]).toEqual([
      before.lots,
      before.movements,
      before.entries,
    ]);
  });

  it('of another garden is not taken away, and nothing comes into it', async () => {
    expect((await act({ lots: { removals: [{ id: 'bag', version: 1 }] } }, 'elsewhere')).status).toBe(404);
    expect(
      (await act({ movements: { creates: [{ ...comes, id: 'no', lotId: 'bag' }] } }, 'elsewhere')).status,
    ).toBe(404);
  });
});
