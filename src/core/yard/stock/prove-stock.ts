import { type FindMaterial, dayNumberFromIso } from '../../ground/index.ts';
import { runStock, type StockBooks, type StockRun } from './run-stock.ts';

/**
 * The whole stock, facts first and then with plans carried out, to the evening of its last day or of today. Throws
 * InputError with a path such as `movements.3.amount` for what cannot be.
 */
export function proveStock(books: StockBooks, findMaterial: FindMaterial, today: string): StockRun {
  const dated = [...books.movements, ...books.takes];
  const days = [today, ...dated.map(({ date }) => date)].map((date) => dayNumberFromIso(date, ['date']));
  const until = Math.max(...days) + 1;
  const facts = runStock(books, findMaterial, { until, withPlans: false });
  const hasPlans = dated.some(({ state }) => state === 'planned');
  return hasPlans ? runStock(books, findMaterial, { until, withPlans: true }) : facts;
}
