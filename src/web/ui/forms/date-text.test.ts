import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { figureOrderOf, readDate, shownDate } from './date-text.ts';

const NEAR = '2026-05-14';
const read = (text: string, order: 'dayFirst' | 'monthFirst' = 'dayFirst') => readDate(text, NEAR, order);

describe('a date as people type it', () => {
  it.each([
    ['2026-05-28', '2026-05-28'],
    ['28 May 2026', '2026-05-28'],
    ['28 may 2026', '2026-05-28'],
    ['May 28, 2026', '2026-05-28'],
    ['28th May 2026', '2026-05-28'],
    ['28 May', '2026-05-28'],
    ['May 28', '2026-05-28'],
    ['28.5.2026', '2026-05-28'],
    ['28.05.2026', '2026-05-28'],
    ['28.5.', '2026-05-28'],
    ['28/5/2026', '2026-05-28'],
    ['28-5-2026', '2026-05-28'],
    ['28/5/26', '2026-05-28'],
    ['  1 January 2025 ', '2025-01-01'],
    ['29 Feb 2024', '2024-02-29'],
  ])('%j is %s', (text, iso) => expect(read(text)).toBe(iso));

  it('takes figures in the order of the reader', () => {
    expect(read('5/6/2026', 'monthFirst')).toBe('2026-05-06');
    expect(read('5/6/2026', 'dayFirst')).toBe('2026-06-05');
    // Only one order can be meant.
    expect(read('28/5/2026', 'monthFirst')).toBe('2026-05-28');
    expect(read('5/28/2026', 'dayFirst')).toBe('2026-05-28');
    // Points always put the day first.
    expect(read('5.6.2026', 'monthFirst')).toBe('2026-06-05');
  });

  it.each(['', 'soon', '30 Feb 2026', '2026-13-01', '32 May 2026', '5', '1/2/3/4', '14 Mai 2026', '-1'])(
    '%j is none',
    (text) => expect(read(text)).toBeNull(),
  );

  it('is read back from how it is shown, every day of a century', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1950-01-01'), max: new Date('2050-12-31'), noInvalidDate: true }),
        (date) => {
          const iso = date.toISOString().slice(0, 10);
          expect(read(shownDate(iso))).toBe(iso);
        },
      ),
    );
  });

  it('never throws, and gives nothing but dates', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), (text) => {
        const iso = read(text);
        if (iso !== null) expect(iso).toMatch(/^\d{4}-\d\d-\d\d$/);
      }),
    );
  });

  it('follows the languages of the browser', () => {
    expect(figureOrderOf(['en-US'])).toBe('monthFirst');
    expect(figureOrderOf(['en-GB'])).toBe('dayFirst');
    expect(figureOrderOf(['de'])).toBe('dayFirst');
  });
});
