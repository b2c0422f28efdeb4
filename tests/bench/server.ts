import { join } from 'node:path';
import type { BedRecord } from '../../src/records/bed.ts';
import type { EntryRecord } from '../../src/records/entry.ts';
import type { BooksChange } from '../../src/contract/changes.ts';
import { openBooks } from '../../src/server/db/books-file.ts';
import type { Unstamped } from '../../src/server/stores.ts';
import { bedOf, GARDEN, plantingOf } from '../fixtures/books.ts';
import { askAt, newFolder, removeFolder, startServer } from '../http/server.ts';
import { memoryMb, timesOf } from './report.ts';

/** A large garden, ten years of it: how long every route that a view calls takes, the start, and the memory. */
const BEDS = 200;
const ENTRIES = 20_000;
const LOTS = 12;
const NOT_MODIFIED = 304;
const ROUNDS = 60;
const P95_BAR_MS = 25;
const START_BAR_MS = 1000;

const folder = newFolder();
const file = join(folder, 'large.sqlite');

function fill(): void {
  const books = openBooks({ file }, () => '2026-05-14T08:00:00.000Z');
  const { stores } = books;
  stores.atomically(() => {
    stores.gardens.insert(GARDEN);
    for (let bed = 0; bed < BEDS; bed++) {
      const { version, createdAt, updatedAt, ...draft }: BedRecord = bedOf({
        id: `bed-${bed}`,
        name: `Bed ${bed}`,
      });
      stores.beds.insert(draft);
      for (let i = 0; i < ENTRIES / BEDS; i++) {
        const date = `${2017 + Math.floor(i / 12)}-${String(1 + (i % 12)).padStart(2, '0')}-10`;
        const common = { id: `entry-${bed}-${i}`, bedId: draft.id, state: 'laid' as const, date, note: '' };
        const entry: Unstamped<EntryRecord> =
          i % 8 === 0
            ? {
                ...common,
                type: 'lay',
                materialId: 'straw_cereal',
                lotId: null,
                amount: 6,
                unit: 'kg',
                massFreshKg: 6,
                dugDepthCm: 0,
                seasonedMonths: 0,
              }
            : { ...common, type: 'water', waterMm: 12 };
        stores.entries.insert(entry);
      }
      for (let year = 2017; year < 2026; year++) {
        const {
          version: _v,
          createdAt: _c,
          updatedAt: _u,
          ...planting
        } = plantingOf({
          id: `planting-${bed}-${year}`,
          bedId: draft.id,
          plantedOn: `${year}-04-20`,
          clearedOn: `${year}-10-01`,
        });
        stores.plantings.insert(planting);
      }
    }
  });
  books.close();
}

function p95Of(times: readonly number[]): number {
  return [...times].sort((a, b) => a - b)[Math.ceil(times.length * 0.95) - 1];
}

function verdictOn(what: string, times: readonly number[], bar: number | null): void {
  const { median, most } = timesOf(times);
  const p95 = p95Of(times);
  const verdict = bar === null ? '' : `bar ${bar} ms: ${p95 <= bar ? 'met' : 'MISSED'}`;
  console.log(
    `${what.padEnd(58)} p50 ${median.toFixed(1)} ms, p95 ${p95.toFixed(1)} ms, most ${most.toFixed(1)} ms  ${verdict}`,
  );
}

fill();
const starts: number[] = [];
for (let i = 0; i < 7; i++) {
  const before = performance.now();
  const server = await startServer(file);
  starts.push(performance.now() - before);
  await server.stop();
}
verdictOn(`server: start with ${BEDS} beds and ${ENTRIES} entries`, starts, START_BAR_MS);

const server = await startServer(file);
let count = 0;
interface Asked {
  readonly body?: () => unknown;
  readonly before?: () => Promise<unknown>;
  readonly headers?: Record<string, string>;
  /** Asked for anew each time. */
  readonly headersNow?: () => Record<string, string>;
  /** Null for what is told without a bar. */
  readonly bar?: number | null;
}

/** Times a request over and over; with `before` something is written first, untimed. */
async function route(
  what: string,
  method: string,
  path: () => string,
  { body, before, headers = {}, headersNow, bar = P95_BAR_MS }: Asked = {},
) {
  const times: number[] = [];
  let most = 0;
  for (let i = 0; i < ROUNDS + 5; i++) {
    await before?.();
    const start = performance.now();
    const response = await fetch(server.address + path(), {
      method,
      headers: { ...headers, ...headersNow?.(), ...(body ? { 'content-type': 'application/json' } : {}) },
      ...(body ? { body: JSON.stringify(body()) } : {}),
    });
    const text = await response.text();
    const took = performance.now() - start;
    if (!response.ok && response.status !== NOT_MODIFIED)
      throw new Error(`${method} ${path()} answered ${response.status}: ${text.slice(0, 200)}`);
    if (i >= 5) times.push(took);
    most = Math.max(most, text.length);
  }
  verdictOn(`server: ${what}, ${(most / 1000).toFixed(1)} kB`, times, bar);
}

const aBed = () => `bed-${count % BEDS}`;
const entry = () => ({
  id: `new-${count++}`,
  type: 'water',
  state: 'laid',
  date: '2026-05-01',
  note: '',
  waterMm: 5,
});
const writeOne = () => askAt(server, 'POST', `/api/beds/${aBed()}/entries`, entry());

try {
  await route('the gardens', 'GET', () => '/api/gardens');
  const { headers } = await fetch(`${server.address}/api/gardens/garden/books`);
  const seen = { 'if-none-match': headers.get('etag')! };
  // A browser that has the books asks whether they are still the same.
  await route('the books of the garden, seen and the same', 'GET', () => '/api/gardens/garden/books', {
    headers: seen,
  });
  await route(
    'the books of the garden, all 20,000 entries of them',
    'GET',
    () => '/api/gardens/garden/books',
  );
  await route('the same, written to just before (once a page)', 'GET', () => '/api/gardens/garden/books', {
    before: writeOne,
    bar: null,
  });
  const mark = async () => {
    const { body } = await askAt<BooksChange>(
      server,
      'GET',
      '/api/gardens/garden/changes?since=0&epoch=none',
    );
    return body.mark;
  };
  let held = await mark();
  await route(
    'what was written since, after a write',
    'GET',
    () => `/api/gardens/garden/changes?since=${held.number}&epoch=${held.epoch}`,
    {
      before: async () => {
        held = await mark();
        await writeOne();
      },
    },
  );
  held = await mark();
  const withMark = (): Record<string, string> => ({ 'changes-since': `garden ${held.epoch} ${held.number}` });
  await route(
    'an entry written, with its change in the answer',
    'POST',
    () => `/api/beds/${aBed()}/entries`,
    {
      body: entry,
      headersNow: withMark,
      before: async () => {
        held = await mark();
      },
    },
  );
  await route('the calendar feeds', 'GET', () => '/api/gardens/garden/feeds');
  await route('backups and the state of the file', 'GET', () => '/api/backups');
  await route('imports', 'GET', () => '/api/gardens/garden/imports');
  await route('instruments', 'GET', () => '/api/instruments');
  await route('session', 'GET', () => '/api/session');
  await route('an entry written', 'POST', () => `/api/beds/${aBed()}/entries`, { body: entry });
  await route('a revision of a bed', 'POST', () => `/api/beds/${aBed()}/revisions`, {
    body: () => ({
      creates: [entry()],
      changes: [],
      removals: [],
      restores: [],
      order: [],
    }),
  });
  await route('a planting', 'POST', () => `/api/beds/${aBed()}/plantings`, {
    body: () => ({
      id: `new-${count++}`,
      state: 'planned',
      cropId: 'leek',
      plantedOn: `${2027 + (count % 9)}-04-20`,
      clearedOn: `${2027 + (count % 9)}-09-20`,
      nitrogenDemandGPerM2: 12,
      rootDepthCm: 40,
      note: '',
      isUndersown: true,
    }),
  });
  await route('a note in the log', 'POST', () => '/api/gardens/garden/journal', {
    body: () => ({
      records: [
        {
          id: `new-${count++}`,
          kind: 'observation',
          date: '2026-05-01',
          note: 'seen',
          bedId: aBed(),
          plantingId: null,
          photoId: null,
          observed: { type: 'note' },
        },
      ],
    }),
  });
  const arrival = (lot: number, lots: object[]) => ({
    lots,
    movements: [
      {
        id: `new-${count++}`,
        type: 'receive',
        state: 'laid',
        date: '2026-05-01',
        note: '',
        lotId: `lot-${lot}`,
        amount: 2,
        unit: 'barrow85L',
        materialId: 'chips_branch',
        moistureFractionWetBasis: null,
        bulkDensityKgPerM3: null,
        seasonedMonths: 0,
      },
    ],
  });
  for (let lot = 0; lot < LOTS; lot++) {
    const common = { form: 'pile', keeping: 'open', isTurned: false, isHot: false, note: '' };
    const kept = { id: `lot-${lot}`, name: `Pile ${lot}`, ...common };
    await askAt(server, 'POST', '/api/gardens/garden/stock', arrival(lot, [kept]));
  }
  await route(`an arrival in a stock of ${LOTS} piles`, 'POST', () => '/api/gardens/garden/stock', {
    body: () => arrival(count % LOTS, []),
  });
  const pid = server.pid;
  const mb = memoryMb(pid);
  console.log(`${'server: memory after all of that, at this size'.padEnd(58)} ${mb.toFixed(0)} MB`);
  const whole: number[] = [];
  for (let i = 0; i < 5; i++) {
    const start = performance.now();
    await (await fetch(`${server.address}/api/gardens/garden/garden.json`)).text();
    whole.push(performance.now() - start);
  }
  verdictOn('server: the whole garden as one file (no view waits for it)', whole, null);
} finally {
  await server.stop();
  removeFolder(folder);
}
