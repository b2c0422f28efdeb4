import { type DayNumber, type FindMaterial, dayNumberFromIso } from '../../ground/index.ts';
import { type BedBooks, type Brought, broughtBy } from '../../bed/index.ts';
import type { RunYear, YearPoint } from './run-years.ts';

/** Minerals are held against crops as the mean of so many years. */
const MEAN_YEARS = 3;
const MEAN_DAYS = Math.round(MEAN_YEARS * 365.25);

/** Years of a run with the minerals of what was laid in each: `books` are those the run was made of. */
export function withMinerals(
  points: readonly RunYear[],
  { bed, entries }: Pick<BedBooks, 'bed' | 'entries'>,
  findMaterial: FindMaterial,
): YearPoint[] {
  const layings = entries.flatMap((entry) =>
    entry.type === 'lay'
      ? [{ day: dayNumberFromIso(entry.date, ['date']), ...broughtBy(entry, findMaterial) }]
      : [],
  );
  const broughtG = (read: (one: Brought) => number, from: DayNumber, until: DayNumber): number =>
    layings.reduce((sum, one) => (one.day >= from && one.day < until ? sum + read(one) : sum), 0) /
    bed.areaM2;
  return points.map((point, i) => {
    const { day } = point;
    // Like all that happened: nothing for today.
    const from = i > 0 ? points[i - 1].day : day;
    const meanG = (read: (one: Brought) => number) => broughtG(read, day - MEAN_DAYS, day) / MEAN_YEARS;
    return {
      ...point,
      manureNitrogenG: broughtG((one) => one.manureNitrogenG, from, day),
      phosphorusG: broughtG((one) => one.phosphorusG, from, day),
      potassiumG: broughtG((one) => one.potassiumG, from, day),
      phosphorusMeanG: meanG((one) => one.phosphorusG),
      potassiumMeanG: meanG((one) => one.potassiumG),
    };
  });
}
