import { searchText } from '../../../words/name-search.ts';

interface NamedBed {
  readonly id: string;
  readonly name: string;
}

/**
 * The bed that a sample of a laboratory is of, by its name: the same name, or the only bed whose name has all the words
 * of the sample, or the other way round. Null where none or several answer to it.
 */
export function bedOfSample(sample: string, beds: readonly NamedBed[]): string | null {
  const sought = searchText(sample);
  if (sought === '') return null;
  const named = beds.map(({ id, name }) => ({ id, words: searchText(name) }));
  const same = named.filter(({ words }) => words === sought);
  if (same.length > 0) return same.length === 1 ? same[0]!.id : null;
  const has = (whole: string, part: string) =>
    part.split(' ').every((word) => whole.split(' ').includes(word));
  const near = named.filter(({ words }) => has(words, sought) || has(sought, words));
  return near.length === 1 ? near[0]!.id : null;
}
