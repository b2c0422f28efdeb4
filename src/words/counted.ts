const RULES = new Intl.PluralRules('en');

/** So many of something: "1 pile", "3 piles". `many`: for words that do more than add an s. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${RULES.select(count) === 'one' ? one : many}`;
