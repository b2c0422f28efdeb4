import { problemsOf } from '../../contract/problem-fields.ts';
import { inFieldWords } from '../../words/field-words.ts';
import { sentencesOf } from '../api/failures.ts';

type Parsed =
  { readonly success: true } | { readonly success: false; readonly error: Parameters<typeof problemsOf>[0] };

/** What is wrong with a form, by field: first what its schema says, then what the server said. */
export const troublesOf = (parsed: Parsed, failure: unknown): Record<string, string> => ({
  ...(parsed.success
    ? {}
    : Object.fromEntries(
        problemsOf(parsed.error).map(({ field, sentence }) => [field, inFieldWords(field, sentence)]),
      )),
  ...sentencesOf(failure),
});
