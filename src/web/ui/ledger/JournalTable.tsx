import { Button, Input, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { ELEMENTS, type Element, type FlowName, type JournalLine } from '../../../core/model/index.ts';
import { massUnitsOf } from '../../../quantities/units.ts';
import { formatCell } from '../../../words/figures.ts';
import { journalWords } from '../../../words/journal-line-words.ts';
import { useMeasures } from '../../app/garden-context.ts';
import './ledger.css';

interface JournalTableProps {
  readonly lines: readonly JournalLine[];
  readonly areaM2: number;
  /** The kind of posting that was asked for; null for all. */
  readonly name: FlowName | null;
  readonly onAll: () => void;
}

const FIRST_SHOWN = 60;
const ELEMENT_NAMES: Readonly<Record<Element, string>> = {
  carbon: 'carbon',
  nitrogen: 'nitrogen',
  ash: 'minerals',
};

/** Every posting month by month, the latest first: searched by its accounts, and added up. */
export function JournalTable({ lines, areaM2, name, onAll }: JournalTableProps) {
  const { system } = useMeasures();
  const [asked, setAsked] = useState('');
  const [element, setElement] = useState<Element | 'all'>('all');
  const [shown, setShown] = useState(FIRST_SHOWN);
  const told = useMemo(() => lines.map((line) => ({ line, ...journalWords(line) })).toReversed(), [lines]);
  const words = asked
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const found = told.filter(
    ({ line, text }) =>
      (name === null || line.name === name) &&
      (element === 'all' || line.element === element) &&
      words.every((word) => text.includes(word)),
  );
  const { mass, smallMass } = massUnitsOf(system);
  const amount = ({ element: of, gPerM2 }: JournalLine) =>
    of === 'nitrogen'
      ? `${formatCell(smallMass.fromBase(gPerM2 * areaM2), 2)} ${smallMass.symbol}`
      : `${formatCell(mass.fromBase((gPerM2 * areaM2) / 1000), 3)} ${mass.symbol}`;
  return (
    <div className="journal-book">
      <div className="band-fields">
        <Input
          aria-label="Search the postings"
          placeholder="an account, a month, forecast"
          value={asked}
          onChange={(event) => setAsked(event.target.value)}
          style={{ width: 230 }}
          allowClear
        />
        <Segmented
          size="small"
          aria-label="Which book"
          value={element}
          onChange={setElement}
          options={[
            { value: 'all', label: 'all' },
            ...ELEMENTS.map((one) => ({ value: one, label: ELEMENT_NAMES[one] })),
          ]}
        />
        {name !== null && (
          <Button size="small" onClick={onAll}>
            Show all kinds of postings
          </Button>
        )}
      </div>
      <div className="table-scroll">
        <table className="ledger journal">
          <thead>
            <tr>
              <th scope="col">days</th>
              <th scope="col">out of</th>
              <th scope="col">into</th>
              <th scope="col">amount</th>
            </tr>
          </thead>
          <tbody>
            {found.slice(0, shown).map(({ line, days, from, to }) => (
              <tr key={`${line.fromDay} ${line.name}`} className={line.basis}>
                <td>
                  {days} {line.basis === 'forecast' && <span className="status">forecast</span>}
                </td>
                <td>{from}</td>
                <td>{to}</td>
                <td>{amount(line)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="soft">
        {found.length === 0 && 'No posting is like that. '}
        {found.length > shown && (
          <Button size="small" onClick={() => setShown(shown + 4 * FIRST_SHOWN)}>
            Show more: {found.length - shown} are left
          </Button>
        )}
      </p>
    </div>
  );
}
