import { zValidator } from '@hono/zod-validator';
import { z } from 'zod';
import { findingsOf } from '../../contract/problem-fields.ts';
import { invalid } from '../problems.ts';

/** The JSON body through a schema; what does not fit is answered as a problem naming the field. */
export const body = <Schema extends z.ZodType>(schema: Schema) =>
  zValidator('json', schema, (result) => {
    if (!result.success) throw invalid(findingsOf(result.error));
  });

/** The query through a schema, like a body. */
export const query = <Schema extends z.ZodType<object, Record<string, string | undefined>>>(schema: Schema) =>
  zValidator('query', schema, (result) => {
    if (!result.success) throw invalid(findingsOf(result.error));
  });

const removal = z.object({ version: z.coerce.number<string>().int().min(1) });

/** Removing names the version one has seen, in the query. */
export const seenVersion = zValidator('query', removal, (result) => {
  if (!result.success) throw invalid(findingsOf(result.error));
});

const mark = z.object({ epoch: z.string().min(1).max(100), since: z.coerce.number<string>().int().min(0) });

/** What a page has of a garden, in the query: `epoch` and `since`. */
export const sinceMark = zValidator('query', mark, (result) => {
  if (!result.success) throw invalid(findingsOf(result.error));
});
