import { findingsOf } from '../../../contract/problem-fields.ts';
import { describeFinding } from '../../../words/refusal-words.ts';
import { sentencesOf } from '../../api/failures.ts';

type Parsed =
  { readonly success: true } | { readonly success: false; readonly error: Parameters<typeof findingsOf>[0] };

/** What is wrong with a form, by field: first what its schema says, then what the server said. */
export const troublesOf = (parsed: Parsed, failure: unknown): Record<string, string> => ({
  ...(parsed.success
    ? {}
    : Object.fromEntries(
        findingsOf(parsed.error)
          .map(describeFinding)
          .map(({ field, sentence }) => [field, sentence]),
      )),
  ...sentencesOf(failure),
});
