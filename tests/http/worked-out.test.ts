import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import type { WorkedOutGarden } from '../../src/contract/worked-out.ts';
import { bedBrief } from '../../src/core/bed/index.ts';
import { DEMO_GARDEN_IDS } from '../../src/server/demo/demo-garden.ts';
import { plannedBed } from '../../src/web/worker/bed-books.ts';
import { bedAgendaAnswer } from '../../src/web/worker/log-answers.ts';
import { questionAbout } from '../../src/web/worker/question-about.ts';
import { GARDEN } from '../fixtures/books.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

const CHECK_MS = 5000;
let folder: string;
let books: Answering;

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
  folder = newFolder();
});
afterEach(async () => {
  vi.useRealTimers();
  await books.stop();
  removeFolder(folder);
});

const answerOf = async <Body>(path: string): Promise<Body> => (await askAt<Body>(books, 'GET', path)).body;
const workedOut = (gardenId: string) =>
  answerOf<WorkedOutGarden | null>(`/api/gardens/${gardenId}/worked-out`);
const booksOf = (gardenId: string) => answerOf<GardenBooks>(`/api/gardens/${gardenId}/books`);
const whenWorkedOut = (gardenId: string): Promise<WorkedOutGarden> =>
  vi.waitFor(
    async () => {
      const garden = await workedOut(gardenId);
      if (!garden) throw new Error(`${gardenId} is not worked out`);
      return garden;
    },
    { timeout: 60_000, interval: 50 },
  );
/** Two checks of a garden into which nothing is written meanwhile. */
const whileNobodyWrites = async () => {
  await vi.advanceTimersByTimeAsync(CHECK_MS);
  await vi.advanceTimersByTimeAsync(CHECK_MS);
};

describe('the demo gardens, worked out ahead by the server', () => {
  beforeEach(() => {
    books = openBooks(join(folder, 'demo.sqlite'), ['--demo']);
  });

  it('come to what the pages work out, bed by bed to the last digit', async () => {
    await whileNobodyWrites();
    for (const gardenId of DEMO_GARDEN_IDS) {
      const { beds, today } = await whenWorkedOut(gardenId);
      const records = await booksOf(gardenId);
      expect(beds.map(({ bedId }) => bedId)).toEqual(records.beds.map(({ id }) => id));
      for (const { bedId, brief, tasks } of beds) {
        const question = questionAbout(records, bedId, today);
        expect(brief, bedId).toEqual(JSON.parse(JSON.stringify(bedBrief(plannedBed(question)))));
        expect(tasks, bedId).toEqual(JSON.parse(JSON.stringify(bedAgendaAnswer(question))));
      }
    }
  });

  it('are not known any more when something is written, until nobody has written for a while', async () => {
    const [gardenId] = DEMO_GARDEN_IDS;
    await vi.advanceTimersByTimeAsync(CHECK_MS);
    expect(await workedOut(gardenId)).toBeNull();
    await vi.advanceTimersByTimeAsync(CHECK_MS);
    const [before] = await Promise.all(DEMO_GARDEN_IDS.map(whenWorkedOut));
    const [{ id: bedId }] = (await booksOf(gardenId)).beds;
    const rain = { id: 'rain', date: '2026-05-13', note: '', type: 'water', state: 'laid', waterMm: 30 };
    const revision = { creates: [rain], changes: [], removals: [], restores: [], order: [] };
    expect((await askAt(books, 'POST', `/api/beds/${bedId}/revisions`, revision)).status).toBe(200);
    expect(await workedOut(gardenId)).toBeNull();
    await whileNobodyWrites();
    const after = await whenWorkedOut(gardenId);
    expect(after.mark.number).toBeGreaterThan(before.mark.number);
    expect(after.beds[0]?.brief).not.toEqual(before.beds[0]?.brief);
    expect(after.beds[1]).toEqual(before.beds[1]);
  });
});

it('of more gardens than can be kept those are worked out that were opened last', async () => {
  books = openBooks(join(folder, 'many.sqlite'));
  const ids = Array.from({ length: 10 }, (_, i) => `garden-${i}`);
  for (const id of ids) {
    expect((await askAt(books, 'POST', '/api/gardens', { ...GARDEN, id, name: id })).status).toBe(201);
  }
  for (const id of ids.slice(2)) await booksOf(id);
  await whileNobodyWrites();
  for (const id of ids.slice(2)) expect((await whenWorkedOut(id)).beds).toEqual([]);
  expect(await Promise.all(ids.slice(0, 2).map(workedOut))).toEqual([null, null]);
});
