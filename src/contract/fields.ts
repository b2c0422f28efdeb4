import { z } from 'zod';
import { dayNumberFromIso } from '../core/climate/calendar.ts';
import { InputError } from '../core/input-error.ts';

/** Fields that many records share. Bounds are those of a garden, not of a number. */
const FIRST_DATE = '1960-01-01';
const LAST_DATE = '2100-12-31';

export const finite = z.number();
export const share = finite.min(0).max(1);
export const name = z.string().trim().min(1).max(80);
export const note = z.string().trim().max(2000);
export const id = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/, 'must be 1 to 64 letters, digits, - or _');
export const version = z.int().min(1);

export const date = z.string().superRefine((text, context) => {
  try {
    dayNumberFromIso(text, []);
    if (text < FIRST_DATE || text > LAST_DATE) {
      context.addIssue(`must lie between ${FIRST_DATE} and ${LAST_DATE}; got ${text}`);
    }
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    context.addIssue(error.requirement);
  }
});

const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,9})?Z$/;
export const instant = z
  .string()
  .regex(INSTANT, 'must be an instant in UTC such as 2026-05-14T08:30:00.000Z');
/** What every record carries in a garden file: its version counts writes in one database and stays there. */
export const filed = { id, createdAt: instant, updatedAt: instant };

export const stamp = { id, version, createdAt: z.string(), updatedAt: z.string() };
export const creation = { id: id.optional() };

/** Records one request may write. */
export const MOST_AT_ONCE = 100;
