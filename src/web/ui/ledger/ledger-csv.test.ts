import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { bedOf, MILD } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../../core/ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../../core/ground/materials/library.ts';
import { monthBooks } from '../../../core/bed/projection/month-books.ts';
import { bedScenario } from '../../../core/bed/books/bed-scenario.ts';
import { ledgerCsv } from './ledger-csv.ts';

const today = dayNumberFromIso('2026-05-14', []);
const books = monthBooks(
  bedScenario({
    books: {
      site: { climate: MILD, depositionGPerM2Year: 1 },
      bed: bedOf(),
      crops: [],
      plantings: [],
      entries: [
        {
          id: 'compost',
          type: 'lay',
          state: 'laid',
          date: '2026-03-02',
          materialId: 'compost_yard',
          massFreshKg: 60,
          dugDepthCm: 0,
          seasonedMonths: 0,
        },
      ],
    },
    findMaterial: findLibraryMaterial,
    today,
    endDay: today + 60,
  }),
  today,
);
const rowsOf = (kind: 'month' | 'year', areaM2 = 5, day = today) =>
  Papa.parse<Record<string, string>>(ledgerCsv({ books, day, kind, areaM2, system: 'metric' }), {
    header: true,
  }).data;

describe('the ledger as CSV', () => {
  it('closes every period with what the next one opens with', () => {
    const rows = rowsOf('month').filter(
      ({ element, account }) => element === 'carbon' && account === 'humus',
    );
    const amounts = (line: string) =>
      rows.filter((row) => row['line'] === line).map((row) => row['amount_g']);
    expect(amounts('opening').slice(1)).toEqual(amounts('closing').slice(0, -1));
    expect(amounts('opening')).toHaveLength(8);
  });
  it('ends with the period that holds the day on show', () => {
    expect(rowsOf('month').at(-1)).toMatchObject({ from: '2026-05-01', until: '2026-05-14', basis: 'facts' });
    expect(rowsOf('year').at(-1)).toMatchObject({ from: '2026-01-01', until: '2026-05-14' });
  });
  it('tells what is forecast apart, and no day twice', () => {
    const spans = new Set(
      rowsOf('month', 5, today + 20).map(({ from, until, basis }) => `${from} ${until} ${basis}`),
    );
    expect([...spans].slice(-3)).toEqual([
      '2026-05-01 2026-05-14 facts',
      '2026-05-15 2026-05-31 forecast',
      '2026-06-01 2026-06-30 forecast',
    ]);
  });
  it('speaks for the whole bed', () => {
    const laid = (areaM2: number) =>
      Number(
        rowsOf('year', areaM2).find(({ line, account }) => line === 'source' && account === 'materials')![
          'amount_g'
        ],
      );
    expect(laid(10)).toBeCloseTo(2 * laid(5), 6);
  });
});
