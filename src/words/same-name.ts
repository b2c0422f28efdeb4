import { searchText } from './name-search.ts';

interface Named {
  readonly id: string;
  readonly name: string;
}

/**
 * Asks about a name that another of its kind has already; undefined when none has. Capitals, accents and plurals make no
 * other name: lists and tables could not tell the two apart.
 */
export function sameNameHint(name: string, others: readonly Named[], ownId?: string): string | undefined {
  const sought = searchText(name);
  if (sought === '') return undefined;
  const other = others.find((one) => one.id !== ownId && searchText(one.name) === sought);
  return other && `There is “${other.name}” already. Should this be another one of that name?`;
}
