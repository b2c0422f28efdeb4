import type { MiddlewareHandler } from 'hono';
import { addYears, formatISO } from 'date-fns';
import { InputError } from '../refusals/input-error.ts';
import { FILE_PATH, parsedOrNull } from './bodies.ts';
import { READING } from './guards.ts';

const ISO_DATE = /^\d{4}-\d{2}-\d{2}$/;

/** The day on which something was done, or is to be. */
const DONE_ON = ['date', 'plantedOn'] as const;
const UNTIL = ['clearedOn', 'readyOn'] as const;

/** Farther ahead nobody plans, and a slip of the year would have everything worked out for centuries. */
const YEARS_AHEAD = 10;

/** Throws InputError naming the field where a record of `value` was done in the future, or is planned for another age. */
function requireDates(value: unknown, today: string, latest: string): void {
  if (typeof value !== 'object' || value === null) return;
  const record = value as Record<string, unknown>;
  for (const field of [...DONE_ON, ...UNTIL]) {
    const date = record[field];
    if (typeof date !== 'string' || !ISO_DATE.test(date)) continue;
    if (date > latest) throw new InputError([field], 'tooFarAhead', { date, years: YEARS_AHEAD });
  }
  for (const field of DONE_ON) {
    const date = record[field];
    if (record['state'] !== 'laid' || typeof date !== 'string' || !ISO_DATE.test(date)) continue;
    if (date > today) throw new InputError([field], 'inTheFuture', { date, today, isPlannable: true });
  }
  for (const inner of Object.values(record)) requireDates(inner, today, latest);
}

/** The same, held against an ISO date. */
export function requireLikelyDates(value: unknown, today: string): void {
  const latest = formatISO(addYears(new Date(`${today}T00:00:00`), YEARS_AHEAD), { representation: 'date' });
  requireDates(value, today, latest);
}

/** Refuses what is said to have been done on a day that has not come, and plans of more than ten years. */
export const likelyDatesOnly =
  (today: () => string): MiddlewareHandler =>
  async (c, next) => {
    // A file keeps what it has; the rows of a table are weighed one by one by whoever reads them.
    const isRecord = !READING.has(c.req.method) && !FILE_PATH.test(c.req.path);
    if (isRecord && c.req.header('content-type')?.includes('json')) {
      requireLikelyDates(parsedOrNull(await c.req.text()), today());
    }
    await next();
  };
