import { format, isValid, parse } from 'date-fns';

/** In which order a reader writes the figures of a date. */
export type FigureOrder = 'dayFirst' | 'monthFirst';

/** The order of the languages of a browser, as `Intl` has it. */
export function figureOrderOf(languages?: readonly string[]): FigureOrder {
  const parts = new Intl.DateTimeFormat(languages as string[] | undefined).formatToParts(
    new Date(2026, 4, 14),
  );
  const place = (type: 'day' | 'month') => parts.findIndex((part) => part.type === type);
  return place('month') < place('day') ? 'monthFirst' : 'dayFirst';
}

/** The order in which whoever sits at this browser writes dates. */
export const ownFigureOrder = (): FigureOrder =>
  figureOrderOf(typeof navigator === 'undefined' ? undefined : navigator.languages);

/** Shown as everywhere on screen: "14 May 2026". */
const SHOWN = 'd MMM yyyy';
const ISO = 'yyyy-MM-dd';
const WITH_WORDS = [
  SHOWN,
  'd MMMM yyyy',
  'd MMM yy',
  'MMM d yyyy',
  'MMMM d yyyy',
  'd MMM',
  'd MMMM',
  'MMM d',
  'MMMM d',
] as const;
const FIGURES: Readonly<Record<FigureOrder, readonly string[]>> = {
  dayFirst: ['d/M/yyyy', 'd/M/yy', 'd/M', 'M/d/yyyy'],
  monthFirst: ['M/d/yyyy', 'M/d/yy', 'M/d', 'd/M/yyyy'],
};
const OLDEST_YEAR = 1900;

/** An ISO date as the field shows it; what is no date stays as it is. */
export function shownDate(iso: string): string {
  const date = parse(iso, ISO, new Date());
  return isValid(date) ? format(date, SHOWN) : iso;
}

/**
 * The ISO date that somebody typed; null when it is none. Takes 2026-05-14, 14 May 2026, May 14, 14.5.2026 and figures
 * in the reader's order; a year that is left out is that of `near`.
 */
export function readDate(text: string, near: string, order: FigureOrder): string | null {
  const plain = text
    .trim()
    .replaceAll(/(\d)(?:st|nd|rd|th)\b/gi, '$1')
    .replaceAll(/[,]/g, ' ')
    .replaceAll(/\s+/g, ' ');
  const withFigures = plain.replaceAll(/[. -]+(?=\d)/g, '/').replace(/\.$/, '');
  const reference = parse(near, ISO, new Date());
  const base = isValid(reference) ? reference : new Date();
  const attempts: [string, string][] = [
    [plain, ISO],
    ...WITH_WORDS.map((one): [string, string] => [plain.replace('.', ''), one]),
    // Points are dates as people on the continent write them: the day first.
    ...FIGURES[plain.includes('.') ? 'dayFirst' : order].map((one): [string, string] => [withFigures, one]),
  ];
  for (const [words, pattern] of attempts) {
    const date = parse(words, pattern, base);
    if (isValid(date) && date.getFullYear() >= OLDEST_YEAR) return format(date, ISO);
  }
  return null;
}
