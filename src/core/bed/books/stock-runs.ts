import { type DayNumber, dayNumberFromIso } from '../../ground/index.ts';
import {
  LOT_HORIZON_DAYS,
  type StockMemory,
  type StockRun,
  emptyMemory,
  runStock,
} from '../../yard/index.ts';
import { type GardenRecords, carriedForward, materialFinder, stockBooksOf } from './garden-books.ts';

/** Three ways to follow the stock of a garden: what every page about it is a view of. */
export interface StockRuns {
  /** Facts, to this evening: what is done today is there. */
  readonly today: StockRun;
  /** Facts followed on. */
  readonly ahead: StockRun;
  /** With plans carried out. */
  readonly planned: StockRun;
}

/** Plans gone by are carried forward to today. `memory` may know most of it. */
export function stockRuns(
  records: GardenRecords,
  todayIso: string,
  memory: StockMemory = emptyMemory(),
): StockRuns {
  const books = stockBooksOf(carriedForward(records, todayIso));
  const find = materialFinder(records);
  const day = dayNumberFromIso(todayIso, ['today']);
  const run = (until: DayNumber, withPlans: boolean): StockRun =>
    runStock(books, find, { until, withPlans, memory });
  return {
    today: run(day + 1, false),
    ahead: run(day + LOT_HORIZON_DAYS, false),
    planned: run(day + LOT_HORIZON_DAYS, true),
  };
}
