import { z } from 'zod';
import { field, finite, name, note } from './fields.ts';
import { shapesOf, type ReadBy } from './shapes.ts';
import { KEEPINGS, LOT_FORMS } from './vocabulary.ts';

/** How a lot is treated. */
export const treatmentFields = {
  keeping: z.enum(KEEPINGS),
  /** Turned every few weeks. */
  isTurned: field(z.boolean(), { empty: false }),
  /** Large and rich enough to heat by itself. */
  isHot: field(z.boolean(), { empty: false }),
};
export const lotFields = {
  name: field(name, { also: ['lot', 'pile', 'heap'] }),
  form: z.enum(LOT_FORMS),
  ...treatmentFields,
  /** Kept back when the stock is shared out, litres. */
  reserveL: field(finite.min(0).max(1e7).default(0), { also: ['reserve'], empty: 0 }),
  note,
};
export const { draft: lotDraft, change: lotChange, record: lotRecord, filed: lotFiled } = shapesOf(lotFields);
export type LotChange = z.infer<typeof lotChange>;
export type LotRecord = z.infer<typeof lotRecord>;

/** One account of the stock as the model reads it: a pile, a heap, some bags of the same. */
export type Lot = ReadBy<typeof lotFields, 'reserveL' | 'note'>;
export type Treatment = Pick<Lot, 'keeping' | 'isTurned' | 'isHot'>;
