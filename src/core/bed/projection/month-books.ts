import {
  BALANCE_COUNT,
  type BalanceSample,
  type BedScenario,
  FLOW_COUNT,
  monthStarts,
  readBalances,
  readPostings,
  runTo,
  startRun,
} from '../../model/index.ts';
import type { DayNumber } from '../../ground/index.ts';

/** The books of a bed on one morning. */
export interface BooksSample extends BalanceSample {
  readonly day: DayNumber;
}

export interface MonthBooks {
  readonly startDay: DayNumber;
  readonly endDay: DayNumber;
  /** First morning of every month, and both ends. */
  readonly samples: readonly BooksSample[];
  readonly largestRelativeError: number;
}

/** The books of a run, closed at the end of every month. */
export function monthBooks(scenario: BedScenario): MonthBooks {
  const { startDay, endDay } = scenario;
  const run = startRun(scenario);
  const samples = monthStarts({ fromDay: startDay, untilDay: endDay }).map((day) => {
    runTo(run, day);
    const balances = new Float64Array(BALANCE_COUNT);
    readBalances(run.bed, balances);
    const flows = new Float64Array(FLOW_COUNT);
    readPostings(run.bed.state.postings, flows);
    return { day, balances, flows };
  });
  return { startDay, endDay, samples, largestRelativeError: run.largestRelativeError };
}
