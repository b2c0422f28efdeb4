import {
  type Crop,
  type DayNumber,
  STARTS_BETWEEN_C,
  airTemperatureC,
  calendarDateOf,
  dayNumberFromIso,
  findCrop,
  frostFrom,
  frostUntil,
} from '../../ground/index.ts';
import type { Planting } from '../../../records/planting.ts';
import { bedTask } from './bed-task.ts';
import type { BedAgendaSetting } from './bed-agenda-setting.ts';
import { type Task, isWithinAgenda } from './tasks.ts';

/** Covers are got ready, and what is ripe is picked, so long before frost is to be reckoned with (set here). */
const WARNED_DAYS = 7;
/** What is said so long after its day helps nobody any more (set here). */
const PAST_DAYS = 14;
const HORIZON_DAYS = 400;
/** Longer before the last frost nobody plants out what frost kills: then the winter after is meant. */
const HALF_YEAR_DAYS = 182;

interface Standing {
  readonly planting: Planting;
  readonly crop: Crop;
  readonly from: DayNumber;
  readonly until: DayNumber;
}

const dayOf = (iso: string): DayNumber => dayNumberFromIso(iso, ['date']);

/** What grows on the bed in the time of the calendar. */
function standing({ books, today }: BedAgendaSetting): Standing[] {
  return books.plantings.flatMap((planting) => {
    const crop = findCrop(planting.cropId, books.crops);
    const from = Math.max(dayOf(planting.plantedOn), today - PAST_DAYS);
    const until = Math.min(
      planting.clearedOn === null ? Infinity : dayOf(planting.clearedOn),
      today + HORIZON_DAYS,
    );
    return crop && from < until ? [{ planting, crop, from, until }] : [];
  });
}

const diesOfFrost = ({ crop }: Standing): boolean => crop.warmth === 'tender' || crop.warmth === 'heat';

/** Frost and heat that are usual for the time of year, while something grows that does not bear them. */
export function weatherTasks(setting: BedAgendaSetting): Task[] {
  const all = standing(setting);
  return [
    ...firstFrosts(setting, all.filter(diesOfFrost)),
    ...lateFrosts(setting, all.filter(diesOfFrost)),
    ...heat(setting, all),
  ].filter(({ day }) => isWithinAgenda(day, setting.today));
}

/** The first frost of autumn, once for all that it would kill. */
function firstFrosts(setting: BedAgendaSetting, tender: readonly Standing[]): Task[] {
  const { climate } = setting.books.site;
  const byDay = new Map<DayNumber, string[]>();
  for (const { planting, from, until } of tender) {
    const day = frostFrom(climate, from);
    // Where frost may come in any month it is nothing to get ready for.
    if (day === null || day === from || day >= until) continue;
    byDay.set(day, [...(byDay.get(day) ?? []), planting.id]);
  }
  return [...byDay].map(([firstDay, plantingIds]) =>
    bedTask(setting, {
      group: 'growing',
      key: `frost:${setting.books.bed.id}:${calendarDateOf(firstDay).year}`,
      day: firstDay - WARNED_DAYS,
      what: { code: 'firstFrost', plantingIds, firstDay },
    }),
  );
}

/** What was set out while frost may still come. */
function lateFrosts(setting: BedAgendaSetting, tender: readonly Standing[]): Task[] {
  const { books, today } = setting;
  return tender.flatMap(({ planting, crop }) => {
    const plantedDay = dayOf(planting.plantedOn);
    const untilDay = planting.state === 'laid' ? frostUntil(books.site.climate, today) : null;
    if (crop.isPerennial || untilDay === null || plantedDay > today || untilDay - plantedDay > HALF_YEAR_DAYS)
      return [];
    return [
      bedTask(setting, {
        group: 'growing',
        key: `late-frost:${planting.id}`,
        day: today,
        what: { code: 'lateFrost', plantingId: planting.id, untilDay },
      }),
    ];
  });
}

/** The first days that are hotter on average than a young annual bears. */
function heat(setting: BedAgendaSetting, all: readonly Standing[]): Task[] {
  const { climate } = setting.books.site;
  return all.flatMap(({ planting, crop, from, until }) => {
    if (crop.isPerennial || crop.isCoverCrop) return [];
    const bearsC = STARTS_BETWEEN_C[crop.warmth].hottestC;
    const isHot = (day: DayNumber): boolean => airTemperatureC(climate, day) > bearsC;
    // Planted into the heat: that was said of its day already.
    if (isHot(dayOf(planting.plantedOn))) return [];
    let day = from;
    while (day < until && !isHot(day)) day++;
    if (day >= until) return [];
    return [
      bedTask(setting, {
        group: 'growing',
        key: `heat:${planting.id}`,
        day,
        what: { code: 'heat', plantingId: planting.id, meanC: bearsC },
      }),
    ];
  });
}
