import { READING } from './guards.ts';
import type { MiddlewareHandler } from 'hono';
import { setImmediate as othersFirst } from 'node:timers/promises';
import { InputError } from '../refusals/input-error.ts';
import { type GardenRecords, materialFinder, stockBooksOf } from '../core/bed/index.ts';
import { proveInSteps } from '../core/yard/index.ts';
import { keptForStock, memoryOf } from './kept-stock.ts';
import type { Stores } from './stores.ts';

/** The server sees to others after so long, ms. */
const SLICE_MS = 10;

/**
 * Works out the stock of a garden bit by bit, as soon as somebody opens it and before many layings are written, so that a
 * write runs only what it touches and holds nobody up.
 */
export function stockWarmer(stores: Stores) {
  const begun = new Set<string>();
  const goingOn = new Set<Promise<void>>();

  async function workOut(gardenId: string, records: GardenRecords): Promise<void> {
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
        .then(() => workOut(gardenId, keptForStock(stores, gardenId)))
        .catch((error: unknown) => {
          // What cannot be is told to whoever writes next; a garden erased meanwhile needs nothing.
          if (!(error instanceof InputError)) begun.delete(gardenId);
        })
        .finally(() => goingOn.delete(work));
      goingOn.add(work);
    },
    /** Works out the stock as a write would have it. What cannot be is told by the write, which proves it once more. */
    ahead: (gardenId: string, records: GardenRecords): Promise<void> =>
      workOut(gardenId, records).catch((error: unknown) => {
        if (!(error instanceof InputError)) throw error;
      }),
    /** Writes wait until what is being worked out is there. */
    beforeWrites: (async (c, next) => {
      if (!READING.has(c.req.method)) await Promise.all(goingOn);
      await next();
    }) satisfies MiddlewareHandler,
  };
}

export type StockWarmer = ReturnType<typeof stockWarmer>;
