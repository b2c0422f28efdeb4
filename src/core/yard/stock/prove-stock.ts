import { type FindMaterial, dayNumberFromIso } from '../../ground/index.ts';
import { carryOut, type StockBooks, type StockRun } from './run-stock.ts';
import { emptyMemory, endRun, type StockMemory } from './stock-memory.ts';

/**
 * All postings of the stock carried out, facts first and then with plans: what each bed is given. Throws InputError with a
 * path such as `movements.3.amount` for what cannot be.
 */
export function proveStock(
  books: StockBooks,
  findMaterial: FindMaterial,
  memory: StockMemory = emptyMemory(),
): StockRun['taken'] {
  const days = [...books.movements, ...books.takes].map(({ date }) => dayNumberFromIso(date, ['date']));
  const until = Math.max(0, ...days) + 1;
  carryOut(books, findMaterial, { until, withPlans: false, memory });
  const { taken } = carryOut(books, findMaterial, { until, withPlans: true, memory });
  endRun(memory);
  return taken;
}
