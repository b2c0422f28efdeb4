import { z } from 'zod';
import { fieldMeta } from '../records/fields.ts';
import { GARDEN_FILE_VERSION, gardenFile } from './garden-file.ts';

type Overridden = Parameters<NonNullable<NonNullable<Parameters<typeof z.toJSONSchema>[1]>['override']>>[0];

/**
 * Dates are told to be dates, and of formats only those that the standard knows stay: a strict validator refuses any
 * other.
 */
function asStandard({ zodSchema, jsonSchema }: Overridden): void {
  if (fieldMeta.get(zodSchema)?.isDate) jsonSchema.format = 'date';
  if (jsonSchema.format === jsonSchema.contentEncoding) delete jsonSchema.format;
}

/** The garden file as JSON Schema (draft 2020-12): what a file must be before it is weighed against the model. */
export const gardenFileSchema = (): object => ({
  ...z.toJSONSchema(gardenFile, { io: 'input', override: asStandard }),
  title: `Vine Ledger garden file, version ${GARDEN_FILE_VERSION}`,
  description: 'Described in docs/garden-file.md.',
});

export const gardenFileSchemaText = (): string => `${JSON.stringify(gardenFileSchema(), null, 2)}\n`;
