import type { DayNumber } from '../climate/calendar.ts';
import type { LotHistory } from './run-stock.ts';
import type { LineCause, LotLine } from './stock-ledger.ts';

/** Something that is meant to be taken from a lot. */
export interface Promised {
  readonly day: DayNumber;
  readonly cause: LineCause;
  readonly litres: number;
  /** What would not be there. */
  readonly missingL: number;
}

/** What is promised to plans against what is there. */
export interface Promises {
  readonly promised: readonly Promised[];
  readonly promisedL: number;
  /** First planned arrival; until then what is there must do. */
  readonly nextArrival: DayNumber | null;
  /** What is free to use until then, after promises, rotting and the reserve. */
  readonly freeL: number;
  /** First day on which plans ask for more than there will be. */
  readonly shortOn: DayNumber | null;
  /** First day on which the reserve is broken into. */
  readonly reserveBrokenOn: DayNumber | null;
}

const isTaking = ({ volumeL, cause, missingL }: LotLine): boolean =>
  cause.type !== 'time' && (volumeL < 0 || missingL > 0);

/** The promises on a lot, by the run with plans carried out, from `today` on. */
export function promisesOf(history: LotHistory, today: DayNumber, reserveL: number): Promises {
  const ahead = history.lines.filter(({ isPlanned, day }) => isPlanned || day >= today);
  const arrival = ahead.find(
    ({ cause, isPlanned, volumeL, day }) => cause.type !== 'time' && isPlanned && volumeL > 0 && day >= today,
  );
  const promised = ahead.filter((line) => line.isPlanned && isTaking(line)).map(promiseOf);
  const until = arrival?.day ?? Infinity;
  const balances = ahead.filter(({ day }) => day <= until).map(({ balance }) => balance.volumeL);
  const before =
    history.lines.findLast(({ day, isPlanned }) => day <= today && !isPlanned)?.balance.volumeL ?? 0;
  const lowest = Math.min(before, ...balances);
  return {
    promised,
    promisedL: promised.reduce((sum, { litres }) => sum + litres, 0),
    nextArrival: arrival?.day ?? null,
    freeL: Math.max(0, lowest - reserveL),
    shortOn: promised.find(({ missingL }) => missingL > 0)?.day ?? null,
    reserveBrokenOn:
      reserveL > 0
        ? (ahead.find(({ cause, balance }) => cause.type !== 'time' && balance.volumeL < reserveL)?.day ??
          null)
        : null,
  };
}

const promiseOf = ({ day, cause, volumeL, missingL }: LotLine): Promised => ({
  day,
  cause,
  litres: missingL - volumeL,
  missingL,
});
