import { expect, it } from 'vitest';
import { dayNumberFromIso, isoDateOf } from '../../../core/ground/index.ts';
import type { AgendaItem } from '../../../core/season/index.ts';
import { itemsByDay, monthFrom, yearOfJobs } from './month-days.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);
const TODAY = day('2026-11-20');
const item = (key: string, iso: string, bedId: string) => ({ key, shownDay: day(iso), bedId }) as AgendaItem;

it('months follow each other over the turn of the year', () => {
  expect([-1, 0, 1, 2, 14].map((by) => isoDateOf(monthFrom(TODAY, by)))).toEqual([
    '2026-10-01',
    '2026-11-01',
    '2026-12-01',
    '2027-01-01',
    '2028-01-01',
  ]);
});

it('what is late counts to today', () => {
  const late = item('feed', '2026-11-01', 'a');
  expect([...itemsByDay([late, item('sow', '2026-11-25', 'a')], TODAY).keys()]).toEqual([
    TODAY,
    day('2026-11-25'),
  ]);
});

it('a year has twelve months, in each the same task of several beds as one job', () => {
  const items = [
    item('feed', '2026-11-01', 'a'),
    item('feed', '2026-12-03', 'a'),
    item('feed', '2026-12-09', 'b'),
    item('feed', '2026-12-20', 'b'),
    item('sow', '2026-12-04', 'b'),
    item('feed', '2027-11-05', 'b'),
  ];
  const year = yearOfJobs(items, TODAY, { ofTask: ({ key }) => key, ofPlace: ({ bedId }) => bedId ?? '' });
  expect(year).toHaveLength(12);
  expect(year[0].jobs.map(({ item: { key }, places }) => [key, places])).toEqual([['feed', ['a']]]);
  expect(year[1].jobs.map(({ item: { key }, places }) => [key, places])).toEqual([
    ['feed', ['a', 'b']],
    ['sow', ['b']],
  ]);
  expect(year.slice(2).flatMap(({ jobs }) => jobs)).toEqual([]);
});
