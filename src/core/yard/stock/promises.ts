import type { DayNumber } from '../../ground/index.ts';
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

/** What plans have reserved against what is in stock. */
export interface Promises {
  readonly promised: readonly Promised[];
  readonly promisedL: number;
  /** First planned arrival; until then what is there must do. */
  readonly nextArrival: DayNumber | null;
  /** What can be taken today so that promises until then are still kept, and the reserve with them. */
  readonly freeL: number;
  /** First day on which plans ask for more than there will be. */
  readonly shortOn: DayNumber | null;
  /** First day on which the reserve is broken into. */
  readonly reserveBrokenOn: DayNumber | null;
  /** How much may be taken now and at the beginning of every quarter so that what is available lasts, by quarters. */
  readonly rations: readonly Ration[];
}

/** Equal amounts, so many times, until nothing is left: the pile shrinks meanwhile. */
export interface Ration {
  readonly quarters: number;
  readonly eachL: number;
}

const isTaking = ({ volumeL, cause, missingL }: LotLine): boolean =>
  cause.type !== 'time' && (volumeL < 0 || missingL > 0);

/**
 * The promises on a lot from `today` on: `planned` is its run with plans carried out, `ahead` that of facts followed on,
 * by which a heap shrinks.
 */
export function promisesOf({
  planned,
  ahead,
  thereL,
  today,
  reserveL,
}: {
  readonly planned: LotHistory;
  readonly ahead: LotHistory;
  /** In stock this evening, L: what was taken or crushed today is no longer there to be given. */
  readonly thereL: number;
  readonly today: DayNumber;
  readonly reserveL: number;
}): Promises {
  const coming = planned.lines.filter(({ isPlanned, day }) => isPlanned || day > today);
  const arrival = coming.find(
    ({ cause, isPlanned, volumeL, day }) => cause.type !== 'time' && isPlanned && volumeL > 0 && day >= today,
  );
  const takings = coming.filter((line) => line.isPlanned && isTaking(line));
  const promised = takings.map(promiseOf);
  const until = arrival?.day ?? Infinity;
  const spare = takings
    .filter(({ day }) => day <= until)
    .map(
      ({ day, balance }) => ((balance.volumeL - reserveL) * thereL) / Math.max(volumeOn(ahead, day), 1e-9),
    );
  const freeL = Math.max(0, Math.min(thereL - reserveL, ...spare));
  return {
    promised,
    promisedL: promised.reduce((sum, { litres }) => sum + litres, 0),
    nextArrival: arrival?.day ?? null,
    freeL,
    rations: QUARTERS.map((quarters) => ({
      quarters,
      eachL: thereL > 0 ? (freeL / thereL) * lastingL({ ahead, thereL, today, quarters }) : 0,
    })),
    shortOn: promised.find(({ missingL }) => missingL > 0)?.day ?? null,
    reserveBrokenOn:
      reserveL > 0 ? (takings.find(({ balance }) => balance.volumeL < reserveL)?.day ?? null) : null,
  };
}

/**
 * How much of a taking, L, would not be there, or would break into what is reserved for others or kept back. After the next
 * planned delivery nobody is warned: it may bring enough. `ownL` is what the same plan asks for already.
 */
export function overPromisedL(
  { freeL, nextArrival }: Pick<Promises, 'freeL' | 'nextArrival'>,
  { wantedL, ownL, day }: { readonly wantedL: number; readonly ownL: number; readonly day: DayNumber },
): number {
  if (nextArrival !== null && day >= nextArrival) return 0;
  const overL = wantedL - freeL - ownL;
  return overL > wantedL * NEGLIGIBLE ? overL : 0;
}

/** Heaps are not measured to the litre (set here). */
const NEGLIGIBLE = 0.01;

/** A year and two. */
const QUARTERS = [4, 8] as const;
const QUARTER_DAYS = 91;

/**
 * Equal amounts, L, that use up a pile of `thereL` when one is taken today and one at the beginning of every quarter. An
 * amount takes the same share of what was there today as it is of the whole pile, had nothing been taken, on its day.
 */
function lastingL({
  ahead,
  thereL,
  today,
  quarters,
}: {
  readonly ahead: LotHistory;
  readonly thereL: number;
  readonly today: DayNumber;
  readonly quarters: number;
}): number {
  let sharePerL = 1 / thereL;
  for (let i = 1; i < quarters; i++) sharePerL += 1 / volumeOn(ahead, today + i * QUARTER_DAYS);
  return 1 / sharePerL;
}

/** Volume by the last look on or before a day, L; 0 before anything came. */
const volumeOn = ({ looks }: LotHistory, day: DayNumber): number =>
  looks.findLast((look) => look.day <= day)?.figures.volumeL ?? 0;

const promiseOf = ({ day, cause, volumeL, missingL }: LotLine): Promised => ({
  day,
  cause,
  litres: missingL - volumeL,
  missingL,
});
