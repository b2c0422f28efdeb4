import { type DayNumber, calendarDateOf, dayNumberFromIso, dayNumberOf } from '../../ground/index.ts';
import {
  type BedScenario,
  type Bookmark,
  runTo,
  startRun,
  takeBookmark,
  withoutMaterials,
} from '../../model/index.ts';

/** A bed on one morning, with its materials and without. */
export interface Mornings {
  readonly own: Bookmark;
  readonly bare: Bookmark;
}

/** A bed on a morning so long ago that nothing is told of it that is older. */
export type BedPast = Mornings;

/**
 * Where pasts are kept between questions. A past is found again by all that shaped it, so that one that was kept before
 * a record was changed is never taken for the new one.
 */
export interface PastKeeper {
  readonly find: (key: string) => BedPast | undefined;
  readonly keep: (key: string, past: BedPast) => void;
}

/** A lock-up that began before this is told from here on: nothing that was laid then still locks up much, days. */
export const TOLD_BACK_DAYS = 400;

/**
 * The morning from which a bed is run for its plan: the first of a month, so that it stays the same for weeks. Null where
 * its books begin later.
 */
export function pastDayOf({ startDay }: Pick<BedScenario, 'startDay'>, today: DayNumber): DayNumber | null {
  const { year, month } = calendarDateOf(today - TOLD_BACK_DAYS);
  const day = dayNumberOf({ year, month, day: 1 });
  return day > startDay ? day : null;
}

/** All that shapes a bed until the morning of a day. */
function keyOf(scenario: BedScenario, day: DayNumber): string {
  const { endDay: _, events, crops, weather, ...unchanging } = scenario;
  return JSON.stringify([
    day,
    unchanging,
    events.filter((event) => event.day < day),
    crops.filter(({ plantDay }) => plantDay < day),
    weather?.filter(({ date }) => dayNumberFromIso(date, ['weather', 'date']) < day),
  ]);
}

function runUntil(scenario: BedScenario, day: DayNumber): Bookmark {
  const run = startRun(scenario);
  runTo(run, day);
  return takeBookmark(run);
}

/** The past of a bed: what `keeper` has kept of it, or worked out and kept from now on. Null where there is none. */
export function pastOf(scenario: BedScenario, today: DayNumber, keeper: PastKeeper): BedPast | null {
  const day = pastDayOf(scenario, today);
  if (day === null) return null;
  const key = keyOf(scenario, day);
  const known = keeper.find(key);
  if (known) return known;
  const past = { own: runUntil(scenario, day), bare: runUntil(withoutMaterials(scenario), day) };
  keeper.keep(key, past);
  return past;
}
