import { Segmented } from 'antd';
import { useState } from 'react';
import type { DayNumber } from '../../../core/climate/calendar.ts';
import { carbonStatement, nitrogenStatement, type Statement } from '../../../core/ledger/statement.ts';
import { atEndOf, sampleOn, type BedProjection } from '../../../core/projection/bed-projection.ts';
import { fullDate } from '../../format/dates.ts';
import { cell } from '../../format/figures.ts';
import { CARBON_WORDS, NITROGEN_WORDS } from '../../format/words.ts';

interface LedgerProps {
  readonly projection: BedProjection;
  readonly closingDay: DayNumber;
  readonly areaM2: number;
}

type Period = 'quarter' | 'year' | 'all';
const PERIODS: { value: Period; label: string }[] = [
  { value: 'quarter', label: '3 months' },
  { value: 'year', label: 'a year' },
  { value: 'all', label: 'from the start' },
];
const DAYS: Record<Exclude<Period, 'all'>, number> = { quarter: 91, year: 365 };
const GRAMS_PER_KILOGRAM = 1000;

/** The two books of the bed over a period up to the day on show, and the proof that they balance. */
export function Ledger({ projection, closingDay, areaM2 }: LedgerProps) {
  const [period, setPeriod] = useState<Period>('year');
  const openingDay =
    period === 'all' ? projection.startDay : Math.max(projection.startDay, closingDay - DAYS[period]);
  const opening = sampleOn(projection, openingDay);
  const closing = atEndOf(projection, closingDay);
  const carbon = carbonStatement(opening, closing);
  const nitrogen = nitrogenStatement(opening, closing);
  return (
    <section aria-label="Ledger">
      <div className="section-head">
        <h2>The books</h2>
        <span className="soft">
          {fullDate(opening.day)} to {fullDate(closing.day - 1)}, whole bed
        </span>
        <Segmented size="small" value={period} onChange={setPeriod} options={PERIODS} />
      </div>
      <div className="two-books">
        <StatementTable
          title="Carbon"
          mark="■"
          unit="kg C"
          statement={carbon}
          words={CARBON_WORDS}
          scale={areaM2 / GRAMS_PER_KILOGRAM}
          decimals={2}
        />
        <StatementTable
          title="Nitrogen"
          mark="●"
          unit="g N"
          statement={nitrogen}
          words={NITROGEN_WORDS}
          scale={areaM2}
          decimals={1}
        />
      </div>
      <p className="soft">
        Every gram is in one account. Since {fullDate(projection.startDay)} the two sides of the books have
        never differed by more than{' '}
        <span className="figure">{projection.largestRelativeError.toExponential(0)}</span> of their sum on any
        day; the limit is 1e-9.
      </p>
    </section>
  );
}

interface StatementTableProps<Account extends string> {
  readonly title: string;
  readonly mark: string;
  readonly unit: string;
  readonly statement: Statement<Account>;
  readonly words: Record<Account, string>;
  readonly scale: number;
  readonly decimals: number;
}

function StatementTable<Account extends string>(props: StatementTableProps<Account>) {
  const { title, mark, unit, statement, words, scale, decimals } = props;
  const shown = (grams: number) => cell(grams * scale, decimals);
  const isEmpty = (...grams: number[]) => grams.every((g) => shown(g) === '—');
  const assets = statement.assets.filter(
    (line) => !isEmpty(line.openingG, line.inG, line.outG, line.closingG),
  );
  const outside = statement.outside.filter(({ amountG }) => !isEmpty(amountG));
  return (
    <table className={`ledger book-${statement.element}`}>
      <caption>
        <span aria-hidden="true">{mark}</span> {title} <span className="soft">{unit}</span>
      </caption>
      <thead>
        <tr>
          <th scope="col">account</th>
          <th scope="col" className="red-rule">
            opening
          </th>
          <th scope="col">in</th>
          <th scope="col">out</th>
          <th scope="col" className="red-rule">
            closing
          </th>
        </tr>
      </thead>
      <tbody>
        {assets.map(({ account, openingG, inG, outG, closingG }) => (
          <tr key={account}>
            <td>{words[account]}</td>
            <td className="red-rule">{shown(openingG)}</td>
            <td>{shown(inG)}</td>
            <td>{shown(outG)}</td>
            <td className="red-rule closing">{shown(closingG)}</td>
          </tr>
        ))}
        {outside.map(({ account, side, amountG }) => (
          <tr key={`${side} ${account}`} className="outside">
            <td>{words[account]}</td>
            <td className="red-rule">—</td>
            <td>{side === 'source' ? shown(amountG) : '—'}</td>
            <td>{side === 'sink' ? shown(amountG) : '—'}</td>
            <td className="red-rule">—</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td>Trial balance</td>
          <td className="red-rule" colSpan={2}>
            {shown(statement.debitG)} was and came
          </td>
          <td className="red-rule" colSpan={2}>
            {shown(statement.creditG)} is and went
          </td>
        </tr>
      </tfoot>
    </table>
  );
}
