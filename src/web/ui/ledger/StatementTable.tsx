import { useState } from 'react';
import type { AshParty, CarbonParty, NitrogenParty, Statement } from '../../../core/model/index.ts';
import { formatCell } from '../../../words/figures.ts';
import { counterpartyWords } from '../../../words/words.ts';
import './ledger.css';

interface StatementTableProps<Account extends CarbonParty | NitrogenParty | AshParty> {
  readonly title: string;
  readonly mark: string;
  readonly unit: string;
  readonly statement: Statement<Account>;
  readonly words: Record<Account, string>;
  readonly scale: number;
  readonly decimals: number;
}

/** One book: what each account opened with, what was posted, what it closed with. */
export function StatementTable<Account extends CarbonParty | NitrogenParty | AshParty>(
  props: StatementTableProps<Account>,
) {
  const { title, mark, unit, statement, words, scale, decimals } = props;
  const [openAccount, setOpenAccount] = useState<Account | null>(null);
  const shown = (grams: number) => formatCell(grams * scale, decimals);
  const isEmpty = (...grams: number[]) => grams.every((g) => shown(g) === '—');
  const assets = statement.assets.filter(
    (line) => !isEmpty(line.openingG, line.inG, line.outG, line.closingG),
  );
  const outside = statement.outside.filter(({ amountG }) => !isEmpty(amountG));
  const residual = Math.abs(statement.debitG - statement.creditG) * scale;
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
      {assets.map(({ account, openingG, inG, outG, closingG, postings }) => (
        <tbody key={account}>
          <tr>
            <td>
              <button
                type="button"
                className="account"
                aria-expanded={account === openAccount}
                onClick={() => setOpenAccount(account === openAccount ? null : account)}
              >
                {words[account]}
              </button>
            </td>
            <td className="red-rule">{shown(openingG)}</td>
            <td>{shown(inG)}</td>
            <td>{shown(outG)}</td>
            <td className="red-rule closing">{shown(closingG)}</td>
          </tr>
          {account === openAccount &&
            postings
              .filter(({ amountG }) => !isEmpty(amountG))
              .map(({ name, counterparty, amountG }) => (
                <tr key={name} className="posting-row">
                  <td>
                    {amountG > 0 ? 'from' : 'to'} {counterpartyWords(name, counterparty, words[counterparty])}
                  </td>
                  <td className="red-rule" />
                  <td>{amountG > 0 ? shown(amountG) : ''}</td>
                  <td>{amountG < 0 ? shown(-amountG) : ''}</td>
                  <td className="red-rule" />
                </tr>
              ))}
        </tbody>
      ))}
      <tbody>
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
        <tr>
          <td colSpan={3}>They differ by</td>
          <td className="red-rule" colSpan={2}>
            {residual === 0 ? '0' : residual.toExponential(0)} {unit}
          </td>
        </tr>
      </tfoot>
    </table>
  );
}
