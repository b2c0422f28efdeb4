import { type CheckGroup, PUBLISHED_CHECKS, type PublishedCheck, countOf } from '../core/model/index.ts';

export const CHECK_GROUP_WORDS: Readonly<Record<CheckGroup, string>> = {
  'lock-up': 'Lock-up',
  supply: 'Supply',
  losses: 'Losses',
  carbon: 'Carbon',
  char: 'Char',
  'soil warmth': 'Warmth and water of the soil',
  books: 'The books in extreme ground',
};

/** A figure of a check in three digits; what is nothing but rounding is 0. */
export const checkFigure = (value: number): string =>
  Math.abs(value) < 1e-4 ? '0' : String(Number(value.toPrecision(3)));

/** Plain text of a check as a page sets it: 15 °C and g/m², with a true minus. */
export const checkText = (text: string): string =>
  text
    .replace(/\bm2\b/g, 'm²')
    .replace(/(\d) C\b(?!:)/g, '$1 °C')
    .replace(/(^|\s)-(?=\d)/g, '$1−');

/** "model 17, published 15 to 35 mg N/g C". */
export const checkFigures = ({ value, low, high, unit }: PublishedCheck): string =>
  checkText(`model ${checkFigure(value)}, published ${checkFigure(low)} to ${checkFigure(high)} ${unit}`);

/** What the checks come to, and how far to trust it. */
export function validationSummary(): string[] {
  const all = countOf(PUBLISHED_CHECKS);
  const own = countOf(PUBLISHED_CHECKS.filter(({ isOwn }) => isOwn));
  const fitted = countOf(PUBLISHED_CHECKS.filter(({ isOwn }) => !isOwn));
  return [
    `${all.hits} of ${all.all} published results lie inside the range their source gives. All ranges are from memory: none could be looked up while this was written.`,
    `${fitted.all} of them were in sight while version 3 of the model was tuned, some by small moves that carried a single result over an edge: that ${fitted.hits} lie inside shows that the model agrees with itself, not that it can foretell. The other ${own.all} were chosen, and their ranges written down, before they were run, and nothing was changed afterwards: ${own.hits} of these lie inside.`,
    'What lies outside stays outside, with the reason as far as we know it. No range was widened.',
  ];
}
