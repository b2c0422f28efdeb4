import { calendarDateOf, type frostDates } from '../core/ground/index.ts';
import { MONTH_NAMES } from './dates.ts';
import { capitalized } from './capitalized.ts';

/** What the letters of a class of climate mean to a gardener, after Köppen and Geiger. */
const MAIN: Readonly<Record<string, string>> = {
  Af: 'hot and wet all year',
  Am: 'hot all year, with a monsoon',
  Aw: 'hot all year, with a dry season',
  BWh: 'hot desert',
  BWk: 'desert with cold winters',
  BSh: 'hot and half dry',
  BSk: 'half dry, with cold winters',
  ET: 'too cold for trees',
  EF: 'ice all year',
};
const WINTERS: Readonly<Record<string, string>> = { C: 'mild winters', D: 'snowy winters' };
const SUMMERS: Readonly<Record<string, string>> = {
  a: 'hot summers',
  b: 'warm summers',
  c: 'short cool summers',
  d: 'short summers',
};
const DROUGHTS: Readonly<Record<string, string>> = {
  s: ', dry in summer',
  w: ', dry in winter',
  f: ', rain in all seasons',
};

/** A class in plain words: "Hot summers, mild winters, dry in summer". */
export function koppenWords(koppen: string): string {
  const [winter = '', drought = '', summer = ''] = koppen;
  const bitter = summer === 'd' ? 'bitter winters' : WINTERS[winter];
  const words = MAIN[koppen] ?? `${SUMMERS[summer]}, ${bitter}${DROUGHTS[drought]}`;
  return capitalized(words);
}

const TENS = ['early', 'mid', 'late'] as const;

/** "late April": frost is not told to the day. */
function partOfMonth(day: number): string {
  const { month, day: dayOfMonth } = calendarDateOf(day);
  return `${TENS[Math.min(2, Math.floor((dayOfMonth - 1) / 10))]} ${MONTH_NAMES[month - 1]}`;
}

/** When frost is to be reckoned with, in one sentence. */
export function frostWords(dates: ReturnType<typeof frostDates>): string {
  if (dates === 'none') return 'In most years there is no frost.';
  if (dates === 'anyMonth') return 'Frost may come in any month.';
  return `In every second year the last frost comes after ${partOfMonth(dates.lastDay)}, and the first before ${partOfMonth(dates.firstDay)} (estimated from the monthly means; in a hollow it stays longer).`;
}
