import { afterEach, describe, expect, it } from 'vitest';
import { dayNumberFromIso, isoDateOf } from '../core/ground/climate/calendar.ts';
import { instantWords } from '../words/dates.ts';
import { dateHere } from './today.ts';

const home = process.env['TZ'];
afterEach(() => {
  if (home === undefined) delete process.env['TZ'];
  else process.env['TZ'] = home;
});

describe('the date in the garden', () => {
  it.each([
    // The hour that is there twice, and the one that is not: no day is skipped or counted twice.
    ['Europe/Berlin', '2026-03-29T00:59:59Z', '2026-03-29'],
    ['Europe/Berlin', '2026-03-29T22:30:00Z', '2026-03-30'],
    ['Europe/Berlin', '2026-10-25T22:30:00Z', '2026-10-25'],
    ['Europe/Berlin', '2026-10-25T23:30:00Z', '2026-10-26'],
    ['America/New_York', '2026-11-01T03:59:00Z', '2026-10-31'],
    ['Pacific/Auckland', '2026-05-14T13:00:00Z', '2026-05-15'],
    ['Pacific/Kiritimati', '2027-12-31T10:30:00Z', '2028-01-01'],
    ['Asia/Kathmandu', '2028-02-28T18:30:00Z', '2028-02-29'],
    ['UTC', '2028-02-29T23:59:59Z', '2028-02-29'],
  ])('in %s at %s is %s', (zone, instant, date) => {
    process.env['TZ'] = zone;
    expect(dateHere(new Date(instant))).toBe(date);
  });

  it('goes on by one for every 24 hours, whatever the clocks of the place do', () => {
    for (const zone of ['Europe/Berlin', 'America/New_York', 'Australia/Lord_Howe', 'Pacific/Auckland']) {
      process.env['TZ'] = zone;
      for (let day = dayNumberFromIso('2026-01-01', []); day < dayNumberFromIso('2028-12-31', []); day++) {
        const noon = new Date(`${isoDateOf(day)}T12:00:00`);
        expect(dateHere(noon)).toBe(isoDateOf(day));
      }
    }
  });

  it('of an instant is said by the clock of the place', () => {
    process.env['TZ'] = 'Europe/Berlin';
    expect(instantWords('2026-05-14T22:05:00.000Z')).toBe('15 May 2026, 00:05');
  });
});
