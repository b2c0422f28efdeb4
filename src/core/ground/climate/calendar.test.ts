import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { daysInMonth } from '../../../records/iso-date.ts';
import { describe, expect, it } from 'vitest';
import { calendarDateOf, CalendarWalk, dayNumberFromIso, isoDateOf } from './calendar.ts';

describe('day numbers', () => {
  it('count from 1 January of year 1', () => {
    expect(dayNumberFromIso('1970-01-01', [])).toBe(719_163);
    expect(isoDateOf(719_163)).toBe('1970-01-01');
  });
  it('go there and back over leap years and centuries', () => {
    for (const iso of ['1900-02-28', '2000-02-29', '2024-12-31', '2100-03-01']) {
      expect(isoDateOf(dayNumberFromIso(iso, []))).toBe(iso);
    }
  });
  it.each(['2023-02-29', '2023-13-01', '0001-01-01', '14 May', '', null, 20240101])(
    '%j is refused by name',
    (text) => {
      expect(refusalOf(() => dayNumberFromIso(text, ['entries', 0, 'date']))).toMatch(
        /^entries\.0\.date must /,
      );
    },
  );
});

describe('a walk through the calendar', () => {
  it('knows every day as the calendar does, over leap years and a century', () => {
    const first = dayNumberFromIso('2095-12-30', []);
    const walk = new CalendarWalk(first);
    for (let day = first; day < first + 2200; day++) {
      const { year, month } = calendarDateOf(day);
      expect({ ...calendarDateOf(day), monthLength: daysInMonth(year, month) }).toEqual({
        year: walk.year,
        month: walk.month,
        day: walk.day,
        monthLength: walk.monthLength,
      });
      walk.goOn();
    }
  });
});
