import {
  type GardenRecords,
  adviceSetting,
  bedScenario,
  bedStanding,
  booksOfBed,
  carriedForward,
  looksAround,
  materialFinder,
  plantingDates,
  projectBed,
  stockBooksOf,
  telltaleDays,
} from '../../bed/index.ts';
import { type DayNumber, dayNumberFromIso } from '../../ground/index.ts';
import type { Brew } from '../../../records/journal.ts';
import type { Lot } from '../../../records/lot.ts';
import { LOT_HORIZON_DAYS, type StockRun, lotBrief, runStock } from '../../yard/index.ts';
import { bedTasks } from './bed-tasks.ts';
import { stockTasks, type LoggedMovement } from './stock-tasks.ts';
import { AGENDA_AHEAD_DAYS, type Task } from './tasks.ts';

/** Far enough to see a crop that is planted within the calendar through to its harvest. */
const HORIZON_DAYS = AGENDA_AHEAD_DAYS + 200;

type Books = ReturnType<typeof booksOfBed>;

/** Tasks of one bed. `booksOf` may remember what it worked out of the stock. Empty when the garden has no such bed. */
export function bedAgenda({
  records,
  bedId,
  todayIso,
  booksOf = booksOfBed,
}: {
  readonly records: GardenRecords;
  readonly bedId: string;
  readonly todayIso: string;
  readonly booksOf?: (records: GardenRecords, bedId: string) => Books;
}): Task[] {
  const today = dayNumberFromIso(todayIso, ['today']);
  const books = booksOf(records, bedId);
  const forward = booksOf(carriedForward(records, todayIso), bedId);
  if (!books || !forward) return [];
  const findMaterial = materialFinder(records);
  const scenario = bedScenario({ books: forward, findMaterial, today, endDay: today + HORIZON_DAYS });
  const projection = projectBed(scenario, looksAround(today), telltaleDays(scenario, today));
  const setting = adviceSetting({ records, books: forward, today });
  const standing = bedStanding({ scenario, projection, today, setting });
  const isHeld = standing.contact !== null || standing.root !== null;
  return bedTasks({
    books,
    findMaterial,
    today,
    todayIso,
    projection,
    standing,
    planting: isHeld && !setting.isPath ? plantingDates(scenario, today, setting.rules) : [],
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
