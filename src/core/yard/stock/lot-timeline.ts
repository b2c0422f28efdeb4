import type { DayNumber, MaterialKind } from '../../ground/index.ts';
import { lockUpPower, type LockUpPower } from './lock-up-power.ts';
import { isEmpty, type LotContents } from './lot-contents.ts';
import { isMix, kindOf, type LotFigures } from './lot-figures.ts';
import { seasonedLimit } from './lot-outlook.ts';
import { whatOf, type LotWhat } from './lot-what.ts';
import type { LotHistory } from './run-stock.ts';

/** The months from today on at which a pile is told. */
export const TIMELINE_MONTHS = [0, 3, 6, 12, 18, 24] as const;
const DAYS_PER_MONTH = 365 / 12;

/** A pile on one day to come, as the books and its plans have it. */
export interface TimelinePoint {
  readonly months: number;
  readonly day: DayNumber;
  /** Null when there is nothing in it then. */
  readonly there: {
    readonly figures: LotFigures;
    readonly kind: MaterialKind;
    readonly what: LotWhat;
    readonly power: LockUpPower;
    readonly ripeness: Ripeness | null;
  } | null;
}

/** How far wood and straw are on their way to locking up half as much. */
export type Ripeness = 'fresh' | 'seasoned';

/**
 * A pile this evening and in the two years to come, with its plans carried out. Volume and weight are those of the week, what it
 * would lock up that of the last four.
 */
export const lotTimeline = (
  { today, planned }: { readonly today: LotHistory; readonly planned: LotHistory },
  todayIs: DayNumber,
): TimelinePoint[] =>
  TIMELINE_MONTHS.map((months) => {
    const day = todayIs + Math.round(months * DAYS_PER_MONTH);
    return { months, day, there: thereOn(months === 0 ? today : planned, day, seasonedLimit(planned)) };
  });

function ripenessOf(
  contents: LotContents,
  { peakLockGPerKgDry }: LockUpPower,
  limit: number | null,
): Ripeness | null {
  if (limit === null || isMix(contents)) return null;
  return peakLockGPerKgDry <= limit ? 'seasoned' : 'fresh';
}

function thereOn({ looks }: LotHistory, day: DayNumber, limit: number | null): TimelinePoint['there'] {
  // What is put in or taken out on a day is there in its evening.
  const look = looks.findLast((one) => one.day <= day + 1);
  const held = looks.findLast((one) => one.day <= day + 1 && one.contents !== null)?.contents;
  if (!look || !held || look.figures.volumeL <= 0 || isEmpty(held)) return null;
  const power = lockUpPower(held);
  return {
    figures: look.figures,
    kind: kindOf(held),
    what: whatOf(held),
    power,
    ripeness: ripenessOf(held, power, limit),
  };
}
