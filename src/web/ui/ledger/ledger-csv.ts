import { asCsv } from '../../../contract/tables/csv.ts';
import { type DayNumber, isoDateOf } from '../../../core/ground/index.ts';
import type { Basis, PeriodKind, Statement } from '../../../core/model/index.ts';
import { tableInUnits } from '../../../contract/tables/table-in-units.ts';
import type { UnitSystem } from '../../../refusals/refusal.ts';
import { type MonthBooks, statementsUpTo } from '../../../core/bed/index.ts';

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
  const rows = statementsUpTo(books, day, kind).flatMap(({ period, basis, carbon, nitrogen, ash }) => {
    const about = {
      from: isoDateOf(period.fromDay),
      until: isoDateOf(period.untilDay - 1),
      basis,
      areaM2,
    };
    return [carbon, nitrogen, ash].flatMap((statement) => linesOf({ statement, ...about }));
  });
  return asCsv(tableInUnits({ fields: HEADER, data: rows }, system));
}
