import { searchRank } from '../../../words/name-search.ts';

/** An option of a list that is looked for by any of its names. */
export interface NamedOption {
  readonly label: string;
  readonly name?: string;
  readonly synonyms?: readonly string[];
}

/** What is in the label but in no name comes last. */
const IN_LABEL = 9;

export function optionRank(typed: string, { label, name = label, synonyms = [] }: NamedOption): number {
  const isInLabel = label.toLowerCase().includes(typed.trim().toLowerCase());
  return Math.min(searchRank(typed, { name, synonyms }), isInLabel ? IN_LABEL : Infinity);
}

/** How the component library's lists are looked through by name: what fits, the best of each group first. */
export const BY_NAME = {
  filterOption: (typed: string, option?: object): boolean =>
    option !== undefined && 'label' in option && optionRank(typed, option as NamedOption) < Infinity,
  filterSort: (a: object, b: object, { searchValue }: { searchValue: string }): number =>
    optionRank(searchValue, a as NamedOption) - optionRank(searchValue, b as NamedOption),
};
