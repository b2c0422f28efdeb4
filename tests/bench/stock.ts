import { join } from 'node:path';
import { isoDateOf, dayNumberFromIso } from '../../src/core/ground/index.ts';
import { openBooks } from '../../src/server/db/books-file.ts';
import { bedOf, GARDEN } from '../fixtures/books.ts';
import { askAt, newFolder, removeFolder, startServer } from '../http/server.ts';

/** A yard of twelve piles with ten years of postings: how long a posting, a laying and a revision take at the server. */
const PILES = 12;
const MOVEMENTS = 2000;
const START = dayNumberFromIso('2016-05-20', []);
const TODAY = '2026-05-14';
const DAYS = dayNumberFromIso(TODAY, []) - START;
const POSTINGS = 60;
const LAYINGS = 40;
const REVISIONS = 12;
const LAYINGS_AT_ONCE = 20;
const BEDS = 12;
const HEARTBEAT_MS = 5;

const folder = newFolder();
const file = join(folder, 'yard.sqlite');
const MATERIALS = [
  'chips_branch',
  'compost_garden',
  'cattle_fym',
  'straw_cereal',
  'leaves_mixed',
  'grass_clippings',
];

function fill(): void {
  const books = openBooks({ file }, () => `${TODAY}T08:00:00.000Z`);
  const { stores } = books;
  stores.atomically(() => {
    stores.gardens.insert(GARDEN);
    for (let i = 0; i < BEDS; i++) {
      const { version, createdAt, updatedAt, ...bed } = bedOf({ id: `bed-${i}`, name: `Bed ${i}` });
      stores.beds.insert(bed);
    }
    for (let i = 0; i < PILES; i++) {
      stores.lots.insert({
        id: `pile-${i}`,
        gardenId: GARDEN.id,
        name: `Pile ${i}`,
        form: 'heap',
        keeping: 'open',
        isTurned: i % 2 === 0,
        isHot: i % 3 === 0,
        reserveL: 0,
        note: '',
      });
    }
    for (let i = 0; i < MOVEMENTS; i++) {
      const lot = i % PILES;
      const common = {
        id: `movement-${i}`,
        gardenId: GARDEN.id,
        state: 'laid',
        date: isoDateOf(START + Math.floor((i * DAYS) / MOVEMENTS)),
        note: '',
        lotId: `pile-${lot}`,
      } as const;
      if (i < PILES || i % (PILES * 6) < PILES) {
        stores.movements.insert({
          ...common,
          type: 'receive',
          amount: 2000,
          unit: 'litre',
          materialId: MATERIALS[lot % MATERIALS.length],
          moistureFractionWetBasis: null,
          bulkDensityKgPerM3: null,
          seasonedMonths: 0,
        });
      } else {
        stores.movements.insert({ ...common, type: 'takeOut', amount: 2, unit: 'bucket10L', reason: 'used' });
      }
    }
  });
  books.close();
}

/** Least, median, the 95th of a hundred and most, ms; the 95th beside its bar. */
function told(what: string, times: readonly number[], barMs: number | null): void {
  const sorted = [...times].sort((a, b) => a - b);
  const p95 = sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * 0.95))];
  const median = sorted[Math.floor(sorted.length / 2)];
  const verdict = barMs === null ? '' : `bar ${barMs} ms: ${p95 <= barMs ? 'met' : 'MISSED'}`;
  console.log(
    `${what.padEnd(58)} least ${sorted[0].toFixed(1)}, median ${median.toFixed(1)}, p95 ${p95.toFixed(1)}, most ${sorted.at(-1)!.toFixed(1)} ms  ${verdict}`,
  );
}

fill();
const server = await startServer(file, ['--today', TODAY]);
let serial = 0;
const takenOut = () => ({
  lots: [],
  movements: [
    {
      id: `new-${serial++}`,
      type: 'takeOut',
      state: 'laid',
      date: TODAY,
      note: '',
      lotId: `pile-${serial % PILES}`,
      amount: 1,
      unit: 'bucket10L',
      reason: 'used',
    },
  ],
});
const laying = () => ({
  id: `new-${serial++}`,
  type: 'lay',
  state: 'laid',
  date: TODAY,
  note: '',
  materialId: 'chips_branch',
  lotId: `pile-${serial % PILES}`,
  amount: 1,
  unit: 'bucket10L',
  dugDepthCm: 0,
  seasonedMonths: 0,
});
const revision = () => ({
  creates: Array.from({ length: LAYINGS_AT_ONCE }, laying),
  changes: [],
  removals: [],
  restores: [],
  order: [],
});

async function times(count: number, path: () => string, body: () => object): Promise<number[]> {
  const all: number[] = [];
  for (let i = 0; i < count; i++) {
    const start = performance.now();
    const { status, body: answer } = await askAt<object>(server, 'POST', path(), body());
    if (status >= 300) throw new Error(`${path()}: ${status} ${JSON.stringify(answer)}`);
    all.push(performance.now() - start);
  }
  return all;
}

/** How long others had to wait for the server while `work` went on, ms each. */
async function waitsDuring(work: () => Promise<unknown>): Promise<number[]> {
  const waits: number[] = [];
  const goingOn = new Set(['work']);
  const others = (async () => {
    while (goingOn.size > 0) {
      const start = performance.now();
      await fetch(`${server.address}/api/health`);
      waits.push(performance.now() - start);
      await new Promise((resolve) => setTimeout(resolve, HEARTBEAT_MS));
    }
  })();
  await work();
  goingOn.clear();
  await others;
  return waits;
}

try {
  const STOCK = () => '/api/gardens/garden/stock';
  const ofBed = (what: string) => () => `/api/beds/bed-${serial % BEDS}/${what}`;
  const opened = await waitsDuring(async () => {
    await askAt<object>(server, 'GET', '/api/gardens/garden/books');
    await askAt<object>(server, 'PUT', '/api/gardens/none', {});
  });
  told('stock: others wait while it is worked out', opened, 50);
  const first = await waitsDuring(async () =>
    told('stock: the first posting', await times(1, STOCK, takenOut), null),
  );
  told('stock: others wait during the first posting', first, 50);
  const later = await waitsDuring(async () => {
    told(
      `stock: a posting, ${PILES} piles, ${MOVEMENTS} movements`,
      await times(POSTINGS, STOCK, takenOut),
      60,
    );
    told('stock: a laying', await times(LAYINGS, ofBed('entries'), laying), 90);
    told(
      `stock: a revision of ${LAYINGS_AT_ONCE} layings`,
      await times(REVISIONS, ofBed('revisions'), revision),
      200,
    );
  });
  told('stock: others wait meanwhile', later, 50);
} finally {
  await server.stop();
  removeFolder(folder);
}
