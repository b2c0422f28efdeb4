import {
  type DayNumber,
  calendarDateOf,
  dayNumberFromIso,
  dayNumberOf,
  findCrop,
  isoDateOf,
} from '../../ground/index.ts';
import type { BedBooks } from '../../bed/index.ts';
import type { Planting } from '../../../records/planting.ts';

const YEAR_DAYS = 365;

/** The same calendar day so many years later; the 29th of February becomes the 28th. */
export function yearsLater(isoDate: string, years: number): string {
  const { year, month, day } = calendarDateOf(dayNumberFromIso(isoDate, ['date']));
  const leap = month === 2 && day === 29;
  return isoDateOf(dayNumberOf({ year: year + years, month, day: leap ? 28 : day }));
}

/**
 * What is grown year after year when nothing else is known: annuals planted in the twelve months before `today`, or,
 * when there were none, those that are planned. Perennials need no repeating: they stay.
 */
export function cropsAgain(
  { plantings, crops }: Pick<BedBooks, 'plantings' | 'crops'>,
  today: DayNumber,
  years: number,
): Planting[] {
  const annuals = plantings.filter(({ cropId }) => !findCrop(cropId, crops)?.isPerennial);
  const dayOf = ({ plantedOn }: Planting) => dayNumberFromIso(plantedOn, ['plantedOn']);
  const lately = annuals.filter((one) => dayOf(one) > today - YEAR_DAYS && dayOf(one) <= today);
  const pattern = lately.length > 0 ? lately : annuals.filter((one) => dayOf(one) > today);
  const firstAgain = 1;
  return pattern.flatMap((one) =>
    Array.from({ length: years }, (_, k) => k + firstAgain).map((later): Planting => ({
      ...one,
      id: `${one.id}-again-${later}`,
      state: 'planned',
      plantedOn: yearsLater(one.plantedOn, later),
      clearedOn: one.clearedOn === null ? null : yearsLater(one.clearedOn, later),
    })),
  );
}
