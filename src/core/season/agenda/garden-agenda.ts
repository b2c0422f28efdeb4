import {
  type GardenRecords,
  type PlannedBed,
  booksOfBed,
  feedLots,
  materialFinder,
  planOfBed,
  stockRuns,
  type StockRuns,
} from '../../bed/index.ts';
import { dayNumberFromIso } from '../../ground/index.ts';
import type { Brew } from '../../../records/journal.ts';
import type { Lot } from '../../../records/lot.ts';
import { type StockMemory, lotBrief } from '../../yard/index.ts';
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
  memory,
}: {
  readonly records: GardenRecords;
  readonly bedId: string;
  readonly todayIso: string;
  readonly booksOf?: (records: GardenRecords, bedId: string) => Books;
  /** The plan of the bed, when it is worked out already. */
  readonly planned?: PlannedBed | undefined;
  /** What the stock came to, as far as it is known. */
  readonly memory?: StockMemory;
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
    feedLots: doses.length > 0 ? feedLots(records, today, memory) : [],
  });
}

/** What the yard is worked out from, in addition to the records that the model reads. */
export interface YardRecords extends GardenRecords {
  readonly lots: readonly (Lot & { readonly reserveL: number })[];
  readonly movements: readonly LoggedMovement[];
}

/** Tasks of stock, heaps, fires, charges and brews. `runs` are those of the stock on that day, when they are at hand. */
export function yardAgenda({
  records,
  brews,
  todayIso,
  runs = stockRuns(records, todayIso),
}: {
  readonly records: YardRecords;
  readonly brews: readonly Brew[];
  readonly todayIso: string;
  readonly runs?: StockRuns;
}): Task[] {
  const today = dayNumberFromIso(todayIso, ['today']);
  const briefs = new Map(
    records.lots.map(({ id, reserveL }) => [
      id,
      lotBrief(runs, id, { climate: records.garden.climate, today, readings: [], reserveL }),
    ]),
  );
  return stockTasks({ movements: records.movements, brews, lots: records.lots, briefs, today });
}
