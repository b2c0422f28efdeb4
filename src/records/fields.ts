import { z } from 'zod';
import type { Quantity } from '../refusals/refusal.ts';
import { readIsoDate } from './iso-date.ts';

/** What a figure measures: which units a column may be in, and which ones people are shown. */
export type FieldQuantity = Extract<Quantity, 'length' | 'waterDepth' | 'area' | 'temperature' | 'share'>;

/** What else has to be known of a field than which values it takes. */
export interface FieldMeta {
  /** As a message calls it; without one the words of its name do. */
  readonly label?: string;
  readonly quantity?: FieldQuantity;
  /** Its column in tables of comma-separated values, when that is not called as in the database. */
  readonly header?: string;
  /** What that column may be called elsewhere, lower case. */
  readonly also?: readonly string[];
  /** What an empty cell stands for; without it the field is left out. */
  readonly empty?: unknown;
  /** The kind of record, or the library, that it names one of. */
  readonly names?: 'bed' | 'material' | 'lot' | 'crop';
  /** Among texts, a date. */
  readonly isDate?: boolean;
  /** Worked out by the app: written into tables, not read from them. */
  readonly isDerived?: boolean;
}

export const fieldMeta = z.registry<FieldMeta>();

/** A field with what is to be known of it, so that each use of a schema can have its own. */
export function field<Schema extends z.ZodType>(schema: Schema, meta: FieldMeta): Schema {
  const own = schema.clone();
  fieldMeta.add(own, meta);
  return own;
}

/** Bounds are those of a garden, not of a number. */
const FIRST_DATE = '1960-01-01';
const LAST_DATE = '2100-12-31';

export const finite = z.number();
export const share = finite.min(0).max(1);
export const name = z.string().trim().min(1).max(80);
export const note = field(z.string().trim().max(2000), { also: ['notes', 'remark', 'comment'], empty: '' });
export const id = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/, 'must be 1 to 64 letters, digits, - or _');
export const version = z.int().min(1);

/** A date of the calendar, YYYY-MM-DD. */
export const date = field(
  z.string().superRefine((text, context) => {
    const read = readIsoDate(text);
    if (typeof read === 'string') {
      context.addIssue({ code: 'custom', params: { refusal: { code: read, facts: { got: text } } } });
    } else if (text < FIRST_DATE || text > LAST_DATE) {
      const facts = { first: FIRST_DATE, last: LAST_DATE, got: text };
      context.addIssue({ code: 'custom', params: { refusal: { code: 'outsideDates', facts } } });
    }
  }),
  { isDate: true, also: ['day', 'when', 'on'] },
);

const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,9})?Z$/;
export const instant = z
  .string()
  .regex(INSTANT, 'must be an instant in UTC such as 2026-05-14T08:30:00.000Z');

/** What every record carries in a garden file: its version counts writes in one database and stays there. */
export const filed = { id, createdAt: instant, updatedAt: instant };
/** What the store puts on every record. */
export const stamp = { id, version, createdAt: z.string(), updatedAt: z.string() };
/** A sender may name a new record, so that sending it twice keeps one. */
export const creation = { id: id.optional() };

/** Records one request may write. */
export const MOST_AT_ONCE = 100;
