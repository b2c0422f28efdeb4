import { describe, expect, it } from 'vitest';
import { bedOf, plantingOf } from '../../tests/fixtures/books.ts';
import type { AgendaItem, TaskWhat } from '../core/season/index.ts';
import { dayOf } from './dates.ts';
import { measuresOf } from './measures.ts';
import { dayNotice, digestText, weekDigest } from './week-digest.ts';

const today = dayOf('2026-05-14');
const measures = measuresOf({ measures: 'metric' });
const names = {
  garden: { name: 'Trial plot' },
  beds: [bedOf({ name: 'North' })],
  entries: [],
  plantings: [plantingOf()],
  materials: [],
  crops: [],
  lots: [],
};
const setting = { today, names, measures };
const CLEAR: TaskWhat = { code: 'clear', cropId: 'leek' };
const item = (inDays: number, what: TaskWhat = CLEAR, change: Partial<AgendaItem> = {}): AgendaItem => ({
  key: `${what.code} ${inDays}`,
  group: 'growing',
  what,
  bedId: 'bed',
  lotId: null,
  day: today + inDays,
  shownDay: today + inDays,
  record: null,
  warnings: [],
  lateCost: null,
  state: 'open',
  lateDays: Math.max(0, -inDays),
  mark: null,
  ...change,
});
const look = item(-5, { code: 'check', check: 'threads', aboutId: 'x' }, { lateDays: 0 });
const retest = item(3, { code: 'retest', what: 'soil' });

describe('the week on a page', () => {
  it('has what is late, what is due, looks in passing and what comes after, and leaves out what is done', () => {
    const done = item(1, CLEAR, { state: 'done' });
    const { title, sections } = weekDigest([item(-2), look, retest, item(10), item(40), done], setting);
    expect(title).toBe('Trial plot: week from 14 May 2026');
    expect(
      sections.map(({ name, lines }) => [name, lines.map(({ when, what }) => `${when} ${what}`)]),
    ).toEqual([
      ['Late', ['12 May North: Harvest and clear leek']],
      ['This week', ['17 May North: Sample the soil: mineral nitrogen, pH, organic matter']],
      ['When you pass by', [' North: Look for white threads under the layer']],
      ['After that', ['24 May North: Harvest and clear leek']],
    ]);
  });
  it('is text to send, each task with a box and its reason', () => {
    expect(digestText(weekDigest([retest], setting)).split('\n')).toEqual([
      'Trial plot: week from 14 May 2026',
      '',
      'This week',
      '[ ] 17 May  North: Sample the soil: mineral nitrogen, pH, organic matter (about 20 min)',
      '    A test is an opening balance on its date; the model and its likely range learn from it.',
    ]);
    expect(digestText(weekDigest([], setting))).toMatch(/Nothing is to be done.$/);
  });
});

describe('a notice of the day', () => {
  it('says what is due today or late, the late first, and no more than fits', () => {
    const many = [item(0), item(-9), look, item(1), ...[-1, -2, -3].map((days) => item(days))];
    expect(dayNotice(many, setting)).toEqual({
      title: 'Trial plot: 5 things to do, 4 late',
      body: [...Array.from({ length: 4 }, () => 'North: Harvest and clear leek'), 'and 1 more'].join('\n'),
    });
    expect(dayNotice([item(0)], setting)?.title).toBe('Trial plot: 1 thing to do');
  });
  it('is none on a day on which nothing is due', () => {
    expect(dayNotice([item(1), look], setting)).toBeNull();
  });
});
