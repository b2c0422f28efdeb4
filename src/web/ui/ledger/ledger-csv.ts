import Papa from 'papaparse';
import { type DayNumber, isoDateOf } from '../../../core/ground/index.ts';
import {
  type PeriodKind,
  type Statement,
  ashStatement,
  carbonStatement,
  nitrogenStatement,
  periodAround,
} from '../../../core/model/index.ts';
import type { MonthBooks } from '../../../core/bed/index.ts';

const HEADER = ['from', 'until', 'element', 'account', 'line', 'counterparty', 'amount_g'];

function linesOf(statement: Statement, from: string, until: string, areaM2: number): string[][] {
  const row = (account: string, line: string, counterparty: string, gPerM2: number) => [
    from,
    until,
    statement.element,
    account,
    line,
    counterparty,
    String(gPerM2 * areaM2),
  ];
  return [
    ...statement.assets.flatMap(({ account, openingG, closingG, postings }) => [
      row(account, 'opening', '', openingG),
      ...postings.map(({ name, counterparty, amountG }) => row(account, name, counterparty, amountG)),
      row(account, 'closing', '', closingG),
    ]),
    ...statement.outside.map(({ account, side, amountG }) => row(account, side, '', amountG)),
  ];
}

/**
 * The books of a whole run as CSV (RFC 4180), period by period up to the one that holds `day`; amounts in grams for
 * the whole bed, what comes into an account positive.
 */
export function ledgerCsv(books: MonthBooks, day: DayNumber, kind: PeriodKind, areaM2: number): string {
  const run = { fromDay: books.startDay, untilDay: books.endDay };
  const at = (morning: DayNumber) =>
    books.samples.findLast((sample) => sample.day <= morning) ?? books.samples[0]!;
  const rows: string[][] = [];
  for (let from = books.startDay; from <= day && from < books.endDay;) {
    const { untilDay } = periodAround(from, kind, run);
    const [opening, closing] = [at(from), at(untilDay)];
    const [first, last] = [isoDateOf(from), isoDateOf(untilDay - 1)];
    rows.push(
      ...linesOf(carbonStatement(opening, closing), first, last, areaM2),
      ...linesOf(nitrogenStatement(opening, closing), first, last, areaM2),
      ...linesOf(ashStatement(opening, closing), first, last, areaM2),
    );
    from = untilDay;
  }
  return Papa.unparse({ fields: HEADER, data: rows }, { newline: '\r\n' });
}
