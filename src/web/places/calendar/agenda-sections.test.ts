import { describe, expect, it } from 'vitest';
import type { AgendaItem, AgendaState } from '../../../core/season/agenda/agenda.ts';
import { calendarDateOf, dayNumberFromIso, isoDateOf } from '../../../core/ground/climate/calendar.ts';
import { agendaSections, bundleItems, doneLately, monthWeeks } from './agenda-sections.ts';

const TODAY = dayNumberFromIso('2026-05-14', []);
const item = (key: string, inDays: number, change: Partial<AgendaItem> = {}): AgendaItem => ({
  key,
  group: 'growing',
  what: { code: 'clear', cropId: 'leek' },
  bedId: 'bed',
  lotId: null,
  day: TODAY + inDays,
  shownDay: TODAY + inDays,
  record: null,
  warnings: [],
  lateCost: null,
  state: 'open',
  lateDays: Math.max(0, -inDays),
  mark: null,
  ...change,
});
const marked = (state: AgendaState) => ({
  state,
  mark: {
    kind: 'mark' as const,
    id: 'm',
    date: '2026-05-13',
    note: '',
    taskKey: 'k',
    state: 'done' as const,
    dueOn: '2026-05-13',
    untilDate: null,
  },
});

describe('an agenda', () => {
  it('goes from what is late to what comes next month, without what is done', () => {
    const sections = agendaSections(
      [item('late', -3), item('now', 0), item('soon', 9), item('july', 60), item('done', 1, marked('done'))],
      TODAY,
    );
    expect(sections.map(({ name, items }) => [name, items.map(({ key }) => key)])).toEqual([
      ['Late', ['late']],
      ['This week', ['now']],
      ['The next four weeks', ['soon']],
      ['July 2026', ['july']],
    ]);
  });
  it('tells the same task of many beds on one day as one, and of two as two', () => {
    const close = (key: string, inDays = 170) =>
      item(key, inDays, { what: { code: 'closeYear', year: 2026 }, bedId: key });
    const sizes = (items: AgendaItem[]) => bundleItems(items).map(({ length }) => length);
    expect(sizes([close('a'), close('b'), item('x', 170), close('c')])).toEqual([3, 1]);
    expect(sizes([close('a'), close('b')])).toEqual([1, 1]);
    expect(sizes([close('a'), close('b'), close('c', 200)])).toEqual([1, 1, 1]);
  });
  it('tells the same look at several beds as one round, whichever day each is due', () => {
    const look = (key: string, inDays: number, check: 'threads' | 'thickness' = 'threads') =>
      item(key, inDays, { what: { code: 'check', check, aboutId: key }, bedId: key });
    const keys = bundleItems([look('a', 1), look('b', 3), look('x', 3, 'thickness'), look('c', 5)]).map(
      (bundle) => bundle.map(({ key }) => key),
    );
    expect(keys).toEqual([['a', 'b', 'c'], ['x']]);
  });
  it('folds looks in passing away from what is due, and never calls one late', () => {
    const look = item('look', -20, { lateDays: 0, what: { code: 'check', check: 'threads', aboutId: 'x' } });
    const smell = item('smell', 1, { what: { code: 'check', check: 'sweetManure', aboutId: 'x' } });
    const late = item('late', -3);
    const sections = agendaSections([look, late, smell], TODAY);
    expect(sections.map(({ name, items, inPassing }) => [name, items.length, inPassing.length])).toEqual([
      ['Late', 1, 0],
      ['This week', 1, 1],
    ]);
  });
  it('keeps what was ticked off lately at hand', () => {
    const items = [
      item('old', -60, marked('done')),
      item('a', -2, marked('done')),
      item('b', -1, marked('dropped')),
      item('open', 0),
    ];
    expect(doneLately(items, TODAY).map(({ key }) => key)).toEqual(['b', 'a']);
  });
});

describe('a month', () => {
  it.each(['2026-05-14', '2024-02-29', '2026-02-01', '2027-12-31', '2026-06-01'])(
    'of %s has all its days in whole weeks from Monday',
    (iso) => {
      const day = dayNumberFromIso(iso, []);
      const weeks = monthWeeks(day);
      const { month, year } = calendarDateOf(day);
      for (const week of weeks) {
        expect(week).toHaveLength(7);
        expect(new Date(`${isoDateOf(week[0])}T00:00:00Z`).getUTCDay()).toBe(1);
        expect(week.some((one) => calendarDateOf(one).month === month)).toBe(true);
      }
      const own = weeks
        .flat()
        .filter((one) => calendarDateOf(one).month === month && calendarDateOf(one).year === year);
      expect(own).toHaveLength(new Date(Date.UTC(year, month, 0)).getUTCDate());
    },
  );
});
