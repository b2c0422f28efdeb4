import {
  type GardenRecords,
  type PlannedBed,
  booksOfBed,
  carriedForward,
  feedLots,
  materialFinder,
  planOfBed,
  stockBooksOf,
} from '../../bed/index.ts';
import { type DayNumber, dayNumberFromIso } from '../../ground/index.ts';
import type { Brew } from '../../../records/journal.ts';
import type { Lot } from '../../../records/lot.ts';
import { LOT_HORIZON_DAYS, type StockRun, lotBrief, runStock } from '../../yard/index.ts';
import { bedTasks } from './bed-tasks.ts';
import { stockTasks, type LoggedMovement } from './stock-tasks.ts';
import type { Task } from './tasks.ts';

type Books = ReturnType<typeof booksOfBed>;

/** Tasks of one bed. `booksOf` may remember what it worked out of the stock. Empty when the garden has no such bed. */
export function bedAgenda({
  records,
  bedId,
  todayIso,
  booksOf = booksOfBed,
  planned = planOfBed({ records, bedId, todayIso, booksOf }),
}: {
  readonly records: GardenRecords;
  readonly bedId: string;
  readonly todayIso: string;
  readonly booksOf?: (records: GardenRecords, bedId: string) => Books;
  /** The plan of the bed, when it is worked out already. */
  readonly planned?: PlannedBed | undefined;
}): Task[] {
  const books = booksOf(records, bedId);
  if (!books || !planned) return [];
  const { projection, plan, today } = planned;
  const doses = plan.feeding?.doses ?? [];
  return bedTasks({
    books,
    findMaterial: materialFinder(records),
    today,
    todayIso,
    projection,
    plan,
    feedLots: doses.length > 0 ? feedLots(records, today) : [],
  });
}

/** What the yard is worked out from, in addition to the records that the model reads. */
export interface YardRecords extends GardenRecords {
  readonly lots: readonly (Lot & { readonly reserveL: number })[];
  readonly movements: readonly LoggedMovement[];
}

/** Tasks of stock, heaps, fires, charges and brews. */
export function yardAgenda(records: YardRecords, brews: readonly Brew[], todayIso: string): Task[] {
  const today = dayNumberFromIso(todayIso, ['today']);
  const forward = carriedForward(records, todayIso);
  const books = stockBooksOf(forward);
  const find = materialFinder(records);
  const run = (until: DayNumber, withPlans: boolean): StockRun => runStock(books, find, { until, withPlans });
  const runs = {
    today: run(today + 1, false),
    ahead: run(today + LOT_HORIZON_DAYS, false),
    planned: run(today + LOT_HORIZON_DAYS, true),
  };
  const briefs = new Map(
    records.lots.map(({ id, reserveL }) => [
      id,
      lotBrief(runs, id, { climate: records.garden.climate, today, readings: [], reserveL }),
    ]),
  );
  return stockTasks({ movements: records.movements, brews, lots: records.lots, briefs, today });
}
