import type { School } from '../../../records/vocabulary.ts';
import { type DayNumber, dayNumberFromIso } from '../../ground/index.ts';
import type { BedScenario } from '../../model/index.ts';
import type { BedBooks } from '../books/bed-books.ts';
import { bedScenario } from '../books/bed-scenario.ts';
import { type GardenRecords, booksOfBed, carriedForward, materialFinder } from '../books/garden-books.ts';
import type { BedProjection } from '../projection/bed-projection.ts';
import { adviceSetting } from './advice-setting.ts';
import {
  ADVICE_DAYS,
  type BedPlan,
  type BedStanding,
  bedStanding,
  planBed,
  projectForAdvice,
} from './bed-plan.ts';
import { type PastKeeper, pastOf } from './bed-past.ts';

/** A bed of a garden with its plan, and what that was worked out from. */
export interface PlannedBed {
  /** With plans gone by carried forward to today. */
  readonly books: BedBooks;
  readonly scenario: BedScenario;
  readonly projection: BedProjection;
  readonly standing: BedStanding;
  /** Worked out when it is first asked for: a line of the garden needs only how the bed stands. */
  readonly plan: BedPlan;
  readonly today: DayNumber;
}

/** Each question for itself. */
const NOTHING_KEPT: PastKeeper = { find: () => undefined, keep: () => undefined };

/**
 * The plan of a bed as its records stand on a day, by the school of the garden or by another. `booksOf` may remember what
 * it worked out of the stock, `keeper` how the bed came to be what it is. Undefined when the garden has no such bed.
 */
export function planOfBed({
  records,
  bedId,
  todayIso,
  school,
  booksOf = booksOfBed,
  keeper = NOTHING_KEPT,
}: {
  readonly records: GardenRecords;
  readonly bedId: string;
  readonly todayIso: string;
  readonly school?: School;
  readonly booksOf?: (records: GardenRecords, bedId: string) => BedBooks | undefined;
  readonly keeper?: PastKeeper;
}): PlannedBed | undefined {
  const today = dayNumberFromIso(todayIso, ['today']);
  const books = booksOf(carriedForward(records, todayIso), bedId);
  if (!books) return undefined;
  const findMaterial = materialFinder(records);
  const scenario = bedScenario({ books, findMaterial, today, endDay: today + ADVICE_DAYS });
  // When a path became crumbs may be told years later.
  const past = books.bed.kind === 'path' ? null : pastOf(scenario, today, keeper);
  const projected = projectForAdvice(scenario, today, past);
  const advice = adviceSetting({ records, books, today, ...(school ? { school } : {}) });
  const setting = { books, findMaterial, scenario, ...projected, today, advice };
  const standing = bedStanding(setting);
  let plan: BedPlan | undefined;
  return {
    books,
    scenario,
    projection: projected.projection,
    today,
    standing,
    get plan() {
      return (plan ??= planBed(setting, standing));
    },
  };
}
