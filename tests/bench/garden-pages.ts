import { chromium, type Page } from '@playwright/test';
import { join } from 'node:path';
import { CLIMATE_PATTERNS } from '../../src/core/ground/climate/patterns.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { CHROMIUM } from '../chromium.ts';
import { newFolder, removeFolder, startServer } from '../http/server.ts';
import { spareDevice } from '../spared.ts';
import { report, timesOf } from './report.ts';
import { MATERIALS } from './ten-years.ts';

/** Garden and calendar of sixty beds with ten years of records, from asking for the page to all of its answers. */
const BEDS = 60;
const YEARS = 10;
const FIRST_YEAR = 2017;
const TODAY = '2026-05-14';
const ROUNDS = 3;
const CROPS = ['cabbage', 'leek', 'potato', 'tomato', 'pumpkin', 'beetroot'];
const AT_ONCE = 100;
/** How often it is looked whether the server has worked the garden out while nobody wrote. */
const LOOK_MS = 250;
/** What was worked out is written down on the device a little later. */
const KEPT_AFTER_MS = 2500;

const { temperatureC, rainMm, evapotranspirationMm } = CLIMATE_PATTERNS[0];
const GARDEN = {
  id: 'large',
  name: 'Large garden',
  place: '',
  location: null,
  climate: { temperatureC, rainMm, evapotranspirationMm },
  depositionGPerM2Year: 1,
  measures: 'metric',
  school: 'byDepth',
  feedMaterialId: 'feather_meal',
};

const folder = newFolder();
const server = await startServer(join(folder, 'large.sqlite'), ['--today', TODAY]);
const post = async (path: string, body: object) => {
  const answer = await fetch(server.address + path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: server.address },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
};

const bedOf = (i: number) => ({
  id: `bed-${i}`,
  name: `Bed ${i + 1}`,
  kind: 'annual',
  areaM2: 6 + (i % 5),
  organicMatterPct: 2.5 + (i % 4) * 0.6,
  bulkDensityGPerCm3: 1.25,
  clayPct: 12 + (i % 3) * 8,
  rootZoneCm: 30,
  exposure: 'normal',
  isWatered: true,
  startedOn: `${FIRST_YEAR}-01-01`,
  note: '',
});

/** A spring dressing and a mulch, with a crop from May to September, every year. */
const yearOf = (bed: number, year: number) => ({
  entries: [
    ['compost_garden', `${year}-03-20`, 2],
    [MATERIALS[(bed + year) % MATERIALS.length], `${year}-06-10`, 4],
  ]
    .filter(([, date]) => String(date) <= TODAY)
    .map(([materialId, date, amount], i) => ({
      id: `bed-${bed}-${year}-${i}`,
      type: 'lay',
      state: 'laid',
      date,
      note: '',
      materialId,
      amount,
      unit: 'cm',
      dugDepthCm: 0,
      seasonedMonths: 0,
    })),
  planting: {
    id: `bed-${bed}-${year}-crop`,
    state: `${year}-05-10` <= TODAY ? 'laid' : 'planned',
    cropId: CROPS[(bed + year) % CROPS.length],
    plantedOn: `${year}-05-10`,
    clearedOn: `${year}-09-25`,
    nitrogenDemandGPerM2: 14,
    rootDepthCm: 50,
    startsAs: 'transplant',
    areaShare: 1,
    isUndersown: false,
    note: '',
  },
});

async function writeBooks(): Promise<void> {
  await post('/api/gardens', GARDEN);
  await post(`/api/gardens/${GARDEN.id}/beds/several`, {
    beds: Array.from({ length: BEDS }, (_, i) => bedOf(i)),
  });
  for (let bed = 0; bed < BEDS; bed++) {
    const years = Array.from({ length: YEARS }, (_, i) => yearOf(bed, FIRST_YEAR + i));
    const creates = years.flatMap(({ entries }) => entries);
    for (let from = 0; from < creates.length; from += AT_ONCE) {
      await post(`/api/beds/bed-${bed}/revisions`, {
        creates: creates.slice(from, from + AT_ONCE),
        changes: [],
        removals: [],
        restores: [],
        order: [],
      });
    }
    for (const { planting } of years) await post(`/api/beds/bed-${bed}/plantings`, planting);
  }
}

/** Writes something, after which the server knows nothing of the garden for a while. */
const writeSomething = (i: number) =>
  post(`/api/gardens/${GARDEN.id}/journal`, {
    records: [
      {
        id: `seen-${i}`,
        kind: 'observation',
        date: TODAY,
        bedId: 'bed-0',
        plantingId: null,
        photoId: null,
        observed: { type: 'growth', vigor: 'steady' },
        note: '',
      },
    ],
  });

/** How long it takes until the server has worked the garden out by itself, ms. */
async function untilWorkedOut(): Promise<number> {
  const start = performance.now();
  for (;;) {
    const answer = await fetch(`${server.address}/api/gardens/${GARDEN.id}/worked-out`);
    if ((await answer.json()) !== null) return performance.now() - start;
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
  }
}

/** From asking for a page to its first answer and to its last, ms. */
async function answered(page: Page, path: string, first: RegExp, last: RegExp) {
  const start = performance.now();
  await page.goto(server.address + path);
  const since = async (words: RegExp) => {
    await page.getByText(words).first().waitFor({ timeout: 120_000 });
    return performance.now() - start;
  };
  return { first: await since(first), last: await since(last) };
}

const browser = await chromium.launch(CHROMIUM);
try {
  await writeBooks();
  const books = (await (
    await fetch(`${server.address}/api/gardens/${GARDEN.id}/books`)
  ).json()) as GardenBooks;
  console.log(
    `${books.beds.length} beds, ${books.entries.length} entries, ${books.plantings.length} plantings`,
  );
  const root = `/garden/${GARDEN.id}`;
  // What is kept on the device may all be there at once.
  const gardenOn = (page: Page) =>
    answered(
      page,
      root,
      /Working out [1-5]\d? of them|short of nitrogen today\./,
      /short of nitrogen today\./,
    );
  const calendarOn = (page: Page) =>
    answered(page, `${root}/calendar`, /Working out [1-5]\d? more|within a year\.$/, /within a year\.$/);
  const onNewDevice = async (visit: (page: Page) => Promise<void>) => {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      serviceWorkers: 'block',
    });
    await context.addInitScript(spareDevice);
    await visit(await context.newPage());
    await context.close();
  };
  type Visits = { first: number; last: number }[];
  const visits = {
    garden: [] as Visits,
    calendar: [] as Visits,
    newGarden: [] as Visits,
    newCalendar: [] as Visits,
    unknownGarden: [] as Visits,
    unknownCalendar: [] as Visits,
  };
  for (let i = 0; i < ROUNDS; i++) {
    await writeSomething(2 * i);
    await onNewDevice(async (page) => void visits.unknownGarden.push(await gardenOn(page)));
    await writeSomething(2 * i + 1);
    await onNewDevice(async (page) => void visits.unknownCalendar.push(await calendarOn(page)));
  }
  await writeSomething(2 * ROUNDS);
  report('server: 60 beds worked out after a write', timesOf([await untilWorkedOut()]));
  for (let i = 0; i < ROUNDS; i++) {
    await onNewDevice(async (page) => {
      visits.newGarden.push(await gardenOn(page));
      await page.waitForTimeout(KEPT_AFTER_MS);
      visits.garden.push(await gardenOn(page));
    });
    await onNewDevice(async (page) => {
      visits.newCalendar.push(await calendarOn(page));
      await page.waitForTimeout(KEPT_AFTER_MS);
      visits.calendar.push(await calendarOn(page));
    });
  }
  const of = (times: readonly { first: number; last: number }[], which: 'first' | 'last') =>
    timesOf(times.map((one) => one[which]));
  const OF = 'of 60 beds, 10 years';
  report(`browser: garden ${OF}: first bed answered`, of(visits.garden, 'first'), 500);
  report(`browser: garden ${OF}: all answered`, of(visits.garden, 'last'), 2000);
  report(`browser: calendar ${OF}: all answered`, of(visits.calendar, 'last'), 3000);
  const NEW = 'first time on a device';
  report(`browser: garden ${OF}: first bed, ${NEW}`, of(visits.newGarden, 'first'), 500);
  report(`browser: garden ${OF}: all, ${NEW}`, of(visits.newGarden, 'last'), 2000);
  report(`browser: calendar ${OF}: all, ${NEW}`, of(visits.newCalendar, 'last'), 3000);
  const UNKNOWN = `${NEW}, just written into`;
  report(`browser: garden ${OF}: first bed, ${UNKNOWN}`, of(visits.unknownGarden, 'first'));
  report(`browser: garden ${OF}: all, ${UNKNOWN}`, of(visits.unknownGarden, 'last'));
  report(`browser: calendar ${OF}: all, ${UNKNOWN}`, of(visits.unknownCalendar, 'last'));
} finally {
  await browser.close();
  await server.stop();
  removeFolder(folder);
}
