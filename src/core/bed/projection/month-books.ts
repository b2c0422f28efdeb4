import { monthStarts } from '../../model/ledger/periods.ts';
import type { DayNumber } from '../../ground/climate/calendar.ts';
import { FLOW_COUNT } from '../../model/ledger/flows.ts';
import { readPostings } from '../../model/ledger/postings.ts';
import type { BalanceSample } from '../../model/ledger/statement.ts';
import { BALANCE_COUNT, readBalances } from '../../model/simulation/books.ts';
import { runTo, startRun } from '../../model/simulation/run.ts';
import type { BedScenario } from '../../model/simulation/scenario.ts';

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
