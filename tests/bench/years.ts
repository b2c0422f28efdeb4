import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { fileURLToPath } from 'node:url';
import highsLoader from 'highs';
import { dayNumberFromIso } from '../../src/core/ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../src/core/ground/materials/library.ts';
import { bedScenario } from '../../src/core/bed/books/bed-scenario.ts';
import { shareGains, type MaterialPile } from '../../src/core/long-run/sharing/share-gains.ts';
import { shareBed } from '../../src/core/long-run/sharing/share-wants.ts';
import { shareOut } from '../../src/core/long-run/sharing/share-out.ts';
import { booksWithHabit } from '../../src/core/long-run/years/habit-books.ts';
import { habitFromTemplate, type HabitTemplateId } from '../../src/core/long-run/years/habit-templates.ts';
import { runYears, runYearsUnfolded } from '../../src/core/long-run/years/run-years.ts';
import { solverOver } from '../../src/web/solver/highs.ts';
import { bedOf, GARDEN, MILD, plantingOf } from '../fixtures/books.ts';
import { layOf } from '../fixtures/laid.ts';
import { report, timesOf } from './report.ts';

/** Decades of a whole garden under six habits, on two threads as the pages have them. */
const BEDS = 60;
const YEARS = 30;
const THREADS = 2;
const HABITS: readonly HabitTemplateId[] = [
  'nothing',
  'chipsOnly',
  'compostYearly',
  'compostAndChar',
  'manureUnderCard',
  'thinFeeding',
];
const today = dayNumberFromIso('2026-05-14', ['today']);

/** Beds differ in soil and in what lies on them. */
const booksFor = (bed: number) => ({
  site: { ...GARDEN, climate: MILD },
  bed: bedOf({ id: `bed-${bed}`, clayPct: 6 + (bed % 8) * 6, organicMatterPct: 2 + (bed % 5) }),
  crops: [],
  entries: [
    layOf({ id: 'old chips', date: '2024-10-10' }),
    layOf({
      id: 'old compost',
      date: `2025-03-${10 + (bed % 15)}`,
      materialId: 'compost_yard',
      massFreshKg: 60 + bed,
    }),
  ],
  plantings: [plantingOf({ plantedOn: '2026-04-20', clearedOn: '2026-10-01' })],
});

function scenarioFor(bed: number, habit: HabitTemplateId) {
  const setting = { findMaterial: findLibraryMaterial, today, years: YEARS };
  const books = booksWithHabit(booksFor(bed), habitFromTemplate(habit), setting);
  return bedScenario({
    books,
    findMaterial: findLibraryMaterial,
    today,
    endDay: today + Math.ceil(YEARS * 365.25) + 2,
  });
}

/** Asks both threads for every bed under every habit, each taking the next when it has done one. */
async function wholeGarden(): Promise<number> {
  const asked = HABITS.flatMap((habit) => Array.from({ length: BEDS }, (_, bed) => ({ bed, habit })));
  const threads = Array.from({ length: THREADS }, () => new Worker(fileURLToPath(import.meta.url)));
  await Promise.all(threads.map((thread) => new Promise((ready) => thread.once('message', ready))));
  let next = 0;
  const started = performance.now();
  await Promise.all(
    threads.map(async (thread) => {
      while (next < asked.length) {
        const answered = new Promise((done) => thread.once('message', done));
        thread.postMessage(asked[next++]);
        await answered;
      }
    }),
  );
  const took = performance.now() - started;
  await Promise.all(threads.map((thread) => thread.terminate()));
  return took;
}

/** What folding and whole days save on one bed. */
function oneBed(): void {
  const scenario = scenarioFor(1, 'thinFeeding');
  const time = (work: () => void) => {
    work();
    return timesOf(
      Array.from({ length: 5 }, () => {
        const started = performance.now();
        work();
        return performance.now() - started;
      }),
    );
  };
  report(
    'one bed, 30 years, five layers a year',
    time(() => void runYears(scenario, today, YEARS)),
    null,
  );
  report(
    '  every layer on its own, half days',
    time(() => void runYearsUnfolded(scenario, today, YEARS)),
    null,
  );
}

/** Sharing seven piles among sixty beds: what the model says of each pair, then the solver. */
async function sharing(): Promise<void> {
  const solve = solverOver(await highsLoader());
  const piles = [
    'chips_mixed',
    'chips_branch',
    'compost_yard',
    'compost_garden',
    'cattle_fym',
    'straw_cereal',
    'leaves_mixed',
  ].map((id): MaterialPile => {
    const material = findLibraryMaterial(id)!;
    return {
      id,
      kind: material.kind,
      materialId: id,
      thereL: { now: 2500, halfYear: 3000, year: 3000, yearAndHalf: 3000 },
      keptShare: { now: 1, halfYear: 1, year: 1, yearAndHalf: 1 },
      isRawChar: false,
      isLogs: false,
      material,
    };
  });
  const settings = Array.from({ length: BEDS }, (_, bed) => ({
    books: booksFor(bed),
    findMaterial: findLibraryMaterial,
    today,
    school: 'byDepth' as const,
    aimOrganicMatterPct: 6,
  }));
  const started = performance.now();
  const beds = settings.map(shareBed);
  const gains = settings.flatMap((setting, i) => shareGains(setting, beds[i], piles));
  const modeled = performance.now();
  shareOut({ piles, beds, gains, fixed: [], carrier: { barrowL: 85, bucketL: 10 } }, solve);
  report('sharing out: seven piles run on sixty beds for five years', timesOf([modeled - started]), null);
  report('sharing out: the solver', timesOf([performance.now() - modeled]), null);
}

if (isMainThread) {
  report(
    `${BEDS} beds x ${YEARS} years x ${HABITS.length} habits, two threads`,
    timesOf([await wholeGarden(), await wholeGarden()]),
    6000,
  );
  oneBed();
  await sharing();
} else {
  parentPort!.on('message', ({ bed, habit }: { bed: number; habit: HabitTemplateId }) => {
    const { points } = runYears(scenarioFor(bed, habit), today, YEARS);
    parentPort!.postMessage(points.length);
  });
  parentPort!.postMessage('ready');
}
