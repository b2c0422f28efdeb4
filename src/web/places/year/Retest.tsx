import { G_PER_M2_PER_KG_PER_HA } from '../../../core/ground/index.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import type { LabReport } from '../../../contract/instruments.ts';
import { sentencesOf } from '../../api/failures.ts';
import { instrumentsQuery, readReport, samplesQuery, sendSample } from '../../api/instruments.ts';
import { dateNear, dayOf, shortDate } from '../../../words/dates.ts';
import { plainFigure } from '../../../words/figures.ts';
import { SoilTestForm } from '../../ui/log/SoilTestForm.tsx';
import { useLogBook } from '../../ui/log/use-log-book.ts';
import '../../ui/log/log.css';
import '../../ui/stock/stock.css';

interface RetestProps {
  readonly bed: BedRecord;
}

/** Testing the soil again: typed, out of a table, or by the laboratory that is connected. */
export function Retest({ bed }: RetestProps) {
  const books = useBooks();
  const [isTyping, setTyping] = useState(false);
  const book = useLogBook(books);
  const { data: instruments } = useQuery(instrumentsQuery());
  return (
    <section aria-label="Test again" className="year-retest">
      <h2>Test again</h2>
      <p className="soft">
        pH, organic matter and mineral nitrogen, once a year on the same day: the model starts from it on that
        day on, and its likely range learns from it.
      </p>
      <div className="band-foot">
        <Button onClick={() => setTyping(!isTyping)}>Record a soil test</Button>
      </div>
      {isTyping && (
        <SoilTestForm
          subject={{ bedId: bed.id, plantingId: null, date: books.today }}
          book={book}
          onDone={() => setTyping(false)}
        />
      )}
      {book.said !== null && (
        <p className="log-said" role="status">
          {book.said}
        </p>
      )}
      {instruments?.laboratory === true && <Laboratory bed={bed} book={book} />}
    </section>
  );
}

function Laboratory({ bed, book }: RetestProps & { book: ReturnType<typeof useLogBook> }) {
  const measures = useMeasures();
  const books = useBooks();
  const queries = useQueryClient();
  const { data, error } = useQuery(samplesQuery(bed.id));
  const [trouble, setTrouble] = useState<string | null>(null);
  const [report, setReport] = useState<LabReport | null>(null);
  const today = dayOf(books.today);
  const attempt = async (act: () => Promise<void>) => {
    setTrouble(null);
    try {
      await act();
    } catch (failure) {
      setTrouble(Object.values(sentencesOf(failure)).join(' '));
    }
  };
  const send = () =>
    attempt(async () => {
      await sendSample(bed.id);
      await queries.invalidateQueries({ queryKey: ['instruments', 'samples', bed.id] });
    });
  const keep = ({ mineralNitrogenKgPerHa, sampledDepthCm, ph, organicMatterPct, date }: LabReport) => {
    setReport(null);
    void book.post({
      subject: { bedId: bed.id, plantingId: null, date },
      entry: {
        type: 'soilTest',
        amount: mineralNitrogenKgPerHa,
        unit: 'kgPerHa',
        sampledDepthCm,
        ph,
        organicMatterPct,
      },
      words: `${bed.name}: the laboratory’s report is saved.`,
      note: 'From the laboratory.',
    });
  };
  return (
    <div className="tool">
      <h3>The laboratory</h3>
      {error && <p className="soft">{error.message}</p>}
      <ul className="feeds">
        {data?.samples.map(({ id, sentOn, readyOn }) => (
          <li key={id}>
            Sample {id}, sent {dateNear(dayOf(sentOn), today)},{' '}
            {readyOn <= books.today ? 'ready' : `ready ${dateNear(dayOf(readyOn), today)}`}{' '}
            <Button
              size="small"
              type="link"
              disabled={readyOn > books.today}
              onClick={() => void attempt(async () => setReport(await readReport(id)))}
            >
              Read the report
            </Button>
          </li>
        ))}
      </ul>
      {report && (
        <p>
          {shortDate(dayOf(report.date))}, down to {measures.thickness(report.sampledDepthCm)}: mineral
          nitrogen {measures.rate(report.mineralNitrogenKgPerHa * G_PER_M2_PER_KG_PER_HA)}, pH{' '}
          {plainFigure(report.ph)}, organic matter {plainFigure(report.organicMatterPct)} %.{' '}
          <Button size="small" type="primary" onClick={() => keep(report)}>
            Save entry
          </Button>
        </p>
      )}
      {trouble !== null && (
        <p className="field-trouble" role="alert">
          {trouble}
        </p>
      )}
      <Button size="small" onClick={() => void send()}>
        Send a sample today
      </Button>
    </div>
  );
}
