import { type FindMaterial, dayNumberFromIso } from '../../ground/index.ts';
import { carryOutInSteps, type StockBooks, type StockRun } from './run-stock.ts';
import { emptyMemory, endRun, type StockMemory } from './stock-memory.ts';

/**
 * All postings of the stock carried out, facts first and then with plans: what each bed is given. Throws InputError with a
 * path such as `movements.3.amount` for what cannot be.
 */
export function proveStock(
  books: StockBooks,
  findMaterial: FindMaterial,
  memory: StockMemory = emptyMemory({ keepsLooks: false }),
): StockRun['taken'] {
  const proof = proveInSteps(books, findMaterial, memory);
  for (;;) {
    const { done, value } = proof.next();
    if (done) return value;
  }
}

/** The same, stopping after each posting that was not remembered, so that others can be seen to in between. */
export function* proveInSteps(
  books: StockBooks,
  findMaterial: FindMaterial,
  memory: StockMemory,
): Generator<undefined, StockRun['taken']> {
  const dated = [...books.movements, ...books.takes];
  // ISO dates are in order as texts are.
  const lastDate = dated.reduce((last, { date }) => (date > last ? date : last), '');
  const until = lastDate === '' ? 0 : dayNumberFromIso(lastDate, ['date']) + 1;
  const facts = yield* carryOutInSteps(books, findMaterial, { until, withPlans: false, memory });
  const hasPlans = dated.some(({ state }) => state === 'planned');
  const { taken } = hasPlans
    ? yield* carryOutInSteps(books, findMaterial, { until, withPlans: true, memory })
    : facts;
  endRun(memory);
  return taken;
}
