/** What keeps a text from being a date of the calendar. */
export type DateTrouble = 'notADate' | 'noSuchDay';

const ISO_DATE = /^(\d{4})-(\d{2})-(\d{2})$/;

export interface DateParts {
  readonly year: number;
  /** 1 to 12. */
  readonly month: number;
  /** 1 to 31. */
  readonly day: number;
}

const MONTHS = 12;

export const isLeapYear = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;

/** Days in a month (1 to 12) of a year. */
export const daysInMonth = (year: number, month: number): number =>
  month === 2 ? (isLeapYear(year) ? 29 : 28) : [4, 6, 9, 11].includes(month) ? 30 : 31;

/** Year, month and day of a date written YYYY-MM-DD (ISO 8601), or why it is none. */
export function readIsoDate(text: unknown): DateParts | DateTrouble {
  const match = typeof text === 'string' ? ISO_DATE.exec(text) : null;
  if (!match) return 'notADate';
  const [year, month, day] = [Number(match[1]), Number(match[2]), Number(match[3])];
  const exists = month >= 1 && month <= MONTHS && day >= 1 && day <= daysInMonth(year, month);
  return exists ? { year, month, day } : 'noSuchDay';
}
