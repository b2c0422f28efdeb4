import { counted } from '../../../words/counted.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { Pictured } from '../../drawing/Pictured.tsx';
import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { DayNumber } from '../../../core/ground/index.ts';
import { dateNear, dayOf, fullDate } from '../../../words/dates.ts';
import { formatPercent } from '../../../words/figures.ts';
import { measuresOf, type Measures } from '../../../words/measures.ts';
import {
  whatWords,
  LOT_FORM_WORDS,
  powerWords,
  ratioFigure,
  readyWords,
} from '../../../words/stock-words.ts';
import { Yard } from '../../drawing/yard.tsx';
import { useStock, type ListedLot } from '../../ui/stock/use-stock.ts';
import '../../ui/stock/stock.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';
import type { LotRecord } from '../../../records/lot.ts';
import type { MovementRecord } from '../../../records/movement.ts';
import { amountInWords } from '../../../words/amount-words.ts';
import { PlannedPostings } from '../../ui/stock/PlannedPostings.tsx';

const ReceiveBand = lazy(async () => ({ default: (await import('./ReceiveBand.tsx')).ReceiveBand }));

/** What lies in the yard, how it ages, and how much of it is reserved. */
export function StockPage() {
  const books = useBooks();
  const [isReceiving, setReceiving] = useState(false);
  const navigate = useNavigate();
  const measures = measuresOf(books.garden);
  const today = dayOf(books.today);
  const { lots, refusal } = useStock(books);
  const hrefOf = (lotId: string) => `/garden/${books.garden.id}/stock/${lotId}`;
  const there = lots.filter(({ brief }) => brief?.now);
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Stock on {fullDate(today)}</PageHeading>
          <p className="soft">{summary(lots, measures)}</p>
        </div>
        <div className="actions">
          <Link className="button-link" to={`/garden/${books.garden.id}/labels`}>
            Labels
          </Link>
          <Button type="primary" onClick={() => setReceiving(true)}>
            Receive something
          </Button>
        </div>
      </header>
      {isReceiving && (
        <Suspense fallback={<p className="soft">Opening the form …</p>}>
          <ReceiveBand onClose={() => setReceiving(false)} />
        </Suspense>
      )}
      {refusal !== undefined && (
        <p className="trouble" role="alert">
          {refusal}
        </p>
      )}
      {books.lots.length === 0 ? (
        !isReceiving && (
          <div className="empty">
            <h2>Nothing in stock yet</h2>
            <p>
              A load of chips, a heap of manure, bags of leaves, last winter’s char: record what arrives and
              how much of it, judge it with a bucket and your hand. From then on the model follows how it
              rots, and what you spread on a bed can be taken from it.
            </p>
          </div>
        )
      ) : (
        <>
          <div className="strip-scroll">
            <Pictured title="The yard">
              <Yard
                lots={there.map(({ lot, brief }) => ({
                  id: lot.id,
                  name: lot.name,
                  amount: measures.volume(brief!.now!.volumeL),
                  form: lot.form,
                  kind: brief!.kind,
                  volumeL: brief!.now!.volumeL,
                  href: hrefOf(lot.id),
                }))}
                onOpen={(href) => void navigate(href)}
              />
            </Pictured>
          </div>
          <Warnings lots={lots} today={today} hrefOf={hrefOf} />
          <LotRows lots={lots} today={today} hrefOf={hrefOf} />
          <PlannedPostings lotId={null} />
          <p className="soft estimate">
            Aged day by day by the same model as the beds, with the warmth of your garden and of what your
            probe said. “Locks up” is the most nitrogen it would lock up if it were dug into warm, moist soil.
          </p>
        </>
      )}
    </div>
  );
}

function summary(lots: readonly ListedLot[], measures: Measures): string {
  if (lots.length === 0) return 'The yard is empty.';
  if (lots.some(({ brief }) => !brief)) return 'Working out how it has aged …';
  const there = lots.flatMap(({ brief }) => (brief?.now ? [brief] : []));
  const litres = there.reduce((sum, { now }) => sum + now!.volumeL, 0);
  const seasoning = there.filter(({ needsSeasoning }) => needsSeasoning).length;
  return `${counted(there.length, 'pile')}, ${measures.volume(litres)} in all, ${measures.barrows(litres)}.${seasoning > 0 ? ` ${seasoning} of them would lock up less if left to rot longer.` : ''}`;
}

interface RowsProps {
  readonly lots: readonly ListedLot[];
  readonly today: DayNumber;
  readonly hrefOf: (lotId: string) => string;
}

/** Early warnings: what will be short, and what breaks into a reserve. */
function Warnings({ lots, today, hrefOf }: RowsProps) {
  const measures = useMeasures();
  const warned = lots.flatMap(({ lot, brief }) => {
    if (!brief) return [];
    const { shortOn, reserveBrokenOn, promised, nextArrival } = brief.promises;
    if (shortOn !== null) {
      const missing = promised.reduce((sum, { missingL }) => sum + missingL, 0);
      return [
        {
          lot,
          words: `will be short by ${measures.volume(missing)} from ${dateNear(shortOn, today)} on${nextArrival === null ? ', and no delivery is planned' : ''}.`,
        },
      ];
    }
    if (reserveBrokenOn !== null) {
      return [
        {
          lot,
          words: `falls below its reserve of ${measures.volume(lot.reserveL)} on ${dateNear(reserveBrokenOn, today)}.`,
        },
      ];
    }
    return [];
  });
  if (warned.length === 0) return null;
  return (
    <ul className="stock-warnings">
      {warned.map(({ lot, words }) => (
        <li key={lot.id}>
          <span className="status status-stop">▲</span> <Link to={hrefOf(lot.id)}>{lot.name}</Link> {words}
        </li>
      ))}
    </ul>
  );
}

function LotRows({ lots, today, hrefOf }: RowsProps) {
  return (
    <table className="ledger lot-rows">
      <thead>
        <tr>
          <th>pile</th>
          <th>what it is now</th>
          <th>in stock</th>
          <th>weight</th>
          <th>C:N</th>
          <th>moisture</th>
          <th>lock-up</th>
          <th>reserved</th>
          <th>available</th>
        </tr>
      </thead>
      <tbody>
        {lots.map((listed) => (
          <LotRow key={listed.lot.id} {...listed} today={today} href={hrefOf(listed.lot.id)} />
        ))}
      </tbody>
    </table>
  );
}

/** What comes into an empty pile next, however far off. */
function emptyWords(lot: LotRecord, movements: readonly MovementRecord[], measures: Measures): string {
  const [next] = movements
    .filter((one) => one.state === 'planned' && one.type === 'receive' && one.lotId === lot.id)
    .toSorted((a, b) => a.date.localeCompare(b.date));
  const words = `empty ${LOT_FORM_WORDS[lot.form]}`;
  if (next?.type !== 'receive') return words;
  return `${words}; ${amountInWords(next, measures)} expected on ${fullDate(dayOf(next.date))}`;
}

function LotRow({
  lot,
  brief,
  today,
  href,
}: ListedLot & Omit<RowsProps, 'lots' | 'hrefOf'> & { href: string }) {
  const books = useBooks();
  const measures = useMeasures();
  const now = brief?.now;
  const name = (
    <td>
      <Link className="bed-name" to={href}>
        {lot.name}
      </Link>
    </td>
  );
  if (!brief || !now) {
    return (
      <tr>
        {name}
        <td className="words soft" colSpan={8}>
          {brief ? emptyWords(lot, books.movements, measures) : 'working it out …'}
        </td>
      </tr>
    );
  }
  const ready = readyWords(brief, today);
  return (
    <tr>
      {name}
      <td className="words">
        {brief.what && whatWords(brief.what)}
        {ready !== '' && <span className="soft">, {ready}</span>}
      </td>
      <td data-name="in stock">{measures.barrows(now.volumeL)}</td>
      <td data-name="weight">{measures.mass(now.freshKg)}</td>
      <td data-name="C:N">{ratioFigure(now.carbonToNitrogen)}</td>
      <td data-name="moisture">{formatPercent(now.moistureFractionWetBasis)}</td>
      <td className="words">{brief.power ? powerWords(brief.power, measures) : ''}</td>
      <td data-name="reserved">
        {brief.promises.promisedL > 0 ? measures.volume(brief.promises.promisedL) : '—'}
      </td>
      <td data-name="available" className={brief.promises.shortOn === null ? undefined : 'status-stop'}>
        {measures.volume(brief.promises.freeL)}
      </td>
    </tr>
  );
}
