import { type DayNumber, calendarDateOf, dayNumberFromIso } from '../core/ground/index.ts';

export const MONTH_NAMES = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

/** Months cut to three letters, January first. */
export const MONTH_LETTERS: readonly string[] = MONTH_NAMES.map((month) => month.slice(0, 3));

export const dayOf = (iso: string): DayNumber => dayNumberFromIso(iso, ['date']);

/** "14 May 2026". */
export function fullDate(day: DayNumber): string {
  const { year, month, day: dayOfMonth } = calendarDateOf(day);
  return `${dayOfMonth} ${MONTH_NAMES[month - 1]!} ${year}`;
}

/** "14 May 2026", the month cut to three letters for a column of dates. */
export function shortDate(day: DayNumber): string {
  const { year, month, day: dayOfMonth } = calendarDateOf(day);
  return `${dayOfMonth} ${MONTH_NAMES[month - 1]!.slice(0, 3)} ${year}`;
}

/** "14 May", with the year when it is another year than `today`'s. */
export function dateNear(day: DayNumber, today: DayNumber): string {
  const { year, month, day: dayOfMonth } = calendarDateOf(day);
  const short = `${dayOfMonth} ${MONTH_NAMES[month - 1]!}`;
  return year === calendarDateOf(today).year ? short : `${short} ${year}`;
}

/** "early May", "mid May 2027", "late May": the model is not good to the day. */
export function aboutWhen(day: DayNumber, today: DayNumber): string {
  const { year, month, day: dayOfMonth } = calendarDateOf(day);
  const part = dayOfMonth <= 10 ? 'early' : dayOfMonth <= 20 ? 'mid' : 'late';
  const text = `${part} ${MONTH_NAMES[month - 1]!}`;
  return year === calendarDateOf(today).year ? text : `${text} ${year}`;
}

/** "May 2026". */
export function monthAndYear(day: DayNumber): string {
  const { year, month } = calendarDateOf(day);
  return `${MONTH_NAMES[month - 1]!} ${year}`;
}

/** "May", or "Jan 27" for a January, so that the year shows where it turns. */
export function monthTick(day: DayNumber): string {
  const { year, month } = calendarDateOf(day);
  const short = MONTH_NAMES[month - 1]!.slice(0, 3);
  return month === 1 ? `${short} ${String(year).slice(2)}` : short;
}

const DAYS_PER_MONTH = 30.4;

/** How long ago something was laid: "today", "3 weeks", "7 months", "2 years". */
export function ageInWords(days: number): string {
  if (days < 1) return 'today';
  if (days < 14) return days === 1 ? '1 day' : `${Math.round(days)} days`;
  if (days < 60) return `${Math.round(days / 7)} weeks`;
  const months = Math.round(days / DAYS_PER_MONTH);
  if (months < 24) return `${months} months`;
  return `${(days / 365.25).toFixed(1).replace(/\.0$/, '')} years`;
}

const twoDigits = (n: number): string => String(n).padStart(2, '0');

/** An instant by the clock of the place: 14 May 2026, 08:30. */
export function instantWords(iso: string): string {
  const at = new Date(iso);
  const day = dayOf(`${at.getFullYear()}-${twoDigits(at.getMonth() + 1)}-${twoDigits(at.getDate())}`);
  return `${fullDate(day)}, ${twoDigits(at.getHours())}:${twoDigits(at.getMinutes())}`;
}
