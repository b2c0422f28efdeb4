import { ashGate, ashTakenG } from '../../yard/index.ts';
import { type DayNumber, calendarDateOf, dayNumberFromIso, nextSeasonDay } from '../../ground/index.ts';
import type { LayEntry } from '../../../records/entry.ts';
import { bedTask } from './bed-task.ts';
import type { BedAgendaSetting } from './bed-agenda-setting.ts';
import type { Check, Task } from './tasks.ts';

/** Days after spreading on which something is worth checking (common practice, no source). */
const MANURE_CHECKS: readonly (readonly [Check, number])[] = [
  ['sweetManure', 14],
  ['manureWorms', 50],
  ['manureCrumbs', 90],
];
const WOOD_CHECKS: readonly (readonly [Check, number])[] = [
  ['thickness', 180],
  ['threads', 270],
];
/** Hunger shows three weeks after planting, when seed reserves are used up (set here). */
const LEAVES_AFTER_DAYS = 21;
const SOIL_TEST_EVERY_DAYS = 365;
/** Soil is first sampled before growth begins, then on the same day every year; books are closed when growth ends. */
const SAMPLING_MONTH = 3;
const CLOSING_MONTH = 11;
const CHECK_TOLD_DAYS = 60;

const dayOf = (iso: string): DayNumber => dayNumberFromIso(iso, ['date']);

/** What the books of a bed ask somebody to look at, to have tested, to close. */
export const watchTasks = (setting: BedAgendaSetting): Task[] => [
  ...layerChecks(setting),
  ...leafChecks(setting),
  ...soilRetest(setting),
  ...phAfterAsh(setting),
  closeYear(setting),
];

function checksOf(
  { findMaterial }: BedAgendaSetting,
  entry: LayEntry,
): readonly (readonly [Check, number])[] {
  const kind = findMaterial(entry.materialId)?.kind;
  if (kind === 'manure') return MANURE_CHECKS;
  return kind === 'wood' && entry.dugDepthCm === 0 ? WOOD_CHECKS : [];
}

function layerChecks(setting: BedAgendaSetting): Task[] {
  const laid = setting.books.entries.filter(
    (entry): entry is LayEntry => entry.type === 'lay' && entry.state === 'laid',
  );
  return laid.flatMap((entry) =>
    checksOf(setting, entry)
      .map(([check, afterDays]) => ({ check, day: dayOf(entry.date) + afterDays }))
      .filter(({ day }) => day >= setting.today - CHECK_TOLD_DAYS)
      .map(({ check, day }) =>
        bedTask(setting, {
          key: `check:${entry.id}:${check}`,
          day,
          group: 'watching',
          what: {
            code: 'check',
            check,
            aboutId: entry.id,
          },
        }),
      ),
  );
}

/** Where young plants stand over a lock-up, somebody should look at their leaves. */
function leafChecks(setting: BedAgendaSetting): Task[] {
  const { books, projection, today, plan } = setting;
  return books.plantings.flatMap((planting) => {
    const day = dayOf(planting.plantedOn) + LEAVES_AFTER_DAYS;
    const sample = projection.samples.find((one) => one.day >= day);
    const isHeld = sample !== undefined && sample.heldContactG + sample.heldRootG >= plan.rules.feltFromG;
    if (!isHeld || day < today - CHECK_TOLD_DAYS) return [];
    return [
      bedTask(setting, {
        key: `check:${planting.id}:leaves`,
        day,
        group: 'watching',
        what: {
          code: 'check',
          check: 'leaves',
          aboutId: planting.id,
        },
      }),
    ];
  });
}

function soilRetest(setting: BedAgendaSetting): Task[] {
  const { books, today } = setting;
  if (books.bed.kind === 'path') return [];
  const tests = books.entries.filter(({ type }) => type === 'soilTest');
  const last = tests
    .filter(({ state }) => state === 'laid')
    .map(({ date }) => dayOf(date))
    .sort((a, b) => a - b)
    .at(-1);
  if (tests.some(({ state }) => state === 'planned')) return [];
  const due = last === undefined ? undefined : last + SOIL_TEST_EVERY_DAYS;
  // Long forgotten, or never tested: before the next season begins.
  const isNear = due !== undefined && due >= today - CHECK_TOLD_DAYS;
  const day = isNear ? due : nextSeasonDay(books.site.climate, SAMPLING_MONTH, today);
  return [
    bedTask(setting, {
      key: `retest:${books.bed.id}:${calendarDateOf(day).year}`,
      day,
      group: 'testing',
      what: {
        code: 'retest',
        what: 'soil',
      },
    }),
  ];
}

/** A pH test stands between a doubled dose of ash and the next. */
function phAfterAsh(setting: BedAgendaSetting): Task[] {
  const { books, findMaterial, today } = setting;
  const { stops } = ashGate(
    {
      bed: books.bed,
      entries: books.entries.filter(({ state }) => state === 'laid'),
      plantings: books.plantings,
      climate: books.site.climate,
      day: today,
      condition: { isSooty: false, isCleanWood: true, isSieved: true, isDamp: false },
      takenG: ashTakenG(books.taken),
    },
    findMaterial,
  );
  const stop = stops.find((one) => one.code === 'retestFirst');
  if (!stop) return [];
  const day = nextSeasonDay(books.site.climate, SAMPLING_MONTH, stop.since);
  return [
    bedTask(setting, {
      key: `ph:${books.bed.id}:${stop.since}`,
      day,
      group: 'testing',
      what: {
        code: 'retest',
        what: 'phAfterAsh',
      },
    }),
  ];
}

/** The first day of which the books of a bed say anything; the day after today where they say nothing yet. */
function firstDayOf({ books, today }: BedAgendaSetting): DayNumber {
  const days = [
    ...books.entries.filter(({ state }) => state === 'laid').map(({ date }) => dayOf(date)),
    ...books.plantings.filter(({ state }) => state === 'laid').map(({ plantedOn }) => dayOf(plantedOn)),
  ];
  return Math.min(today + 1, ...days);
}

/** Nothing is late that was never due: a year that ended before the books of the bed began is not closed. */
function closeYear(setting: BedAgendaSetting): Task {
  const { books, today } = setting;
  const from = Math.max(today - CHECK_TOLD_DAYS, firstDayOf(setting));
  const day = nextSeasonDay(books.site.climate, CLOSING_MONTH, from);
  const { year } = calendarDateOf(day);
  return bedTask(setting, {
    key: `close:${books.bed.id}:${year}`,
    day,
    group: 'testing',
    what: { code: 'closeYear', year },
  });
}
