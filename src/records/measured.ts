import { z } from 'zod';
import { field, finite, id } from './fields.ts';
import { STOCK_UNITS } from './vocabulary.ts';

/** How much of what lies in a heap, and what is measured of it. */
export const stockUnit = z.enum(STOCK_UNITS);
export const amountAlso = ['quantity', 'how much', 'weight', 'mass', 'volume', 'thickness'];
export const amountFields = {
  amount: field(finite.gt(0).max(1e9), { also: amountAlso }),
  unit: field(stockUnit, { also: ['units'] }),
};
/** Water as a share of what was weighed wet. */
export const moisture = finite.min(0).lt(1);
export const bulkDensity = finite.min(10).max(2500);

/** Something that goes into a batch: out of a lot, or straight from outside by the name of its material. */
const ingredient = z.union([
  z.strictObject({ lotId: id, materialId: z.null(), ...amountFields }),
  z.strictObject({ lotId: z.null(), materialId: id, ...amountFields }),
]);
const MOST_INGREDIENTS = 30;
export const ingredients = z.array(ingredient).min(1).max(MOST_INGREDIENTS);
