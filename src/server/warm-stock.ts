import { READING } from './guards.ts';
import type { MiddlewareHandler } from 'hono';
import { setImmediate as othersFirst } from 'node:timers/promises';
import { InputError } from '../refusals/input-error.ts';
import { materialFinder, stockBooksOf } from '../core/bed/index.ts';
import { proveInSteps } from '../core/yard/index.ts';
import { keptForStock, memoryOf } from './kept-stock.ts';
import type { Stores } from './stores.ts';

/** The server sees to others after so long, ms. */
const SLICE_MS = 10;

/**
 * Works out the stock of a garden bit by bit as soon as somebody opens it, so that its first posting runs only what it
 * touches and holds nobody up.
 */
export function stockWarmer(stores: Stores) {
  const begun = new Set<string>();
  const goingOn = new Set<Promise<void>>();

  async function workOut(gardenId: string): Promise<void> {
    const records = keptForStock(stores, gardenId);
    if (records.movements.length === 0) return;
    const proof = proveInSteps(stockBooksOf(records), materialFinder(records), memoryOf(stores, gardenId));
    let sliceEnds = performance.now() + SLICE_MS;
    while (!proof.next().done) {
      if (performance.now() < sliceEnds) continue;
      await othersFirst();
      sliceEnds = performance.now() + SLICE_MS;
    }
  }

  return {
    warm(gardenId: string): void {
      if (begun.has(gardenId)) return;
      begun.add(gardenId);
      const work: Promise<void> = othersFirst()
        .then(() => workOut(gardenId))
        .catch((error: unknown) => {
          // What cannot be is told to whoever writes next; a garden erased meanwhile needs nothing.
          if (!(error instanceof InputError)) begun.delete(gardenId);
        })
        .finally(() => goingOn.delete(work));
      goingOn.add(work);
    },
    /** Writes wait until what is being worked out is there. */
    beforeWrites: (async (c, next) => {
      if (!READING.has(c.req.method)) await Promise.all(goingOn);
      await next();
    }) satisfies MiddlewareHandler,
  };
}
