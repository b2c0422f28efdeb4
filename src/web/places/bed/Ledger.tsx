import { useMeasures } from '../../app/garden-context.ts';
import { Button, Checkbox, Segmented } from 'antd';
import { memo, useMemo, useState } from 'react';
import type { DayNumber } from '../../../core/ground/index.ts';
import {
  type Basis,
  type FlowName,
  MODEL_VERSION,
  PERIOD_KINDS,
  type PeriodKind,
  journalOf,
} from '../../../core/model/index.ts';
import { type BedSample, type MonthBooks, statementsOf } from '../../../core/bed/index.ts';
import type { NamedLayer } from '../../drawing/section-frame.ts';
import { fullDate } from '../../../words/dates.ts';
import { plainFigure } from '../../../words/figures.ts';
import { ASH_WORDS, CARBON_WORDS, NITROGEN_WORDS, PERIOD_WORDS } from '../../../words/words.ts';
import { BatchBook } from './BatchBook.tsx';
import { saveFile } from '../../drawing/save-file.ts';
import { ledgerCsv } from '../../ui/ledger/ledger-csv.ts';
import { JournalTable } from '../../ui/ledger/JournalTable.tsx';
import { StatementTable } from '../../ui/ledger/StatementTable.tsx';

interface LedgerProps {
  readonly books: MonthBooks;
  /** The day on show: the period is the one that holds it. */
  readonly day: DayNumber;
  readonly sample: BedSample;
  readonly layers: readonly NamedLayer[];
  readonly bedName: string;
  readonly areaM2: number;
  readonly onDay: (day: DayNumber) => void;
}

type View = 'accounts' | 'batches' | 'journal';

const A_BILLIONTH = 1e-9;
/** How far the sides of the books ever were apart, of their sum. */
const differenceWords = (share: number): string =>
  share <= A_BILLIONTH
    ? 'less than a billionth of their sum'
    : `${plainFigure(share * 100, 2)} % of their sum`;

const BASIS_WORDS: Record<Basis, string> = { facts: 'to date', forecast: 'forecast' };

/** Whether the figures follow from what is written down, or are what is expected. */
function BasisTag({ basis, forecastFromDay }: { basis: readonly Basis[]; forecastFromDay: DayNumber }) {
  const words =
    basis.length > 1
      ? `with what is expected from ${fullDate(forecastFromDay)} on`
      : BASIS_WORDS[basis[0] ?? 'facts'];
  return <span className={basis.includes('forecast') ? 'status' : 'soft'}>{words}</span>;
}

/** The books of the bed over a month, a season, a year or all of it, and the proof that they balance. */
export const Ledger = memo(function Ledger({
  books,
  day,
  sample,
  layers,
  bedName,
  areaM2,
  onDay,
}: LedgerProps) {
  const { system } = useMeasures();
  const [kind, setKind] = useState<PeriodKind>('year');
  const [view, setView] = useState<View>('accounts');
  const [isAsked, setAsked] = useState(false);
  const [posting, setPosting] = useState<FlowName | null>(null);
  const journal = useMemo(() => journalOf(books.samples, books.forecastFromDay), [books]);
  const drill = {
    areaM2,
    onPosting: (name: FlowName) => {
      setPosting(name);
      setView('journal');
    },
  };
  const shown = { kind, withForecast: isAsked };
  const { period, basis, isParted, carbon, nitrogen, ash } = statementsOf(books, day, shown);
  const title = `${fullDate(period.fromDay)} to ${fullDate(period.untilDay - 1)}`;
  const step = (to: DayNumber) => () => onDay(Math.min(books.endDay - 1, Math.max(books.startDay, to)));
  return (
    <section aria-label="Ledger">
      <div className="section-head">
        <h2>The books</h2>
        <Segmented
          size="small"
          value={kind}
          onChange={setKind}
          options={PERIOD_KINDS.map((value) => ({ value, label: PERIOD_WORDS[value] }))}
        />
        <span className="period">
          <Button
            size="small"
            type="text"
            aria-label="The period before"
            disabled={period.fromDay <= books.startDay}
            onClick={step(period.fromDay - 1)}
          >
            ‹
          </Button>
          <span className="soft">
            {title}, whole bed, <BasisTag basis={basis} forecastFromDay={books.forecastFromDay} />
          </span>
          <Button
            size="small"
            type="text"
            aria-label="The period after"
            disabled={period.untilDay >= books.endDay}
            onClick={step(period.untilDay)}
          >
            ›
          </Button>
        </span>
        {isParted && day < books.forecastFromDay && (
          <Checkbox checked={isAsked} onChange={(event) => setAsked(event.target.checked)}>
            with the forecast
          </Checkbox>
        )}
        <Segmented<View>
          size="small"
          value={view}
          onChange={(next) => {
            setView(next);
            setPosting(null);
          }}
          options={[
            { value: 'accounts', label: 'by account' },
            { value: 'batches', label: 'by batch' },
            { value: 'journal', label: 'every posting' },
          ]}
        />
        <Button
          size="small"
          onClick={() =>
            saveFile(
              `${bedName} ledger, model ${MODEL_VERSION}.csv`,
              ledgerCsv({ books, day, kind, areaM2, system }),
            )
          }
        >
          CSV
        </Button>
      </div>
      {view === 'batches' && <BatchBook layers={layers} sample={sample} day={day} areaM2={areaM2} />}
      {view === 'journal' && (
        <JournalTable lines={journal} areaM2={areaM2} name={posting} onAll={() => setPosting(null)} />
      )}
      {view === 'accounts' && (
        <div className={basis.includes('forecast') ? 'two-books forecast' : 'two-books'}>
          <div>
            <StatementTable title="Carbon" statement={carbon} words={CARBON_WORDS} {...drill} />
            <StatementTable title="Minerals (ash)" statement={ash} words={ASH_WORDS} {...drill} />
          </div>
          <StatementTable title="Nitrogen" statement={nitrogen} words={NITROGEN_WORDS} {...drill} />
        </div>
      )}
      <p className="soft">
        Each gram is in one account. Since {fullDate(books.startDay)} the two sides of these books have
        differed by {differenceWords(books.largestRelativeError)}.
      </p>
    </section>
  );
});
