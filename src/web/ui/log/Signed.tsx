import type { Signature } from '../../../contract/people.ts';
import { signedWords } from '../../../words/people-words.ts';
import { useSignatures } from './use-signatures.ts';

/** Who wrote a line of the log, where it was not the keeper of the books. */
export function Signed({ book, id }: Pick<Signature, 'book' | 'id'>) {
  const words = signedWords(useSignatures(), book, id);
  return words === '' ? null : <span className="soft"> ({words})</span>;
}
