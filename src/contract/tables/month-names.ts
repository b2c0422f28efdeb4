/** Languages whose names of months are read in dates. */
const LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'da', 'sv', 'nb', 'pl'] as const;
const MONTHS = 12;
const MID_MONTH = 15;
const ANY_YEAR = 2026;

/** A name in small letters, without accents and points: "Févr." is fevr. */
export const plainWord = (word: string): string =>
  word
    .normalize('NFD')
    .replaceAll(/\p{M}|\./gu, '')
    .toLowerCase();

function monthNames(): Map<string, number> {
  const names = new Map<string, number>([['sept', 9]]);
  for (const language of LANGUAGES) {
    for (const form of ['long', 'short'] as const) {
      for (const day of [undefined, 'numeric'] as const) {
        // With a day beside it a month may be declined: 14 maja.
        const format = new Intl.DateTimeFormat(language, { month: form, day, timeZone: 'UTC' });
        for (let month = 1; month <= MONTHS; month++) {
          const parts = format.formatToParts(Date.UTC(ANY_YEAR, month - 1, MID_MONTH));
          const name = plainWord(parts.find(({ type }) => type === 'month')?.value ?? '');
          if (/^\p{L}+$/u.test(name) && !names.has(name)) names.set(name, month);
        }
      }
    }
  }
  return names;
}

let known: ReadonlyMap<string, number> | undefined;

/**
 * The month a word names in one of the languages, 1 to 12; null for any other word.
 *
 * @example
 * monthNamed('Févr.') // 2
 */
export function monthNamed(word: string): number | null {
  known ??= monthNames();
  return known.get(plainWord(word)) ?? null;
}
