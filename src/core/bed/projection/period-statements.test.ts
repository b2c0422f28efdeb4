import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, NO_STOCK } from '../../../../tests/fixtures/books.ts';
import { layOf } from '../../../../tests/fixtures/laid.ts';
import { dayNumberFromIso, findLibraryMaterial, isoDateOf } from '../../ground/index.ts';
import { bedScenario } from '../books/bed-scenario.ts';
import { booksOfBed } from '../books/garden-books.ts';
import { monthBooks } from './month-books.ts';
import { statementsOf, statementsUpTo } from './period-statements.ts';

const today = dayNumberFromIso('2026-05-14', []);
const records = {
  garden: { ...GARDEN },
  beds: [bedOf({ id: 'bed' })],
  entries: [{ ...layOf({ id: 'straw', date: '2026-03-10' }), bedId: 'bed' }],
  crops: [],
  plantings: [],
  materials: [],
  ...NO_STOCK,
};
const scenario = bedScenario({
  books: booksOfBed(records, 'bed')!,
  findMaterial: findLibraryMaterial,
  today,
  endDay: dayNumberFromIso('2027-03-10', []),
});
const books = monthBooks(scenario, today);
const days = ({ fromDay, untilDay }: { fromDay: number; untilDay: number }) => [
  isoDateOf(fromDay),
  isoDateOf(untilDay),
];

describe('the books of a period', () => {
  it('end today where today lies in it, unless the forecast is asked for or the day is later', () => {
    const year = (day: number, withForecast: boolean) =>
      statementsOf(books, day, { kind: 'year', withForecast });
    const now = year(today, false);
    expect([days(now.period)[1], now.basis, now.isParted]).toEqual(['2026-05-15', ['facts'], true]);
    const whole = year(today, true);
    expect([days(whole.period)[1], whole.basis]).toEqual(['2027-01-01', ['facts', 'forecast']]);
    expect(year(today + 60, false).basis).toEqual(['facts', 'forecast']);
    const past = statementsOf(books, today - 40, { kind: 'month', withForecast: false });
    expect([past.basis, past.isParted]).toEqual([['facts'], false]);
  });
  it('one after the other close as the next one opens, facts and forecast apart, as long as the run', () => {
    const all = statementsUpTo(books, books.endDay, 'month');
    expect(all[0].period.fromDay).toBe(books.startDay);
    expect(all.at(-1)!.period.untilDay).toBe(books.endDay);
    expect(all.filter(({ period }) => period.untilDay === books.forecastFromDay)).toHaveLength(1);
    all.slice(1).forEach(({ period, basis, nitrogen }, i) => {
      const before = all[i];
      expect(before.period.untilDay).toBe(period.fromDay);
      expect(basis).toBe(period.fromDay < books.forecastFromDay ? 'facts' : 'forecast');
      nitrogen.assets.forEach(({ openingG }, k) => {
        expect(openingG).toBe(before.nitrogen.assets[k].closingG);
      });
    });
    expect(statementsUpTo(books, today, 'year').every(({ basis }) => basis === 'facts')).toBe(true);
  });
});
