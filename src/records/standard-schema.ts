import type { z } from 'zod';
import { fieldMeta } from './fields.ts';

type Overridden = Parameters<NonNullable<NonNullable<Parameters<typeof z.toJSONSchema>[1]>['override']>>[0];

/**
 * For JSON Schemas: dates are told to be dates, and of formats only those that the standard knows stay, for a strict validator
 * refuses any other.
 */
export function asStandard({ zodSchema, jsonSchema }: Overridden): void {
  if (fieldMeta.get(zodSchema)?.isDate) jsonSchema.format = 'date';
  if (jsonSchema.format === jsonSchema.contentEncoding) delete jsonSchema.format;
}
