import { describe, expect, it } from 'vitest';
import { dayNumberFromIso, isoDateOf } from './calendar.ts';
import { type FrostDates, frostDates, frostUntil, nightlyMinimumC } from './frost.ts';
import { STATIONS, normalsOf } from './stations.ts';

const normals = (name: string) => normalsOf(STATIONS.find((one) => one.name === name)!);
const datesOf = (months: Parameters<typeof frostDates>[0]) => frostDates(months) as FrostDates;
const dayOf = (monthDay: string) => Date.parse(`2025-${monthDay}`) / 86_400_000;
const monthDay = (day: number) => isoDateOf(day).slice(5);
/** Days from one date of the year to another, over the turn of the year too. */
const apart = (a: string, b: string) => Math.abs(((dayOf(a) - dayOf(b) + 182 + 365) % 365) - 182);

/** Last and first frost of the middle year at 2 m, from memory of agricultural extension tables and climate summaries. */
const KNOWN: readonly (readonly [name: string, last: string, first: string])[] = [
  ['London', '04-15', '11-10'],
  ['Chicago', '04-22', '10-24'],
  ['Denver', '05-04', '10-04'],
  ['Moscow', '05-08', '09-28'],
  ['Atlanta', '03-25', '11-12'],
  ['Dallas', '03-12', '11-22'],
  ['New York', '04-03', '11-15'],
  ['Minneapolis', '04-28', '10-08'],
  ['Winnipeg', '05-22', '09-22'],
  ['Berlin', '04-25', '10-28'],
  ['Christchurch', '10-05', '05-05'],
  ['Fairbanks', '05-15', '09-08'],
  ['Seattle', '03-22', '11-10'],
  ['Beijing', '04-08', '10-25'],
  ['Johannesburg', '08-25', '05-20'],
  ['Albuquerque', '04-16', '10-28'],
  ['Spokane', '05-05', '10-05'],
  ['Sacramento', '02-25', '11-30'],
];

describe('frost by twelve monthly means', () => {
  it.each(KNOWN)('%s: the last and the first lie within a month of what is known', (name, last, first) => {
    const dates = datesOf(normals(name));
    expect(apart(monthDay(dates.lastDay), last)).toBeLessThanOrEqual(31);
    expect(apart(monthDay(dates.firstDay), first)).toBeLessThanOrEqual(31);
  });

  it('lies within ten days of what is known half of the time', () => {
    const errors = KNOWN.flatMap(([name, last, first]) => {
      const dates = datesOf(normals(name));
      return [apart(monthDay(dates.lastDay), last), apart(monthDay(dates.firstDay), first)];
    });
    expect(errors.filter((days) => days <= 10).length).toBeGreaterThanOrEqual(errors.length / 2);
  });

  it.each(['Sydney', 'Lisbon', 'Singapore', 'Mexico City', 'Miami'])('%s has none in most years', (name) => {
    expect(frostDates(normals(name))).toBe('none');
  });

  it('may come in any night where it is too cold for trees', () => {
    expect(frostDates(normals('Nuuk'))).toBe('anyMonth');
    expect(frostDates(normals('Yakutsk'))).not.toBe('anyMonth');
  });

  it('comes later in spring and earlier in autumn the colder it is', () => {
    const mild = datesOf(normals('Berlin'));
    const { temperatureC, ...rest } = normals('Berlin');
    const cold = datesOf({ ...rest, temperatureC: temperatureC.map((mean) => mean - 3) });
    expect(cold.lastDay).toBeGreaterThan(mild.lastDay);
    expect(cold.firstDay).toBeLessThan(mild.firstDay);
  });

  it('is to be reckoned with until the last of spring, in either half of the earth', () => {
    const until = (name: string, iso: string) => {
      const day = frostUntil(normals(name), dayNumberFromIso(iso, []));
      return day === null ? null : isoDateOf(day);
    };
    expect(until('Chicago', '2026-07-01')).toBeNull();
    expect(until('Chicago', '2026-12-24')).toMatch(/^2027-04/);
    expect(until('Chicago', '2027-01-10')).toBe(until('Chicago', '2026-12-24'));
    expect(until('Christchurch', '2026-12-24')).toBeNull();
    expect(until('Christchurch', '2026-07-01')).toMatch(/^2026-(?:09|10)/);
    expect(until('Sydney', '2026-07-01')).toBeNull();
    expect(until('Nuuk', '2026-07-01')).toBe('2027-07-01');
  });

  it('has colder nights where it is dry', () => {
    const wet = normals('London');
    const dry = { ...wet, rainMm: wet.rainMm.map(() => 0) };
    expect(nightlyMinimumC(dry, 6)).toBeLessThan(nightlyMinimumC(wet, 6) - 0.5);
  });
});
