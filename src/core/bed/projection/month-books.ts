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
  /** The morning after today: what is posted from then on is forecast. */
  readonly forecastFromDay: DayNumber;
  /** First morning of every month, that on which the forecast begins, and both ends. */
  readonly samples: readonly BooksSample[];
  readonly largestRelativeError: number;
}

/** The books of a run, closed at the end of every month and of today. */
export function monthBooks(scenario: BedScenario, today: DayNumber): MonthBooks {
  const { startDay, endDay } = scenario;
  const forecastFromDay = Math.min(endDay, Math.max(startDay, today + 1));
  const mornings = new Set([...monthStarts({ fromDay: startDay, untilDay: endDay }), forecastFromDay]);
  const run = startRun(scenario);
  const samples = [...mornings]
    .sort((a, b) => a - b)
    .map((day) => {
      runTo(run, day);
      const balances = new Float64Array(BALANCE_COUNT);
      readBalances(run.bed, balances);
      const flows = new Float64Array(FLOW_COUNT);
      readPostings(run.bed.state.postings, flows);
      return { day, balances, flows };
    });
  return { startDay, endDay, forecastFromDay, samples, largestRelativeError: run.largestRelativeError };
}
