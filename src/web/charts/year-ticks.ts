import { counted } from '../../words/counted.ts';

/** Labels of the years ahead along an axis. */
export const yearTick = (year: number): string => (year === 0 ? 'now' : `${year} y`);

/** The same in a sentence or a column. */
export const yearWords = (year: number): string => (year === 0 ? 'now' : `in ${counted(year, 'year')}`);

/** Every year, every second or every fifth, as there is room. */
export function yearTicks(years: number): number[] {
  const step = years <= 6 ? 1 : years <= 12 ? 2 : 5;
  return Array.from({ length: Math.floor(years / step) + 1 }, (_, i) => i * step);
}
