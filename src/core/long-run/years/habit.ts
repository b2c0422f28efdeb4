import type { Habit, HabitAct, LayAct } from '../../../records/habit.ts';
import {
  type Crop,
  type DayNumber,
  type FindMaterial,
  MULCH_KINDS,
  calendarDateOf,
  dayNumberOf,
  findCrop,
  isSouthern,
  isoDateOf,
  massFreshKgFromAmount,
} from '../../ground/index.ts';
import { InputError, requireNumber, requireOneOf, type FieldPath } from '../../../refusals/input-error.ts';
import type { BedBooks } from '../../bed/index.ts';
import type { OwnCrop } from '../../../records/crop.ts';
import type { Entry, LayEntry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import { AMOUNT_UNITS, MOST_YEARS } from '../../../records/vocabulary.ts';

export const HABIT_ACT_TYPES = ['lay', 'grow', 'feed', 'pull'] as const;

const CM_PER_M = 100;
/** As deep as the model lets anything be laid at once. */
const MOST_CM_AT_A_TIME = 100;
const MID_MONTH = 15;
const MONTHS = 12;

/** What the materials and crops of a habit are looked up in. */
export interface HabitNames {
  readonly findMaterial: FindMaterial;
  readonly crops: readonly OwnCrop[];
}

/** Throws InputError naming the field for a habit that cannot be followed. */
export function checkHabit(habit: Habit, names: HabitNames): void {
  habit.acts.forEach((act, i) => checkAct(act, ['acts', i], names));
}

const isWhole = ({
  value,
  path,
  min,
  max,
}: {
  readonly value: number;
  readonly path: FieldPath;
  readonly min: number;
  readonly max: number;
}): void => {
  requireNumber(value, path, { min, max });
  if (!Number.isInteger(value)) {
    throw new InputError(path, 'notWhole', { got: value });
  }
};

function checkAct(act: HabitAct, path: FieldPath, { findMaterial, crops }: HabitNames): void {
  isWhole({ value: act.month, path: [...path, 'month'], min: 1, max: MONTHS });
  isWhole({ value: act.everyYears, path: [...path, 'everyYears'], min: 1, max: MOST_YEARS });
  isWhole({ value: act.fromYear, path: [...path, 'fromYear'], min: 1, max: MOST_YEARS });
  if (act.untilYear !== null) {
    isWhole({ value: act.untilYear, path: [...path, 'untilYear'], min: 1, max: MOST_YEARS });
    if (act.untilYear < act.fromYear) {
      throw new InputError([...path, 'untilYear'], 'endsBeforeItStarts', {
        fromYear: act.fromYear,
        untilYear: act.untilYear,
      });
    }
  }
  if (act.type === 'feed')
    requireNumber(act.nitrogenGPerM2, [...path, 'nitrogenGPerM2'], { above: 0, max: 100 });
  if (act.type === 'grow' && !findCrop(act.cropId, crops)?.isCoverCrop) {
    throw new InputError([...path, 'cropId'], 'namesNone', { what: 'coverCrop', got: act.cropId });
  }
  if (act.type === 'lay') checkLay(act, path, findMaterial);
}

function checkLay(act: LayAct, path: FieldPath, findMaterial: FindMaterial): void {
  requireNumber(act.amount, [...path, 'amount'], { above: 0 });
  requireOneOf(act.unit, [...path, 'unit'], AMOUNT_UNITS);
  requireNumber(act.dugDepthCm, [...path, 'dugDepthCm'], { min: 0, max: 200 });
  requireNumber(act.seasonedMonths, [...path, 'seasonedMonths'], { min: 0, max: 120 });
  const material = findMaterial(act.materialId);
  if (!material) {
    throw new InputError([...path, 'materialId'], 'namesNone', { what: 'material', got: act.materialId });
  }
  const thicknessCm = (massOfLay(act, findMaterial) / material.bulkDensityKgPerM3) * CM_PER_M;
  if (thicknessCm > MOST_CM_AT_A_TIME) {
    throw new InputError([...path, 'amount'], 'wouldLieTooDeep', { thicknessCm, mostCm: MOST_CM_AT_A_TIME });
  }
}

/** The years ahead, counted from 1, in which an act is done. */
export function yearsOfAct({ fromYear, untilYear, everyYears }: HabitAct, years: number): number[] {
  const last = Math.min(untilYear ?? years, years);
  const found: number[] = [];
  for (let year = fromYear; year <= last; year += everyYears) found.push(year);
  return found;
}

/**
 * A month of the northern year as this garden has it, or back: half a year apart is the same both ways.
 *
 * @example
 * ownMonth(5, true) // 11
 */
export const ownMonth = (northernMonth: number, isSouth: boolean): number =>
  isSouth ? ((northernMonth + 5) % MONTHS) + 1 : northernMonth;

/** The middle of a month of the northern year, in the year ahead that is asked for; after `today`. */
export function dayOfAct({
  books,
  month,
  year,
  today,
}: {
  readonly books: Pick<BedBooks, 'site'>;
  readonly month: number;
  readonly year: number;
  readonly today: DayNumber;
}): DayNumber {
  const own = ownMonth(month, isSouthern(books.site.climate));
  const { year: now } = calendarDateOf(today);
  const thisYears = dayNumberOf({ year: now, month: own, day: MID_MONTH });
  const first = thisYears > today ? now : now + 1;
  return dayNumberOf({ year: first + year - 1, month: own, day: MID_MONTH });
}

/** Fresh mass on a square metre, kg. */
export function massOfLay({ amount, unit, materialId }: LayAct, findMaterial: FindMaterial): number {
  const { bulkDensityKgPerM3 } = findMaterial(materialId)!;
  return massFreshKgFromAmount({ amount, unit, measured: { bulkDensityKgPerM3, areaM2: 1 } });
}

export interface HabitSetting {
  readonly findMaterial: FindMaterial;
  readonly today: DayNumber;
  readonly years: number;
}

/** A habit as the records it would become on a bed; ids say which act in which calendar year. */
export interface HabitRecords {
  readonly entries: readonly Entry[];
  readonly plantings: readonly Planting[];
}

/** The records of a habit on a bed, ascending by date; layers already on the bed are among what a pull takes off. */
export function habitRecords({
  habit,
  books,
  setting,
  prefix = 'habit',
}: {
  readonly habit: Habit;
  readonly books: BedBooks;
  readonly setting: HabitSetting;
  readonly prefix?: string;
}): HabitRecords {
  const { findMaterial, today, years } = setting;
  const entries: Entry[] = [];
  const plantings: Planting[] = [];
  const pulls: { readonly id: string; readonly day: DayNumber }[] = [];
  habit.acts.forEach((act, i) => {
    for (const year of yearsOfAct(act, years)) {
      const day = dayOfAct({ books, month: act.month, year, today });
      const common = {
        id: `${prefix}-${i + 1}-${calendarDateOf(day).year}`,
        state: 'planned' as const,
        date: isoDateOf(day),
      };
      if (act.type === 'lay') entries.push(layRecord({ act, common, books, findMaterial }));
      if (act.type === 'feed') {
        entries.push({ ...common, type: 'feed', nitrogenG: act.nitrogenGPerM2 * books.bed.areaM2 });
      }
      if (act.type === 'grow') plantings.push(coverRecord(findCrop(act.cropId, books.crops)!, common, day));
      if (act.type === 'pull') pulls.push({ id: common.id, day });
    }
  });
  entries.push(...pulledOff(pulls, [...books.entries, ...entries], findMaterial));
  return { entries: entries.toSorted((a, b) => a.date.localeCompare(b.date)), plantings };
}

interface CommonRecord {
  readonly id: string;
  readonly state: 'planned';
  readonly date: string;
}

function layRecord({
  act,
  common,
  books: { bed },
  findMaterial,
}: {
  readonly act: LayAct;
  readonly common: CommonRecord;
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
}): LayEntry {
  const massFreshKg = massOfLay(act, findMaterial) * bed.areaM2;
  const { materialId, dugDepthCm, seasonedMonths } = act;
  return { ...common, type: 'lay', materialId, lotId: null, massFreshKg, dugDepthCm, seasonedMonths };
}

function coverRecord(crop: Crop, common: CommonRecord, day: DayNumber): Planting {
  return {
    id: common.id,
    state: 'planned',
    cropId: crop.id,
    plantedOn: common.date,
    clearedOn: isoDateOf(day + crop.daysInGround),
    startsAs: crop.startsAs,
    areaShare: 1,
    isUndersown: false,
    nitrogenDemandGPerM2: crop.nitrogenDemandGPerM2,
    rootDepthCm: crop.rootDepthCm,
  };
}

/** For every pull, what lies on top by then as mulch: each layer is pulled once. */
function pulledOff(
  pulls: readonly { readonly id: string; readonly day: DayNumber }[],
  entries: readonly Entry[],
  findMaterial: FindMaterial,
): Entry[] {
  const dug = new Set(entries.flatMap((one) => (one.type === 'dig' ? [one.layerId] : [])));
  const mulches = entries.filter(
    (one): one is LayEntry =>
      one.type === 'lay' &&
      one.dugDepthCm === 0 &&
      MULCH_KINDS.has(findMaterial(one.materialId)?.kind ?? 'paper') &&
      !dug.has(one.id) &&
      !dug.has(null),
  );
  const gone = new Set<string>();
  return pulls
    .toSorted((a, b) => a.day - b.day)
    .flatMap(({ id, day }) => {
      const date = isoDateOf(day);
      const there = mulches.filter((one) => one.date < date && !gone.has(one.id));
      there.forEach((one) => gone.add(one.id));
      return there.map((one, k): Entry => ({
        id: `${id}-${k + 1}`,
        state: 'planned',
        date,
        type: 'takeOff',
        layerId: one.id,
        shareTakenOff: 1,
      }));
    });
}
