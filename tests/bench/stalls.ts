import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { openBooks } from '../../src/server/db/books-file.ts';
import { bedOf, GARDEN, plantingOf } from '../fixtures/books.ts';
import { newFolder, removeFolder, startServer } from '../http/server.ts';

/** Sixty beds with twenty years of records, asked for the heaviest things there are: how long others wait meanwhile. */
const BEDS = 60;
const YEARS = 20;
const FIRST_YEAR = 2007;
const TODAY = '2026-05-14';
const BAR_MS = 50;
const HEARTBEAT_MS = 5;
const STARTED_MS = 500;
const FIRST_ONES = 3;
const CROPS = ['cabbage', 'leek', 'potato', 'tomato', 'pumpkin', 'beetroot'];
const MULCHES = ['straw_cereal', 'leaves_mixed', 'chips_branch', 'grass_clippings'];

const folder = newFolder();
const file = join(folder, 'large.sqlite');

/** A spring dressing, a mulch, ten waterings and a crop every year. */
function fill(): void {
  const books = openBooks({ file }, () => `${TODAY}T08:00:00.000Z`);
  const { stores } = books;
  stores.atomically(() => {
    stores.gardens.insert(GARDEN);
    for (let i = 0; i < BEDS; i++) {
      const { version, createdAt, updatedAt, ...bed } = bedOf({
        id: `bed-${i}`,
        name: `Bed ${i}`,
        startedOn: `${FIRST_YEAR}-01-01`,
      });
      stores.beds.insert(bed);
      for (let year = FIRST_YEAR; year < FIRST_YEAR + YEARS; year++) {
        const common = { bedId: bed.id, state: 'laid' as const, note: '' };
        const laid = { lotId: null, unit: 'kg' as const, dugDepthCm: 0, seasonedMonths: 0 };
        const isPast = (date: string) => date <= TODAY;
        for (const [n, date, materialId] of [
          [0, `${year}-03-20`, 'compost_garden'],
          [1, `${year}-06-10`, MULCHES[(i + year) % MULCHES.length]],
        ] as const) {
          if (!isPast(date)) continue;
          const id = `lay-${i}-${year}-${n}`;
          const amounts = { amount: 20, massFreshKg: 20 };
          stores.entries.insert({ ...common, ...laid, ...amounts, id, type: 'lay', date, materialId });
        }
        for (let n = 0; n < 10; n++) {
          const date = `${year}-0${5 + Math.floor(n / 3)}-${String(1 + (n % 3) * 9).padStart(2, '0')}`;
          if (isPast(date))
            stores.entries.insert({
              ...common,
              id: `water-${i}-${year}-${n}`,
              type: 'water',
              date,
              waterMm: 12,
            });
        }
        const {
          version: _v,
          createdAt: _c,
          updatedAt: _u,
          ...planting
        } = plantingOf({
          id: `crop-${i}-${year}`,
          bedId: bed.id,
          cropId: CROPS[(i + year) % CROPS.length],
          plantedOn: `${year}-05-10`,
          clearedOn: `${year}-09-25`,
          state: isPast(`${year}-05-10`) ? 'laid' : 'planned',
        });
        stores.plantings.insert(planting);
      }
    }
  });
  books.close();
}

fill();
const server = await startServer(file, ['--today', TODAY]);

/** Asks again and again from a thread of its own: what this one is busy with is not counted as waiting. */
const OTHERS = `
  const { parentPort, workerData } = require('node:worker_threads');
  const waits = [];
  let isAsked = false;
  parentPort.on('message', () => { isAsked = true; });
  (async () => {
    while (!isAsked) {
      const start = performance.now();
      // A connection that lay idle through a long wait may be closed just then; browsers open another one.
      await fetch(workerData + '/api/health').catch(() => undefined);
      waits.push(performance.now() - start);
      await new Promise((resolve) => setTimeout(resolve, ${HEARTBEAT_MS}));
    }
    parentPort.postMessage(waits);
    parentPort.close();
  })();`;

/** How long others had to wait for the server while `work` went on, ms each. */
async function waitsDuring(work: () => Promise<unknown>): Promise<number[]> {
  const others = new Worker(OTHERS, { eval: true, workerData: server.address });
  const waits = new Promise<number[]>((resolve) => others.once('message', resolve));
  // It has started, and its first request is not one of a cold start.
  await new Promise((resolve) => setTimeout(resolve, STARTED_MS));
  try {
    await work();
  } finally {
    others.postMessage('enough');
  }
  return (await waits).slice(FIRST_ONES);
}

const textOf = async (path: string, init?: RequestInit): Promise<string> => {
  const response = await fetch(server.address + path, init);
  const text = await response.text();
  if (!response.ok) throw new Error(`${path}: ${response.status} ${text.slice(0, 300)}`);
  return text;
};
const post = (body: string): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body,
});

async function told(what: string, work: () => Promise<unknown>): Promise<void> {
  const start = performance.now();
  const waits = await waitsDuring(work);
  const took = (performance.now() - start) / 1000;
  const most = Math.max(...waits);
  console.log(
    `${`stalls: others wait during ${what}`.padEnd(58)} most ${most.toFixed(0)} ms of ${took.toFixed(1)} s  bar ${BAR_MS} ms: ${most <= BAR_MS ? 'met' : 'MISSED'}`,
  );
}

try {
  const garden = `/api/gardens/${GARDEN.id}`;
  await textOf('/api/gardens');
  await told('the books', () => textOf(`${garden}/books`));
  await told('a calendar', () => textOf(`${garden}/calendar.ics`));
  await told('a calendar asked for again', () => textOf(`${garden}/calendar.ics`));
  let saved = '';
  await told('saving a garden file', async () => {
    saved = await textOf(`${garden}/garden.json`);
  });
  await told('saving it again', () => textOf(`${garden}/garden.json`));
  await told('trying a garden file', () => textOf('/api/imports?dryRun=true&copy=true', post(saved)));
  await told('reading in a garden file', () => textOf('/api/imports?copy=true', post(saved)));
  await told('copying a garden', () =>
    textOf(`${garden}/copies`, post(JSON.stringify({ name: 'Another', isTemplate: false }))),
  );
  await told('a backup', () => textOf('/api/backups', post('{}')));
} finally {
  await server.stop();
  removeFolder(folder);
}
