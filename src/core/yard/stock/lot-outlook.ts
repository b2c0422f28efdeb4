import { airTemperatureC, type DayNumber, type MaterialKind } from '../../ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import { withOverrides } from '../../model/index.ts';
import { heapRipeness, type HeapRipeness } from './heap-ripeness.ts';
import { heapTemperatureC, type TemperatureReading } from './keeping.ts';
import { lockUpPower, type LockUpPower } from './lock-up-power.ts';
import { isEmpty, type LotContents, volumeL } from './lot-contents.ts';
import { figuresOf, isMix, kindOf, type LotFigures } from './lot-figures.ts';
import { whatOf, type LotWhat } from './lot-what.ts';
import { nearestMaterialId } from './nearest-material.ts';
import { promisesOf, type Promises } from './promises.ts';
import type { LotHistory, StockRun } from './run-stock.ts';

/** How far ahead a lot is followed. */
export const LOT_HORIZON_DAYS = 730;
/** Seasoned: it locks up half of what it locked up when fresh (set here; the trade says a year). */
const SEASONED_SHARE = 0.5;
const SEASONS: ReadonlySet<MaterialKind> = new Set(['wood', 'residue', 'leaf', 'manure']);
/** Material that never locked up this much is not worth seasoning, g N per kg dry matter (set here). */
const WORTH_SEASONING = 0.5;

/** Lock-up power on a day. */
export interface PowerPoint extends LockUpPower {
  readonly day: DayNumber;
}

export interface LotCourse {
  readonly lotId: string;
  readonly openedOn: DayNumber | null;
  readonly course: readonly { readonly day: DayNumber; readonly figures: LotFigures }[];
  readonly power: readonly PowerPoint[];
  readonly balanceError: number;
}

/** A lot in one line of the stock. */
export interface LotBrief {
  readonly lotId: string;
  /** Null when there is nothing in it on the day. */
  readonly now: LotFigures | null;
  readonly kind: MaterialKind;
  /** What it has become; null for an empty lot. */
  readonly what: LotWhat | null;
  /** Library material it comes nearest to, for its look and cautions; null for an empty lot. */
  readonly nearestMaterialId: string | null;
  readonly openedOn: DayNumber | null;
  readonly warmthC: number | null;
  /**
   * What it would have inside by the model alone, from half a year ago to four weeks on; empty for what heats not by
   * itself.
   */
  readonly predictedWarmth: readonly TemperatureReading[];
  /** Null for what is not on its way to compost. */
  readonly heap: HeapRipeness | null;
  readonly power: LockUpPower | null;
  /** Null for what needs no seasoning, or never gets there within two years. */
  readonly seasonedOn: DayNumber | null;
  readonly needsSeasoning: boolean;
  /** First day on which a mix counts as finished compost; null when it does not within two years. */
  readonly finishedOn: DayNumber | null;
  readonly promises: Promises;
}

/** Looks whose contents are kept, from the first on. */
const outlookOf = (history: LotHistory) =>
  history.looks.flatMap(({ day, contents }) => (contents && !isEmpty(contents) ? [{ day, contents }] : []));

function firstDay(history: LotHistory, holds: (contents: LotContents) => boolean): DayNumber | null {
  return outlookOf(history).find(({ contents }) => holds(contents))?.day ?? null;
}

/** What a pile locks up at most once it is seasoned, g N per kg dry matter; null for what needs no seasoning. */
export function seasonedLimit(history: LotHistory): number | null {
  const first = outlookOf(history).at(0);
  if (!first || !SEASONS.has(kindOf(first.contents))) return null;
  const fresh = lockUpPower(first.contents).peakLockGPerKgDry;
  return fresh < WORTH_SEASONING ? null : fresh * SEASONED_SHARE;
}

function seasoning(history: LotHistory): Pick<LotBrief, 'seasonedOn' | 'needsSeasoning'> {
  const limit = seasonedLimit(history);
  if (limit === null) return { seasonedOn: null, needsSeasoning: false };
  return {
    needsSeasoning: true,
    seasonedOn: firstDay(history, (contents) => lockUpPower(contents).peakLockGPerKgDry <= limit),
  };
}

export interface OutlookSetting {
  readonly climate: ClimateNormals;
  readonly today: DayNumber;
  readonly readings: readonly TemperatureReading[];
  readonly reserveL: number;
}

/**
 * A lot as it stands. `today` is the run of facts up to the day, `ahead` that of facts followed on, `planned` that with
 * plans carried out.
 */
export function lotBrief(
  {
    today,
    ahead,
    planned,
  }: { readonly today: StockRun; readonly ahead: StockRun; readonly planned: StockRun },
  lotId: string,
  setting: OutlookSetting,
): LotBrief {
  const now = today.lots.get(lotId)!;
  const future = ahead.lots.get(lotId)!;
  const isThere = now.openedOn !== null && !isEmpty(now.contents);
  const promises = promisesOf({
    planned: planned.lots.get(lotId)!,
    ahead: future,
    thereL: isThere ? volumeL(now.contents) : 0,
    today: setting.today,
    reserveL: setting.reserveL,
  });
  if (!isThere) {
    return {
      lotId,
      now: null,
      kind: 'none',
      what: null,
      nearestMaterialId: null,
      openedOn: now.openedOn,
      warmthC: null,
      predictedWarmth: [],
      heap: null,
      power: null,
      seasonedOn: null,
      needsSeasoning: false,
      finishedOn: null,
      promises,
    };
  }
  const warmthC = warmthOn(setting.today, now, setting);
  return {
    lotId,
    now: figuresOf(now.contents),
    kind: kindOf(now.contents),
    what: whatOf(now.contents),
    nearestMaterialId: nearestMaterialId(now.contents),
    openedOn: now.openedOn,
    warmthC,
    predictedWarmth: predictedWarmth(now, setting),
    heap: heapRipeness(now.contents, warmthC, airTemperatureC(setting.climate, setting.today)),
    power: lockUpPower(now.contents),
    ...seasoning(future),
    finishedOn: finishedOn(now, future, setting.today),
    promises,
  };
}

const warmthOn = (
  day: DayNumber,
  { treatment, heatingFrom }: LotHistory,
  { climate, readings }: Pick<OutlookSetting, 'climate' | 'readings'>,
): number => heapTemperatureC({ climate, day, treatment, heatingFrom, readings, p: withOverrides() });

const PREDICTED_PAST_DAYS = 182;
const PREDICTED_AHEAD_DAYS = 28;
const PREDICTED_EVERY_DAYS = 2;

function predictedWarmth(lot: LotHistory, { climate, today }: OutlookSetting): TemperatureReading[] {
  if (!lot.treatment.isHot) return [];
  const first = Math.max(lot.heatingFrom, today - PREDICTED_PAST_DAYS);
  const count = Math.floor((today + PREDICTED_AHEAD_DAYS - first) / PREDICTED_EVERY_DAYS) + 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => {
    const day = first + i * PREDICTED_EVERY_DAYS;
    return { day, temperatureC: warmthOn(day, lot, { climate, readings: [] }) };
  });
}

/** For what is a mix: today when it is compost by now, else the day it will be. */
function finishedOn(now: LotHistory, future: LotHistory, today: DayNumber): DayNumber | null {
  if (!isMix(now.contents)) return null;
  const found = firstDay(future, (contents) => kindOf(contents) === 'compost');
  return kindOf(now.contents) === 'compost' ? Math.min(today, found ?? today) : found;
}

/** A lot through time, past and to come: figures every week, lock-up power every fourth. */
export function lotCourse(history: LotHistory): LotCourse {
  return {
    lotId: history.lotId,
    openedOn: history.openedOn,
    course: history.looks.map(({ day, figures }) => ({ day, figures })),
    power: outlookOf(history).map(({ day, contents }) => ({ day, ...lockUpPower(contents) })),
    balanceError: history.balanceError,
  };
}
