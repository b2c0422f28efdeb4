/** Labels of the years ahead along an axis. */
export const yearTick = (year: number): string => (year === 0 ? 'now' : `${year} y`);

/** Every year, every second or every fifth, as there is room. */
export function yearTicks(years: number): number[] {
  const step = years <= 6 ? 1 : years <= 12 ? 2 : 5;
  return Array.from({ length: Math.floor(years / step) + 1 }, (_, i) => i * step);
}
