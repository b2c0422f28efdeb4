import { z } from 'zod';
import { asStandard } from '../records/standard-schema.ts';
import { GARDEN_FILE_VERSION, gardenFile } from './garden-file.ts';

/** The garden file as JSON Schema (draft 2020-12): what a file must be before it is weighed against the model. */
export const gardenFileSchema = (): object => ({
  ...z.toJSONSchema(gardenFile, { io: 'input', override: asStandard }),
  title: `Vine Ledger garden file, version ${GARDEN_FILE_VERSION}`,
  description: 'Described in docs/garden-file.md.',
});

export const gardenFileSchemaText = (): string => `${JSON.stringify(gardenFileSchema(), null, 2)}\n`;
