import { asCsv } from '../../../contract/tables/csv.ts';
import { type DayNumber, isoDateOf } from '../../../core/ground/index.ts';
import {
  type PeriodKind,
  type Statement,
  type Basis,
  ashStatement,
  carbonStatement,
  nitrogenStatement,
  partedAt,
  periodAround,
} from '../../../core/model/index.ts';
import { tableInUnits } from '../../../contract/tables/table-in-units.ts';
import type { UnitSystem } from '../../../refusals/refusal.ts';
import type { MonthBooks } from '../../../core/bed/index.ts';

const HEADER = ['from', 'until', 'basis', 'element', 'account', 'line', 'counterparty', 'amount_g'];

function linesOf({
  statement,
  from,
  until,
  basis,
  areaM2,
}: {
  readonly statement: Statement;
  readonly from: string;
  readonly until: string;
  readonly basis: Basis;
  readonly areaM2: number;
}): (string | number)[][] {
  const row = ({
    account,
    line,
    counterparty,
    gPerM2,
  }: {
    readonly account: string;
    readonly line: string;
    readonly counterparty: string;
    readonly gPerM2: number;
  }) => [from, until, basis, statement.element, account, line, counterparty, gPerM2 * areaM2];
  return [
    ...statement.assets.flatMap(({ account, openingG, closingG, postings }) => [
      row({ account, line: 'opening', counterparty: '', gPerM2: openingG }),
      ...postings.map(({ name, counterparty, amountG }) =>
        row({ account, line: name, counterparty, gPerM2: amountG }),
      ),
      row({ account, line: 'closing', counterparty: '', gPerM2: closingG }),
    ]),
    ...statement.outside.map(({ account, side, amountG }) =>
      row({ account, line: side, counterparty: '', gPerM2: amountG }),
    ),
  ];
}

/**
 * The books of a whole run as CSV (RFC 4180), period by period up to the one that holds `day`, with what is forecast apart; amounts in grams or
 * ounces for the whole bed, what comes into an account positive.
 */
export function ledgerCsv({
  books,
  day,
  kind,
  areaM2,
  system,
}: {
  readonly books: MonthBooks;
  readonly day: DayNumber;
  readonly kind: PeriodKind;
  readonly areaM2: number;
  readonly system: UnitSystem;
}): string {
  const run = { fromDay: books.startDay, untilDay: books.endDay };
  const at = (morning: DayNumber) =>
    books.samples.findLast((sample) => sample.day <= morning) ?? books.samples[0]!;
  const rows: (string | number)[][] = [];
  for (let from = books.startDay; from <= day && from < books.endDay;) {
    const { fromDay, untilDay } = periodAround(from, kind, run);
    const { basis, ...part } = partedAt(
      { fromDay: Math.max(from, fromDay), untilDay },
      books.forecastFromDay,
    )[0]!;
    const [opening, closing] = [at(part.fromDay), at(part.untilDay)];
    const about = { from: isoDateOf(part.fromDay), until: isoDateOf(part.untilDay - 1), basis, areaM2 };
    rows.push(
      ...linesOf({ statement: carbonStatement(opening, closing), ...about }),
      ...linesOf({ statement: nitrogenStatement(opening, closing), ...about }),
      ...linesOf({ statement: ashStatement(opening, closing), ...about }),
    );
    from = part.untilDay;
  }
  return asCsv(tableInUnits({ fields: HEADER, data: rows }, system));
}
