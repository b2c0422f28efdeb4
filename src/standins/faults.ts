import type { MiddlewareHandler } from 'hono';

/** What goes wrong with things at the far end of a cable. */
export interface Faults {
  readonly isFaulty: boolean;
  /** Makes every third answer come later than anybody waits. */
  readonly late: MiddlewareHandler;
}

const LATE_MS = 6000;

/** The same faults in the same order every time. */
export function faultsOf(isFaulty: boolean): Faults {
  let asked = 0;
  return {
    isFaulty,
    late: async (_, next) => {
      asked += 1;
      if (isFaulty && asked % 3 === 0) await new Promise((resolve) => setTimeout(resolve, LATE_MS));
      await next();
    },
  };
}
