import { useState, type ReactNode } from 'react';
import { useMeasures } from '../../app/garden-context.ts';
import type {
  AshParty,
  CarbonParty,
  Element,
  FlowName,
  NitrogenParty,
  Statement,
} from '../../../core/model/index.ts';
import { QUANTITIES } from '../../../quantities/units.ts';
import { formatCell, formatFixed } from '../../../words/figures.ts';
import { accountTerm, counterpartyWords } from '../../../words/words.ts';
import './ledger.css';

/** How each book is shown: large masses of carbon and minerals, small ones of nitrogen. */
const BOOKS = {
  carbon: { mark: '■', quantity: 'mass', perGram: 0.001, decimals: { metric: 2, customary: 2 } },
  nitrogen: { mark: '●', quantity: 'smallMass', perGram: 1, decimals: { metric: 1, customary: 2 } },
  ash: { mark: '◆', quantity: 'mass', perGram: 0.001, decimals: { metric: 2, customary: 2 } },
} as const;
const DIFFERENCE_DECIMALS = 6;

interface StatementTableProps<Account extends CarbonParty | NitrogenParty | AshParty> {
  readonly title: string;
  readonly statement: Statement<Account>;
  readonly words: Record<Account, string>;
  /** Of the bed: statements are for one square meter. */
  readonly areaM2: number;
  /** Leads to all postings of a kind; absent where they are not shown, as on paper. */
  readonly onPosting?: (name: FlowName) => void;
}

/** What science calls an account that has a plainer name here. */
function Term({ element, account }: { readonly element: Element; readonly account: string }) {
  const term = accountTerm(element, account);
  return term === undefined ? null : <span className="soft term"> {term}</span>;
}

/** The other side of a posting, which leads to all of its kind where there is somewhere to lead to. */
function Side({ onPosting, children }: { onPosting: (() => void) | undefined; children: ReactNode }) {
  if (!onPosting) return children;
  return (
    <button type="button" className="account" onClick={onPosting}>
      {children}
    </button>
  );
}

/** One book: what each account opened with, what was posted, what it closed with. */
export function StatementTable<Account extends CarbonParty | NitrogenParty | AshParty>(
  props: StatementTableProps<Account>,
) {
  const { title, statement, words, areaM2, onPosting } = props;
  const { system } = useMeasures();
  const { mark, quantity, perGram, decimals } = BOOKS[statement.element];
  const { symbol, fromBase } = QUANTITIES[quantity].shown[system];
  const scale = areaM2 * fromBase(perGram);
  const [openAccount, setOpenAccount] = useState<Account | null>(null);
  const shown = (grams: number) => formatCell(grams * scale, decimals[system]);
  const isEmpty = (...grams: number[]) => grams.every((g) => shown(g) === '—');
  const assets = statement.assets.filter(
    (line) => !isEmpty(line.openingG, line.inG, line.outG, line.closingG),
  );
  const outside = statement.outside.filter(({ amountG }) => !isEmpty(amountG));
  return (
    <table className={`ledger book-${statement.element}`}>
      <caption>
        <span aria-hidden="true">{mark}</span> {title} <span className="soft">{symbol}</span>
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
              <Term element={statement.element} account={account} />
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
                    <Side onPosting={onPosting && (() => onPosting(name))}>
                      {amountG > 0 ? 'from' : 'to'}{' '}
                      {counterpartyWords(name, counterparty, words[counterparty])}
                    </Side>
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
            <td>
              {words[account]}
              <Term element={statement.element} account={account} />
            </td>
            <td className="red-rule">—</td>
            <td>{side === 'source' ? shown(amountG) : '—'}</td>
            <td>{side === 'sink' ? shown(amountG) : '—'}</td>
            <td className="red-rule">—</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td>Balance</td>
          <td className="red-rule" colSpan={2}>
            opening + in: {shown(statement.debitG)}
          </td>
          <td className="red-rule" colSpan={2}>
            closing + out: {shown(statement.creditG)}
          </td>
        </tr>
        <tr>
          <td colSpan={3}>Difference</td>
          <td className="red-rule" colSpan={2}>
            {formatFixed(Math.abs(statement.debitG - statement.creditG) * scale, DIFFERENCE_DECIMALS)}{' '}
            {symbol}
          </td>
        </tr>
      </tfoot>
    </table>
  );
}
