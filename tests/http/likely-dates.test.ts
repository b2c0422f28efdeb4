import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ImportReport } from '../../src/contract/imports.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { bedOf, GARDEN } from '../fixtures/books.ts';
import { openBooks } from './open-books.ts';
import { type Answering, askAt, newFolder, removeFolder } from './server.ts';

const folder = newFolder();
let server: Answering;
const post = (path: string, body: object) => askAt<Problem>(server, 'POST', path, body);

beforeAll(async () => {
  server = openBooks(join(folder, 'dates.sqlite'), ['--today', '2026-05-14']);
  await post('/api/gardens', GARDEN);
  const { version, createdAt, updatedAt, gardenId, ...bed } = bedOf();
  await post('/api/gardens/garden/beds', bed);
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

const water = { type: 'water', note: '', waterMm: 5 };
const crop = {
  cropId: 'leek',
  clearedOn: null,
  nitrogenDemandGPerM2: 10,
  rootDepthCm: 40,
  startsAs: 'transplant',
  areaShare: 1,
  isUndersown: false,
  note: '',
};
const pile = {
  id: 'pile',
  name: 'Pile',
  form: 'pile',
  keeping: 'open',
  isTurned: false,
  isHot: false,
  note: '',
};
const arrival = (change: object) => ({
  lots: [pile],
  movements: [
    {
      id: 'arrival',
      type: 'receive',
      note: '',
      lotId: 'pile',
      materialId: 'chips_mixed',
      amount: 2,
      unit: 'barrow85L',
      moistureFractionWetBasis: null,
      bulkDensityKgPerM3: null,
      seasonedMonths: 0,
      ...change,
    },
  ],
});

describe('a day', () => {
  it.each([
    ['a watering', '/api/beds/bed/entries', { ...water, state: 'laid', date: '2026-05-15' }, 'date'],
    [
      'a planting',
      '/api/beds/bed/plantings',
      { ...crop, state: 'laid', plantedOn: '2031-04-01' },
      'plantedOn',
    ],
    ['an arrival', '/api/gardens/garden/stock', arrival({ state: 'laid', date: '2027-03-01' }), 'date'],
  ])('that has not come is no day on which %s was done', async (_, path, body, field) => {
    const { status, body: problem } = await post(path, body);
    expect(status).toBe(422);
    expect(problem.errors?.[0]).toMatchObject({ field });
    expect(problem.errors?.[0].sentence).toMatch(/lies in the future.*belongs into the plan/);
  });

  it('that has not come is refused in the row of a table that says so, and the others are read', async () => {
    const rows = ['2026-05-02', '2031-05-02'].map((date) => ({
      ...water,
      bedId: 'bed',
      state: 'laid',
      date,
    }));
    const { body } = await askAt<ImportReport>(server, 'POST', '/api/gardens/garden/imports?dryRun=true', {
      collection: 'entries',
      summary: 'a table',
      rows,
    });
    expect(body.rows.map(({ outcome }) => outcome)).toEqual(['added', 'rejected']);
    expect(body.rows[1].reasons[0].sentence).toMatch(/lies in the future/);
  });

  it.each([
    ['a watering', '/api/beds/bed/entries', { ...water, state: 'planned', date: '2100-05-15' }, 'date'],
    [
      'a planting',
      '/api/beds/bed/plantings',
      { ...crop, state: 'planned', plantedOn: '2062-04-01' },
      'plantedOn',
    ],
    ['an arrival', '/api/gardens/garden/stock', arrival({ state: 'planned', date: '2036-05-15' }), 'date'],
  ])('more than ten years ahead is a slip: %s', async (_, path, body, field) => {
    const { status, body: problem } = await post(path, body);
    expect(status).toBe(422);
    expect(problem.errors?.[0]).toMatchObject({ field });
    expect(problem.errors?.[0].sentence).toMatch(/more than 10 years ahead.*Is the year right\?/);
  });

  it('today, and a plan within ten years, are kept', async () => {
    const today = await post('/api/beds/bed/entries', { ...water, state: 'laid', date: '2026-05-14' });
    const plan = await post('/api/gardens/garden/stock', arrival({ state: 'planned', date: '2036-05-14' }));
    expect([today.status, plan.status]).toEqual([201, 201]);
  });
});
