import { plainWord } from './month-names.ts';

export interface Named {
  readonly id: string;
  readonly name: string;
  /** What else it is called. */
  readonly synonyms?: readonly string[];
}

/** A word in the singular, as far as English plurals go: potatoes, berries, leaves and chips. */
function singular(word: string): string {
  if (word.length <= 3) return word;
  if (/ies$/.test(word)) return word.replace(/ies$/, 'y');
  if (/(?:o|s|x|ch|sh)es$/.test(word)) return word.replace(/es$/, '');
  if (/leaves$/.test(word)) return word.replace(/ves$/, 'f');
  return /[^su]s$/.test(word) ? word.replace(/s$/, '') : word;
}

/** The words of a name, in the singular and in the order of the alphabet: "Chips, mixed" and "mixed chip" are alike. */
const wordsOf = (text: string): string[] =>
  (plainWord(text).match(/[\p{L}\d]+/gu) ?? []).map(singular).toSorted();

/** A name as it is compared: the same for every way of writing it. */
export const nameKey = (text: string): string => wordsOf(text).join(' ');

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

type Search = (text: string, list: readonly Named[]) => readonly Named[];

/** The same search, each text looked up once in a list: a file says the same few words in all its rows. */
function remembering(search: Search): Search {
  const found = new WeakMap<readonly Named[], Map<string, readonly Named[]>>();
  return (text, list) => {
    const known = found.get(list) ?? new Map<string, readonly Named[]>();
    found.set(list, known);
    const meant = known.get(text) ?? search(text, list);
    known.set(text, meant);
    return meant;
  };
}

/** All that a text may name: by id, by name, by another name, then by any of them written loosely. */
export const namedBy = remembering((text, list) => {
  const key = nameKey(text);
  const attempts: readonly ((one: Named) => boolean)[] = [
    ({ id }) => id === text.trim(),
    ({ name }) => same(name, text),
    ({ synonyms = [] }) => synonyms.some((one) => same(one, text)),
    ({ name }) => nameKey(name) === key,
    ({ synonyms = [] }) => synonyms.some((one) => nameKey(one) === key),
  ];
  for (const isMeant of attempts) {
    const meant = list.filter(isMeant);
    if (meant.length > 0) return meant;
  }
  return [];
});

/** Shorter words tell nothing of a name. */
const LEAST_LETTERS = 3;

/** Those that share the most words with what stands there, by name or another name; none when none shares any. */
export const nearestTo = remembering((text, list) => {
  const asked = wordsOf(text).filter((word) => word.length >= LEAST_LETTERS);
  const shared = list.map((named) => {
    const words = new Set([named.name, ...(named.synonyms ?? [])].flatMap(wordsOf));
    return { named, count: asked.filter((word) => words.has(word)).length };
  });
  const best = Math.max(0, ...shared.map(({ count }) => count));
  if (best === 0) return [];
  return shared.filter(({ count }) => count === best).map(({ named }) => named);
});
