import {
  type DayNumber,
  type FindMaterial,
  type Material,
  calendarDateOf,
  dayNumberFromIso,
  hasTrait,
  isSouthern,
} from '../../ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import type { Bed } from '../../../records/bed.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import { ashOnBed } from './ash-on-bed.ts';
import type { AshCondition } from './ash-recipes.ts';

/** The yearly cap of a bed: the lowest of the trade's recipes (common practice, no source). */
export const ASH_YEARLY_CAP_G_PER_M2 = 100;
/** Above this no ash on beds; below that the first dose may be doubled (common practice, no source). */
export const ASH_HIGHEST_PH = 7.5;
const LOW_PH = 6;
/** Ash and ammonium are kept so far apart on the same ground (the trade says weeks; set here). */
export const APART_DAYS = 21;
const YEAR_DAYS = 365;
/** A month this warm counts as summer heat, its mean in degrees C (set here). */
const SUMMER_FROM_C = 16;
/** Manure this fresh still smells of ammonia (set here). */
const FRESH_AMMONIUM_SHARE = 0.05;

export type AshReason =
  | { readonly code: 'phTooHigh'; readonly ph: number }
  | { readonly code: 'phUnknown' }
  | { readonly code: 'retestFirst'; readonly since: DayNumber }
  | {
      readonly code: 'nearAmmonium';
      readonly entryId: string;
      readonly day: DayNumber;
      readonly freeFrom: DayNumber;
    }
  | { readonly code: 'capReached'; readonly givenGPerM2: number; readonly againFrom: DayNumber }
  | { readonly code: 'wrongSeason'; readonly fromMonth: number; readonly untilMonth: number }
  | { readonly code: 'growingPlants'; readonly plantingId: string }
  | { readonly code: 'summerHeat'; readonly plantingId: string }
  | { readonly code: 'sooty' }
  | { readonly code: 'dirtyWood' }
  | { readonly code: 'sieveFirst' }
  | { readonly code: 'damp' };

/** Whether ash may go on a bed, how much at most, and why not. */
export interface AshGate {
  readonly isOpen: boolean;
  /** What stops it; empty when it is open. */
  readonly stops: readonly AshReason[];
  /** What to mind though it may be done. */
  readonly minds: readonly AshReason[];
  /** Still free under the cap of the last twelve months, g/m2. */
  readonly leftGPerM2: number;
  readonly capGPerM2: number;
  readonly givenGPerM2: number;
  /** Of that, what came in with compost. */
  readonly givenInCompostGPerM2: number;
  readonly ph: { readonly value: number; readonly day: DayNumber | null } | null;
}

export interface AshQuestion {
  readonly bed: Bed;
  readonly entries: readonly Entry[];
  readonly plantings: readonly Planting[];
  readonly climate: ClimateNormals;
  readonly day: DayNumber;
  readonly condition: AshCondition;
  /** Ash in what the stock gave for entries, g by entry. */
  readonly takenG?: Readonly<Record<string, number>>;
}

const dayOf = (iso: string): DayNumber => dayNumberFromIso(iso, ['date']);

function lastPh({ bed, entries, day }: AshQuestion): AshGate['ph'] {
  const tests = entries.flatMap((entry) =>
    entry.type === 'soilTest' && entry.ph !== null && dayOf(entry.date) <= day
      ? [{ value: entry.ph, day: dayOf(entry.date) }]
      : [],
  );
  const last = tests.sort((a, b) => a.day - b.day).at(-1);
  if (last) return last;
  return bed.ph === null ? null : { value: bed.ph, day: null };
}

/** Brings ammonium that ash would drive off: quick feed, urine, fresh manure. Finished compost does not. */
function bringsAmmonium(entry: Entry, findMaterial: FindMaterial): boolean {
  if (entry.type === 'feed') return true;
  if (entry.type !== 'lay') return false;
  const material = findMaterial(entry.materialId, dayOf(entry.date));
  return (
    material !== undefined &&
    !hasTrait(material, 'isMature') &&
    material.nitrogenFractionDryBasis > 0 &&
    material.ammoniumShareOfNitrogen >= FRESH_AMMONIUM_SHARE
  );
}

/** Months in which ash is spread: autumn to early spring. */
function ashMonths(climate: ClimateNormals): readonly [from: number, until: number] {
  return isSouthern(climate) ? [4, 9] : [10, 3];
}

const isWithin = (month: number, [from, until]: readonly [number, number]): boolean =>
  from <= until ? month >= from && month <= until : month >= from || month <= until;

function isGrowing({ plantedOn, clearedOn }: Planting, day: DayNumber): boolean {
  return dayOf(plantedOn) <= day && (clearedOn === null || dayOf(clearedOn) > day);
}

type Weighed = AshReason | false | null | undefined;
const isReason = (reason: Weighed): reason is AshReason => Boolean(reason);

/** What to mind though it may be done. */
function mindsOf(
  { climate, day, condition }: AshQuestion,
  ph: AshGate['ph'],
  growing: Planting | undefined,
): AshReason[] {
  const months = ashMonths(climate);
  const minds: Weighed[] = [
    ph === null && { code: 'phUnknown' },
    !isWithin(calendarDateOf(day).month, months) && {
      code: 'wrongSeason',
      fromMonth: months[0],
      untilMonth: months[1],
    },
    growing && { code: 'growingPlants', plantingId: growing.id },
    !condition.isSieved && { code: 'sieveFirst' },
    condition.isDamp && { code: 'damp' },
  ];
  return minds.filter(isReason);
}

/** Weighs whether ash may go on a bed on a day. */
export function ashGate(question: AshQuestion, findMaterial: FindMaterial): AshGate {
  const { bed, entries, day, climate, plantings, condition } = question;
  const ash = ashOnBed({ entries, areaM2: bed.areaM2 }, question.takenG ?? {}, findMaterial);
  const lastYear = ash.filter((one) => one.day > day - YEAR_DAYS && one.day <= day);
  const given = lastYear.reduce((sum, one) => sum + one.gPerM2, 0);
  const ph = lastPh(question);
  const isSour = ph !== null && ph.value < LOW_PH;
  const sinceTest = ash.filter((one) => one.day <= day && (ph?.day == null || one.day > ph.day));
  const sinceTestG = sinceTest.reduce((sum, one) => sum + one.gPerM2, 0);
  // Sour ground: the first dose may be doubled, and then a test comes before any more.
  const capGPerM2 =
    isSour && given === 0 && sinceTest.length === 0 ? ASH_YEARLY_CAP_G_PER_M2 * 2 : ASH_YEARLY_CAP_G_PER_M2;
  const left = Math.max(0, capGPerM2 - given);
  const near = entries
    .filter((entry) => bringsAmmonium(entry, findMaterial) && Math.abs(dayOf(entry.date) - day) < APART_DAYS)
    .at(0);
  const growing = plantings.find((one) => isGrowing(one, day));
  const stops: Weighed[] = [
    ph !== null && ph.value > ASH_HIGHEST_PH && { code: 'phTooHigh', ph: ph.value },
    near && {
      code: 'nearAmmonium',
      entryId: near.id,
      day: dayOf(near.date),
      freeFrom: dayOf(near.date) + APART_DAYS,
    },
    isSour &&
      sinceTestG > ASH_YEARLY_CAP_G_PER_M2 && {
        code: 'retestFirst',
        since: Math.max(...sinceTest.map((one) => one.day)),
      },
    left <= 0 && {
      code: 'capReached',
      givenGPerM2: given,
      againFrom: Math.min(...lastYear.map((one) => one.day)) + YEAR_DAYS,
    },
    growing &&
      climate.temperatureC[calendarDateOf(day).month - 1] >= SUMMER_FROM_C && {
        code: 'summerHeat',
        plantingId: growing.id,
      },
    condition.isSooty && { code: 'sooty' },
    !condition.isCleanWood && { code: 'dirtyWood' },
  ];
  const stopping = stops.filter(isReason);
  return {
    isOpen: stopping.length === 0,
    stops: stopping,
    minds: mindsOf(question, ph, growing),
    leftGPerM2: left,
    capGPerM2,
    givenGPerM2: given,
    givenInCompostGPerM2: lastYear
      .filter(({ isSpread }) => !isSpread)
      .reduce((sum, one) => sum + one.gPerM2, 0),
    ph,
  };
}

/**
 * Whether ash may go into a pile: into what has rotted through, never into fresh manure or a heap at work, which have
 * ammonium or soon will (common practice, no source).
 */
export const heapTakesAsh = (pile: Pick<Material, 'traits'>): boolean => hasTrait(pile, 'isMature');
