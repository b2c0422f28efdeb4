import { validator } from 'hono-openapi';
import { z } from 'zod';
import { findingsOf } from '../../contract/problem-fields.ts';
import { asStandard } from '../../records/standard-schema.ts';
import { invalid } from '../problems.ts';

/** What does not fit a schema is answered as a problem naming the field. */
const refusing =
  (schema: z.ZodType) =>
  (result: { readonly success: boolean; readonly data: unknown }): void => {
    const read = result.success ? null : schema.safeParse(result.data);
    if (read?.error) throw invalid(findingsOf(read.error));
  };

/** How schemas are written into the description of the API. */
const DESCRIBED = { options: { override: asStandard } };

/** The JSON body through a schema; the description of the API has it too. */
export const body = <Schema extends z.ZodType>(schema: Schema) =>
  validator('json', schema, refusing(schema), DESCRIBED);

/** The query through a schema, like a body. */
export const query = <Schema extends z.ZodType<object, Record<string, string | undefined>>>(schema: Schema) =>
  validator('query', schema, refusing(schema), DESCRIBED);

const removal = z.object({ version: z.coerce.number<string>().int().min(1) });

/** Removing names the version one has seen, in the query. */
export const seenVersion = query(removal);

const mark = z.object({ epoch: z.string().min(1).max(100), since: z.coerce.number<string>().int().min(0) });

/** What a page has of a garden, in the query: `epoch` and `since`. */
export const sinceMark = query(mark);
