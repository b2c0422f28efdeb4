import type { DayNumber } from '../../ground/index.ts';
import {
  type Basis,
  type Period,
  type PeriodKind,
  ashStatement,
  carbonStatement,
  nitrogenStatement,
  partedAt,
  periodAround,
} from '../../model/index.ts';
import type { MonthBooks } from './month-books.ts';

type Statements = ReturnType<typeof statementsBetween>;

/** The last sample that was taken by a morning. */
const sampleBy = ({ samples }: MonthBooks, morning: DayNumber) =>
  samples.findLast(({ day }) => day <= morning) ?? samples[0];

function statementsBetween(books: MonthBooks, { fromDay, untilDay }: Period) {
  const [opening, closing] = [sampleBy(books, fromDay), sampleBy(books, untilDay)];
  return {
    carbon: carbonStatement(opening, closing),
    nitrogen: nitrogenStatement(opening, closing),
    ash: ashStatement(opening, closing),
  };
}

/** The books of one period, opening and closing, g/m2. */
export interface PeriodStatements extends Statements {
  readonly period: Period;
  /** Of the period as shown: facts, forecast, or one after the other. */
  readonly basis: readonly Basis[];
  /** Whether there is more of it to come. */
  readonly isParted: boolean;
}

/**
 * Opening and closing books of the period that holds a day. One that today lies in ends today, unless the day is later or the
 * forecast is asked for.
 */
export function statementsOf(
  books: MonthBooks,
  day: DayNumber,
  { kind, withForecast }: { readonly kind: PeriodKind; readonly withForecast: boolean },
): PeriodStatements {
  const whole = periodAround(day, kind, { fromDay: books.startDay, untilDay: books.endDay });
  const parts = partedAt(whole, books.forecastFromDay);
  const period = withForecast || parts.length === 1 || day >= books.forecastFromDay ? whole : parts[0];
  return {
    period,
    basis: partedAt(period, books.forecastFromDay).map(({ basis }) => basis),
    isParted: parts.length > 1,
    ...statementsBetween(books, period),
  };
}

/** The books period by period up to the one that holds `day`, facts and forecast of one period apart. */
export function statementsUpTo(
  books: MonthBooks,
  day: DayNumber,
  kind: PeriodKind,
): (Statements & { readonly period: Period; readonly basis: Basis })[] {
  const run = { fromDay: books.startDay, untilDay: books.endDay };
  const all: (Statements & { readonly period: Period; readonly basis: Basis })[] = [];
  for (let from = books.startDay; from <= day && from < books.endDay;) {
    const { fromDay, untilDay } = periodAround(from, kind, run);
    const [{ basis, ...period }] = partedAt(
      { fromDay: Math.max(from, fromDay), untilDay },
      books.forecastFromDay,
    );
    all.push({ period, basis, ...statementsBetween(books, period) });
    from = period.untilDay;
  }
  return all;
}
