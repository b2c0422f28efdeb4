import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { HabitRecord } from '../../src/records/habit.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { COMPOST_ACT } from '../fixtures/years.ts';
import { bedOf, GARDEN, plantingOf } from '../fixtures/books.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

const folder = newFolder();
let server: Answering;
const ask = <Body = Problem>(method: string, path: string, json?: unknown) =>
  askAt<Body>(server, method, path, json);
const books = async () => (await ask<GardenBooks>('GET', '/api/gardens/garden/books')).body;
const draftOf = ({ version, createdAt, updatedAt, gardenId, ...draft }: ReturnType<typeof bedOf>) => draft;

beforeAll(async () => {
  server = openBooks(join(folder, 'habits.sqlite'));
  await ask('POST', '/api/gardens', GARDEN);
  await ask('POST', '/api/gardens/garden/beds', draftOf(bedOf()));
  await ask('POST', '/api/gardens/garden/beds', draftOf(bedOf({ id: 'other', name: 'Other bed' })));
  await ask('POST', '/api/gardens', { ...GARDEN, id: 'elsewhere' });
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

const habit = { id: 'round', name: 'Our round', keepsCrops: true, acts: [COMPOST_ACT], note: '' };
const keep = (change: object = {}) =>
  ask<HabitRecord & Problem>('POST', '/api/gardens/garden/habits', { ...habit, ...change });

describe('a habit in the book', () => {
  it('is kept once, changed by who has seen it, deleted and restored', async () => {
    expect((await keep()).status).toBe(201);
    expect((await keep()).status).toBe(200);
    expect((await keep({ name: 'Another' })).status).toBe(409);
    expect((await books()).habits).toMatchObject([{ id: 'round', acts: [COMPOST_ACT], version: 1 }]);

    const { id, ...fields } = habit;
    const changed = { ...fields, name: 'Our new round', version: 1 };
    expect((await ask('PUT', '/api/habits/round', changed)).status).toBe(200);
    const stale = await ask<Problem & { current: HabitRecord }>('PUT', '/api/habits/round', changed);
    expect(stale.status).toBe(409);
    expect(stale.body.current.name).toBe('Our new round');

    expect((await ask('DELETE', '/api/habits/round?version=2')).status).toBe(204);
    expect((await books()).habits).toEqual([]);
    expect((await ask('POST', '/api/habits/round/restore')).status).toBe(200);
    expect((await books()).habits).toHaveLength(1);
  });

  it.each([
    [
      'that starts after it ends',
      { fromYear: 5, untilYear: 3 },
      'acts.0.untilYear',
      /must not come before it starts/,
    ],
    ['of 400 years', { untilYear: 400 }, 'acts.0.untilYear', /30/],
    ['with a material nobody knows', { materialId: 'moondust' }, 'acts.0.materialId', /names no material/],
    ['with a negative amount', { amount: -1 }, 'acts.0.amount', /0/],
    ['in a thirteenth month', { month: 13 }, 'acts.0.month', /12/],
  ])('one %s is refused at its field, and nothing is kept', async (_, change, field, sentence) => {
    const { status, body } = await keep({ id: 'wrong', acts: [{ ...COMPOST_ACT, ...change }] });
    expect(status).toBe(422);
    expect(body.errors).toMatchObject([{ field, sentence: expect.stringMatching(sentence) as string }]);
    expect((await books()).habits.some(({ id }) => id === 'wrong')).toBe(false);
  });

  it('with too much in it is refused', async () => {
    expect((await keep({ id: 'long', acts: Array(21).fill(COMPOST_ACT) })).status).toBe(422);
  });
  it('of a garden that is not there is not found', async () => {
    expect((await ask('POST', '/api/gardens/nowhere/habits', habit)).status).toBe(404);
    expect((await ask('PUT', '/api/habits/nothing', { ...habit, version: 1 })).status).not.toBe(200);
  });
});

describe('prices of a garden', () => {
  const { id, ...fields } = GARDEN;
  const priced = (prices: object | null, version: number) =>
    ask('PUT', '/api/gardens/garden', { ...fields, prices, version });
  it('are kept, changed and taken away; a negative one is refused by name', async () => {
    const own = {
      nitrogenPerKg: 12.5,
      phosphorusPerKg: null,
      potassiumPerKg: null,
      hour: 0,
      boughtInPerM3: 40,
    };
    expect((await books()).garden.prices).toBeNull();
    expect((await priced(own, 1)).status).toBe(200);
    expect((await books()).garden.prices).toEqual(own);
    const refused = await priced({ ...own, hour: -4 }, 2);
    expect(refused.status).toBe(422);
    expect(refused.body.errors).toMatchObject([
      { field: 'prices.hour', sentence: expect.stringContaining('must be at least 0') as string },
    ]);
    expect((await priced(null, 2)).status).toBe(200);
    expect((await books()).garden.prices).toBeNull();
  });
});

describe('plans for several beds', () => {
  const nothing = { creates: [], changes: [], removals: [], restores: [], order: [] };
  const entry = (id: string, change: object = {}) => ({
    id,
    type: 'lay',
    state: 'planned',
    date: '2027-03-15',
    note: '',
    materialId: 'compost_yard',
    amount: 2,
    unit: 'cm',
    dugDepthCm: 0,
    seasonedMonths: 0,
    ...change,
  });
  const onBed = (bedId: string, creates: object[], more: object = {}, plantings: object = {}) => ({
    bedId,
    entries: { ...nothing, creates, ...more },
    plantings: { creates: [], removals: [], restores: [], ...plantings },
  });
  const plan = (...beds: object[]) => ask('POST', '/api/gardens/garden/plans', { beds });
  const kept = async () => (await books()).entries.map(({ id }) => id).toSorted();

  beforeEach(async () => {
    const { entries } = await books();
    const own = (bedId: string) =>
      entries.filter((one) => one.bedId === bedId).map(({ id, version }) => ({ id, version }));
    await plan(onBed('bed', [], { removals: own('bed') }), onBed('other', [], { removals: own('other') }));
  });

  it('are written and taken back together', async () => {
    const written = await plan(onBed('bed', [entry('one')]), onBed('other', [entry('two')]));
    expect(written.status).toBe(200);
    expect(await kept()).toEqual(['one', 'two']);
    const seen = (id: string) => ({ id, version: 1 });
    expect(
      (
        await plan(
          onBed('bed', [], { removals: [seen('one')] }),
          onBed('other', [], { removals: [seen('two')] }),
        )
      ).status,
    ).toBe(200);
    expect(await kept()).toEqual([]);
  });
  it('sent twice are written once', async () => {
    const beds = [onBed('bed', [entry('twice')])];
    expect((await plan(...beds)).status).toBe(200);
    expect((await plan(...beds)).status).toBe(200);
    expect(await kept()).toEqual(['twice']);
  });
  it('with something impossible on the second bed leave the first as it was', async () => {
    const before = await kept();
    const bad = await plan(
      onBed('bed', [entry('good')]),
      onBed('other', [entry('bad', { materialId: 'moondust' })]),
    );
    expect(bad.status).toBe(422);
    expect(await kept()).toEqual(before);
  });
  it('a cover crop where something stands is refused, and nothing is planted', async () => {
    const { version, createdAt, updatedAt, bedId, ...standing } = plantingOf({
      id: 'standing',
      state: 'planned',
      plantedOn: '2027-03-01',
      clearedOn: '2027-09-01',
    });
    expect((await plan(onBed('bed', [], {}, { creates: [standing] }))).status).toBe(200);
    const cover = {
      ...standing,
      id: 'cover',
      cropId: 'phacelia',
      plantedOn: '2027-04-15',
      clearedOn: '2027-07-01',
    };
    const refused = await plan(
      onBed('bed', [entry('with it')], {}, { creates: [cover] }),
      onBed('other', [entry('x')]),
    );
    expect(refused.status).toBe(422);
    expect(await kept()).toEqual([]);
    expect((await books()).plantings.map(({ id }) => id)).toEqual(['standing']);
  });
  it('cannot reach into another garden, or into another bed’s entries', async () => {
    expect(
      (await ask('POST', '/api/gardens/elsewhere/plans', { beds: [onBed('bed', [entry('stray')])] })).status,
    ).toBe(404);
    await plan(onBed('other', [entry('theirs')]));
    expect((await plan(onBed('bed', [], { removals: [{ id: 'theirs', version: 1 }] }))).status).toBe(404);
    expect(await kept()).toEqual(['theirs']);
  });
  it('of nothing at all are refused', async () => {
    expect((await plan()).status).toBe(422);
  });
});
