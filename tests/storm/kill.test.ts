import Database from 'better-sqlite3';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterAll, expect, it } from 'vitest';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { dayNumberFromIso } from '../../src/core/ground/climate/calendar.ts';
import { seededStream } from '../../src/core/ground/numerics/seeded-stream.ts';
import { bedScenario } from '../../src/core/bed/books/bed-scenario.ts';
import { booksOfBed, materialFinder } from '../../src/core/bed/books/garden-books.ts';
import { startRun, runTo } from '../../src/core/model/simulation/run.ts';
import { bedOf, GARDEN } from '../fixtures/books.ts';
import { askAt, newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';
import { stormy } from './size.ts';

const ROUNDS = stormy(60);
const WRITERS = 6;
const LONGEST_MS = 300;
/** A round goes on until so many writes are acknowledged, but for each third, which is killed whenever it is. */
const LEAST_ACKNOWLEDGED = 2;
const KILLED_AT_ONCE = 3;
const PATIENCE_MS = 15 * 60_000;
const TODAY = dayNumberFromIso('2026-05-14', []);

const folder = newFolder();
afterAll(() => removeFolder(folder));
const draftOf = ({ version, createdAt, updatedAt, gardenId, ...draft }: ReturnType<typeof bedOf>) => draft;

const next = seededStream(20);
const pick = (from: number, until: number): number => from + Math.floor(next() * (until - from));
const dayIn2026 = (): string => `2026-0${pick(1, 5)}-${String(pick(1, 29)).padStart(2, '0')}`;

/** Something to write, and where it must be found afterwards. */
function anyWrite(id: string): { path: string; body: object; list: 'entries' | 'journal' } {
  const bed = `bed-${pick(0, 3)}`;
  if (next() < 0.4) {
    const observed = { type: 'worms', count: pick(0, 30) };
    const record = {
      id,
      kind: 'observation',
      date: dayIn2026(),
      note: '',
      bedId: bed,
      plantingId: null,
      photoId: null,
      observed,
    };
    return { path: '/api/gardens/garden/journal', body: { records: [record] }, list: 'journal' };
  }
  const common = { id, state: 'laid', date: dayIn2026(), note: '' };
  const body =
    next() < 0.5
      ? { ...common, type: 'water', waterMm: pick(1, 20) }
      : {
          ...common,
          type: 'lay',
          materialId: 'straw_cereal',
          amount: pick(1, 5),
          unit: 'kg',
          dugDepthCm: 0,
          seasonedMonths: 0,
        };
  return { path: `/api/beds/${bed}/entries`, body, list: 'entries' };
}

/** Writes until the server is gone; what it has said yes to goes into `acknowledged`. */
async function storm(server: RunningServer, round: number, acknowledged: Map<string, 'entries' | 'journal'>) {
  const write = async (writer: number) => {
    for (let i = 0; ; i++) {
      const id = `w-${round}-${writer}-${i}`;
      const { path, body, list } = anyWrite(id);
      try {
        const { status } = await askAt(server, 'POST', path, body);
        if (status !== 201) throw new Error(`${path} answered ${status}`);
        acknowledged.set(id, list);
      } catch (error) {
        if ((error as Error).message.includes('answered')) throw error;
        return;
      }
    }
  };
  const before = acknowledged.size;
  const state = { isOver: false };
  const end = () => (state.isOver = true);
  const writers = Array.from({ length: WRITERS }, (_, writer) => write(writer));
  void Promise.all(writers).then(end, end);
  await pause(pick(5, LONGEST_MS));
  // A busy machine may not have written anything yet; now and then it is killed all the same.
  const least = round % KILLED_AT_ONCE === 0 ? before : before + LEAST_ACKNOWLEDGED;
  while (!state.isOver && acknowledged.size < least) await pause(5);
  await server.kill();
  await Promise.all(writers);
}

it(
  `nothing that was acknowledged is lost when the server is killed ${ROUNDS} times in the middle of writing`,
  { timeout: PATIENCE_MS },
  async () => {
    const file = join(folder, 'storm.sqlite');
    const first = await startServer(file);
    await askAt(first, 'POST', '/api/gardens', GARDEN);
    for (let i = 0; i < 3; i++) {
      await askAt(
        first,
        'POST',
        '/api/gardens/garden/beds',
        draftOf(bedOf({ id: `bed-${i}`, name: `Bed ${i}` })),
      );
    }
    await first.stop();

    const acknowledged = new Map<string, 'entries' | 'journal'>();
    for (let round = 0; round < ROUNDS; round++) await storm(await startServer(file), round, acknowledged);
    expect(acknowledged.size).toBeGreaterThan(ROUNDS);

    const last = await startServer(file);
    const { body: books } = await askAt<GardenBooks>(last, 'GET', '/api/gardens/garden/books');
    await last.stop();
    const kept = {
      entries: new Set(books.entries.map(({ id }) => id)),
      journal: new Set(books.journal.map(({ id }) => id)),
    };
    const lost = [...acknowledged].filter(([id, list]) => !kept[list].has(id));
    expect(lost).toEqual([]);
    // A write may have been kept and its answer lost on the way; one for every writer and round at most.
    const unasked = books.entries.length + books.journal.length - acknowledged.size;
    expect(unasked).toBeLessThanOrEqual(ROUNDS * WRITERS);

    const db = new Database(file);
    expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
    expect(db.pragma('foreign_key_check')).toEqual([]);
    db.close();

    for (const { id } of books.beds) {
      const scenario = bedScenario({
        books: booksOfBed(books, id)!,
        findMaterial: materialFinder(books),
        today: TODAY,
        endDay: TODAY + 1,
      });
      const run = startRun(scenario);
      runTo(run, scenario.endDay);
      expect(run.largestRelativeError).toBeLessThan(1e-9);
    }
    console.log(
      `${acknowledged.size} acknowledged writes over ${ROUNDS} kills, ${lost.length} lost, ${unasked} kept without an answer`,
    );
  },
);
