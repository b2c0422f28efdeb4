import type { DayNumber } from '../../ground/index.ts';

const DAYS_PER_YEAR = 365.25;

/** Today and the same day of the coming years. */
export const outlookDays = (today: DayNumber, years: number): DayNumber[] =>
  Array.from({ length: years + 1 }, (_, i) => today + Math.round(i * DAYS_PER_YEAR));

/** A scenario must end on this day to be followed for so many years from `today`. */
export const endOfYears = (today: DayNumber, years: number): DayNumber =>
  today + Math.ceil(years * DAYS_PER_YEAR) + 2;
