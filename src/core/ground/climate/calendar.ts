import { readIsoDate, daysInMonth } from '../../../records/iso-date.ts';
import { InputError, type FieldPath } from '../../../refusals/input-error.ts';

/** A day counted in the proleptic Gregorian calendar: 1 January of year 1 is day 1, 1 January 1970 is day 719163. */
export type DayNumber = number;

export interface CalendarDate {
  readonly year: number;
  /** 1 to 12. */
  readonly month: number;
  /** 1 to 31. */
  readonly day: number;
}

export const EARLIEST_YEAR = 1700;
export const LATEST_YEAR = 2500;

const DAYS_BEFORE_1970 = 719162;
const MILLISECONDS_PER_DAY = 86_400_000;

/**
 * Day number of a date of the Gregorian calendar; 1 is 1 January of the year 1.
 *
 * @example
 * dayNumberOf({ year: 2026, month: 5, day: 14 }) // 739750
 */
export const dayNumberOf = ({ year, month, day }: CalendarDate): DayNumber =>
  Date.UTC(year, month - 1, day) / MILLISECONDS_PER_DAY + DAYS_BEFORE_1970 + 1;

export function calendarDateOf(dayNumber: DayNumber): CalendarDate {
  const instant = new Date((dayNumber - DAYS_BEFORE_1970 - 1) * MILLISECONDS_PER_DAY);
  return {
    year: instant.getUTCFullYear(),
    month: instant.getUTCMonth() + 1,
    day: instant.getUTCDate(),
  };
}

/** ISO 8601 calendar date, YYYY-MM-DD. */
export function isoDateOf(dayNumber: DayNumber): string {
  const { year, month, day } = calendarDateOf(dayNumber);
  return `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
}

/**
 * Day number of an ISO date. Throws InputError naming `path` for anything else, for days that do not
 * exist (30 February) and for years outside 1700 to 2500, which are taken for slips of the pen.
 *
 * @example
 * dayNumberFromIso('2026-05-14', ['date']) // 739750
 */
export function dayNumberFromIso(text: unknown, path: FieldPath): DayNumber {
  const read = readIsoDate(text);
  if (read === 'notADate') {
    throw new InputError(path, 'notADate', { got: text });
  }
  if (read === 'noSuchDay') {
    throw new InputError(path, 'noSuchDay', { got: text });
  }
  if (!(read.year >= EARLIEST_YEAR && read.year <= LATEST_YEAR)) {
    throw new InputError(path, 'outsideYears', { first: EARLIEST_YEAR, last: LATEST_YEAR, got: text });
  }
  return dayNumberOf(read);
}

/** Steps from day to day and keeps track of the date: quicker than working out each date from its number. */
export class CalendarWalk {
  year: number;
  month: number;
  day: number;
  monthLength: number;

  constructor(firstDay: DayNumber) {
    const { year, month, day } = calendarDateOf(firstDay);
    this.year = year;
    this.month = month;
    this.day = day;
    this.monthLength = daysInMonth(year, month);
  }

  /** Mutates the walk. */
  goOn(): void {
    this.day += 1;
    if (this.day <= this.monthLength) return;
    this.day = 1;
    this.month = this.month === 12 ? 1 : this.month + 1;
    if (this.month === 1) this.year += 1;
    this.monthLength = daysInMonth(this.year, this.month);
  }
}
