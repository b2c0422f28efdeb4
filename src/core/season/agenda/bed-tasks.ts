import type { BedAgendaSetting } from './bed-agenda-setting.ts';
import {
  type FeedLot,
  type PlannedDose,
  actingShareOf,
  asProduct,
  doseKey,
  findFeedProduct,
  plantedLater,
} from '../../bed/index.ts';
import type { Bed } from '../../../records/bed.ts';
import {
  type DayNumber,
  type GroundWarning,
  dayNumberFromIso,
  findCrop,
  groundWarnings,
  total,
} from '../../ground/index.ts';
import type { BedKind } from '../../../records/vocabulary.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import type { MeasuredDay } from '../../../records/weather.ts';
import { bedTask } from './bed-task.ts';
import { clearTaskKey, isClearingAsked } from './clearing.ts';
import { coverTasks } from './cover-tasks.ts';
import { lateCost } from './late-cost.ts';
import { isWithinAgenda, type Task, type TaskGroup } from './tasks.ts';
import { weatherTasks } from './weather-tasks.ts';
import { watchTasks } from './watch-tasks.ts';

/** Beds in which something young is set year after year. */
const SOWN: ReadonlySet<BedKind> = new Set(['annual', 'raised', 'seedbed', 'container']);
const GROUP_OF_ENTRY: Readonly<Record<Entry['type'], TaskGroup>> = {
  lay: 'laying',
  dig: 'laying',
  takeOff: 'laying',
  feed: 'feeding',
  water: 'feeding',
  soilTest: 'testing',
};
const dayOf = (iso: string): DayNumber => dayNumberFromIso(iso, ['date']);

/** Everything that the books of one bed imply, by day. */
export function bedTasks(setting: BedAgendaSetting): Task[] {
  const { today } = setting;
  return [
    ...entryTasks(setting),
    ...plantingTasks(setting),
    ...doseTasks(setting),
    ...safeTasks(setting),
    ...harvestFromTasks(setting),
    ...weatherTasks(setting),
    ...coverTasks(setting),
    ...watchTasks(setting),
  ]
    .filter(({ day }) => isWithinAgenda(day, today))
    .sort((a, b) => a.day - b.day);
}

/** Warnings for the day the work will really be done: today at the earliest. */
function warningsFor(
  { books: { site, bed }, today }: BedAgendaSetting,
  day: DayNumber,
  work: Parameters<typeof groundWarnings>[0]['work'],
): GroundWarning[] {
  const doneOn = Math.max(day, today);
  const rainLatelyMm = doneOn <= today + NEAR_DAYS ? rainOfLastDays(site.weather ?? [], today) : null;
  return groundWarnings({ climate: site.climate, clayPct: bed.clayPct, day: doneOn, work, rainLatelyMm });
}

/** Work within this is judged by the rain that has just fallen, of so many days, and what was measured (set here). */
const NEAR_DAYS = 2;
const RAIN_DAYS = 3;

/** Rain of the last days; null unless each of them was measured. */
function rainOfLastDays(weather: readonly MeasuredDay[], today: DayNumber): number | null {
  const days = weather.filter(({ date }) => dayOf(date) >= today - RAIN_DAYS && dayOf(date) < today);
  return days.length === RAIN_DAYS ? total(days.map(({ rainMm }) => rainMm)) : null;
}

function entryTasks(setting: BedAgendaSetting): Task[] {
  const { books, findMaterial, today, todayIso } = setting;
  return books.entries
    .filter(({ state }) => state === 'planned')
    .map((entry) => {
      const day = dayOf(entry.date);
      const digs = entry.type === 'dig' || (entry.type === 'lay' && entry.dugDepthCm > 0);
      return {
        key: `entry:${entry.id}`,
        group: GROUP_OF_ENTRY[entry.type],
        what: { code: 'entry', entry },
        bedId: books.bed.id,
        lotId: entry.type === 'lay' ? (entry.lotId ?? null) : null,
        day,
        record: { type: 'entry', id: entry.id },
        warnings: warningsFor(setting, day, {
          needsWarmth: entry.type === 'feed',
          treadsOrDigs: digs,
          isFeeding: entry.type === 'feed',
        }),
        lateCost: lateCost(
          {
            books,
            moved: {
              ...books,
              entries: books.entries.map((one) => (one.id === entry.id ? { ...one, date: todayIso } : one)),
            },
            plannedFor: entry.date,
          },
          findMaterial,
          today,
        ),
      };
    });
}

function plantingTasks(setting: BedAgendaSetting): Task[] {
  return setting.books.plantings.flatMap((planting) => [
    ...(planting.state === 'planned' ? [plantTask(setting, planting)] : []),
    ...clearTask(setting, planting),
  ]);
}

function plantTask(setting: BedAgendaSetting, planting: Planting): Task {
  const { books, findMaterial, today, todayIso, plan } = setting;
  const day = dayOf(planting.plantedOn);
  const isHardy = findCrop(planting.cropId, books.crops)?.isCoverCrop === true || planting.startsAs === 'set';
  return {
    key: `planting:${planting.id}`,
    group: 'growing',
    what: {
      code: 'plant',
      cropId: planting.cropId,
      isSown: planting.startsAs === 'seed',
      objections: plan.coming.find(({ plantingId }) => plantingId === planting.id)?.objections ?? [],
    },
    bedId: books.bed.id,
    lotId: null,
    day,
    record: { type: 'planting', id: planting.id },
    warnings: warningsFor(setting, day, { needsWarmth: !isHardy, treadsOrDigs: true }),
    lateCost: lateCost(
      {
        books,
        moved: {
          ...books,
          plantings: books.plantings.map((one) =>
            one.id === planting.id ? plantedLater(one, todayIso) : one,
          ),
        },
        plannedFor: planting.plantedOn,
      },
      findMaterial,
      today,
    ),
  };
}

function clearTask(setting: BedAgendaSetting, { id, cropId, clearedOn }: Planting): Task[] {
  if (clearedOn === null) return [];
  const day = dayOf(clearedOn);
  if (!isClearingAsked(day, setting.today)) return [];
  return [
    {
      key: clearTaskKey(id),
      group: 'growing',
      what: { code: 'clear', cropId },
      bedId: setting.books.bed.id,
      lotId: null,
      day,
      record: { type: 'planting', id },
      warnings: [],
      lateCost: null,
    },
  ];
}

/** What a dose comes to of its product, and the lot that has so much of it. */
function productOf(
  { nitrogenGPerM2, materialId }: PlannedDose,
  bed: Bed,
  lots: readonly FeedLot[],
): { readonly massFreshKg: number | null; readonly lotId: string | null } {
  const amount = asProduct({
    nitrogenGPerM2,
    product: findFeedProduct(materialId),
    bed,
    availabilities: { [materialId]: actingShareOf(materialId) },
  });
  if (!amount) return { massFreshKg: null, lotId: null };
  const { massFreshKg } = amount;
  const lot = lots.find((one) => one.materialId === materialId && one.massFreshKg >= massFreshKg);
  return { massFreshKg, lotId: lot?.lotId ?? null };
}

function doseTasks(setting: BedAgendaSetting): Task[] {
  const { plan, books, feedLots } = setting;
  const { feeding } = plan;
  if (!feeding) return [];
  return feeding.doses.map((dose, i) => ({
    key: doseKey(feeding.cropIds[0], i + 1),
    group: 'feeding',
    what: {
      code: 'dose',
      nitrogenG: dose.nitrogenGPerM2 * books.bed.areaM2,
      materialId: dose.materialId,
      ...productOf(dose, books.bed, feedLots),
      cropIds: dose.cropIds,
      missedWithoutG: dose.unmetWithoutG * books.bed.areaM2,
      missedWithG: dose.unmetWithG * books.bed.areaM2,
      waitingCostsG:
        i > 0 || feeding.waitingCostsGPerM2 === null ? null : feeding.waitingCostsGPerM2 * books.bed.areaM2,
    },
    bedId: books.bed.id,
    lotId: null,
    day: dose.day,
    record: null,
    warnings: warningsFor(setting, dose.day, { needsWarmth: true, treadsOrDigs: false, isFeeding: true }),
    lateCost: null,
  }));
}

/** When what was laid no longer starves young plants; only where it does today. */
function safeTasks(setting: BedAgendaSetting): Task[] {
  const { books, plan } = setting;
  if (!SOWN.has(books.bed.kind)) return [];
  return plan.planting
    .filter(({ waitFor, day }) => waitFor === 'lockedUp' && day !== null)
    .map(({ start, day }) =>
      bedTask(setting, {
        key: `safe:${books.bed.id}:${start}`,
        group: 'growing',
        day: day!,
        what: { code: 'safe', start },
      }),
    );
}

function harvestFromTasks(setting: BedAgendaSetting): Task[] {
  const { books, plan } = setting;
  const crops = new Map(books.plantings.map(({ id, cropId }) => [id, cropId]));
  return plan.waits.map((wait) =>
    bedTask(setting, {
      key: `wait:${wait.entryId}:${wait.plantingId}`,
      group: 'growing',
      day: wait.earliestDay,
      what: { code: 'harvestFrom', cropId: crops.get(wait.plantingId)!, raw: wait.code },
    }),
  );
}
