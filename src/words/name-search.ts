/** Something that can be looked for by what people call it. */
export interface Named {
  readonly name: string;
  readonly synonyms: readonly string[];
}

/** Letters without accents and marks, in lower case, one space between words. */
const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replaceAll(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .replaceAll(/['’]/g, '')
    .replaceAll(/[^\p{Letter}\p{Number}]+/gu, ' ')
    .trim();

/** One for all numbers of a word: "berries" and "berry", "tomatoes" and "tomato". */
const singular = (word: string): string =>
  word.length < 4
    ? word
    : word
        .replace(/ies$/, 'y')
        .replace(/(?<=[sxo]|ch|sh)es$/, '')
        .replace(/(?<=[^s])s$/, '');

const wordsOf = (text: string): string[] => plain(text).split(' ').map(singular);

/** Text as it is searched: without accents and marks, every word in the singular. */
export const searchText = (text: string): string => wordsOf(text).join(' ');

/** How well a name answers what was typed, 0 best; Infinity when it does not. */
function rankOfName(typed: readonly string[], name: readonly string[]): number {
  const whole = typed.join(' ');
  const full = name.join(' ');
  if (full === whole) return 0;
  if (full.startsWith(`${whole} `)) return 1;
  if (name.includes(whole)) return 2;
  if (full.startsWith(whole)) return 3;
  const isFound = typed.every((word) => name.some((part) => part.startsWith(word)));
  return isFound ? 4 : Infinity;
}

/** A name of its own goes before another of the same fit that is a synonym. */
const SYNONYM_AFTER = 0.5;

/** How well something answers what was typed, 0 best; Infinity when it does not. */
export function searchRank(typed: string, { name, synonyms }: Named): number {
  const words = wordsOf(typed);
  const others = synonyms.map((one) => rankOfName(words, wordsOf(one)) + SYNONYM_AFTER);
  return Math.min(rankOfName(words, wordsOf(name)), ...others);
}

/** All that answers what was typed, the best first; of the same fit the shorter name, then as they come. */
export function searchNames<One extends Named>(typed: string, all: readonly One[]): One[] {
  if (plain(typed) === '') return [...all];
  return all
    .map((one) => ({ one, rank: searchRank(typed, one) }))
    .filter(({ rank }) => rank < Infinity)
    .toSorted((a, b) => a.rank - b.rank || a.one.name.length - b.one.name.length)
    .map(({ one }) => one);
}
