import { findingsOf } from '../../../contract/problem-fields.ts';
import { finding } from '../../../refusals/refusal.ts';
import { describeFinding } from '../../../words/refusal-words.ts';
import { sentencesOf } from '../../api/failures.ts';
import type { ReadQuantity } from './typed-quantity.ts';
import { capitalized } from '../../../words/capitalized.ts';

type Parsed =
  | { readonly success: true }
  | { readonly success: false; readonly error: Parameters<typeof findingsOf>[0] };

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

/** What is wrong with a quantity; undefined when nothing is. */
export const quantityTrouble = (read: ReadQuantity, field = ''): string | undefined =>
  read.ok ? undefined : capitalized(describeFinding(finding(read.refusal, field)).sentence);

/** What is wrong with the quantities of a form, by field. */
export const quantityTroubles = (
  quantities: Readonly<Record<string, ReadQuantity>>,
): Record<string, string> =>
  Object.fromEntries(
    Object.entries(quantities).flatMap(([field, read]) => {
      const trouble = quantityTrouble(read, field);
      return trouble === undefined ? [] : [[field, trouble]];
    }),
  );
