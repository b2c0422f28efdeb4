import { counted } from '../../../words/counted.ts';
import { amountInWords } from '../../../words/amount-words.ts';
import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { LayingLine } from '../../../core/season/index.ts';
import { drawsOnStock } from '../../../core/bed/index.ts';
import { isoDateOf } from '../../../core/ground/index.ts';
import { dateNear, dayOf } from '../../../words/dates.ts';
import { formatFixed } from '../../../words/figures.ts';
import { measuresOf, type Measures } from '../../../words/measures.ts';
import { cautionInWords } from '../../../words/words.ts';
import { layName } from '../../../words/record-names.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { layingQuery, questionAboutStock } from '../../worker/questions.ts';
import { LaidForm } from './LaidForm.tsx';
import { useLaying, type LaidLine } from './use-laying.ts';
import './calendar.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

const A_WEEK = 7;

/** The plan as a list to carry: what from which pile to which bed, in order, with what to mind. */
export function LayingDayPage() {
  const books = useBooks();
  const [until, setUntil] = useState(() => isoDateOf(dayOf(books.today) + A_WEEK));
  const measures = measuresOf(books.garden);
  const isDate = /^\d{4}-\d\d-\d\d$/.test(until);
  const question = useMemo(() => {
    const { records, today } = questionAboutStock(books, books.today);
    const entries = books.entries.filter(
      (entry) => entry.type === 'lay' && (entry.state === 'planned' || drawsOnStock(entry)),
    );
    return { today, records: { ...records, entries } };
  }, [books]);
  const { data } = useQuery({ ...layingQuery(question, isDate ? dayOf(until) : 0), enabled: isDate });
  const laying = useLaying(books);
  const planned = data?.ok ? data.result : undefined;
  const later = books.entries
    .filter(({ type, state, date }) => type === 'lay' && state === 'planned' && date > until)
    .map(({ date }) => date)
    .sort()
    .at(0);
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Spreading day</PageHeading>
          <p className="soft">
            {planned ? totalWords(planned.lines, planned.total.hours, measures) : 'Working it out …'}
          </p>
        </div>
        <div className="actions">
          <Button onClick={() => window.print()}>Print the list</Button>
        </div>
      </header>
      <div className="band-fields">
        <DateField name="Everything planned up to" value={until} onChange={setUntil} />
      </div>
      {data && !data.ok && (
        <p className="trouble" role="alert">
          {data.sentence}
        </p>
      )}
      {planned?.lines.length === 0 && laying.laid.length === 0 && (
        <div className="empty">
          <h2>Nothing to carry by then</h2>
          <p>
            {later === undefined ? (
              'Plan a layer on a bed, and what to carry from which pile stands here.'
            ) : (
              <>
                The next layer is planned for {dateNear(dayOf(later), dayOf(books.today))}.{' '}
                <Button type="link" onClick={() => setUntil(later)}>
                  Show it
                </Button>
              </>
            )}
          </p>
        </div>
      )}
      {books.beds.map((bed) => {
        const lines = planned?.lines.filter(({ entry }) => entry.bedId === bed.id) ?? [];
        const done = laying.laid.filter(({ bedId }) => bedId === bed.id);
        if (lines.length === 0 && done.length === 0) return null;
        return (
          <section key={bed.id} className="laying-bed" aria-label={bed.name}>
            <h2>
              <Link to={`/garden/${books.garden.id}/bed/${bed.id}`}>{bed.name}</Link>
            </h2>
            {done.map((one) => (
              <DoneLine key={one.entryId} {...one} />
            ))}
            {lines.map((line, i) => (
              <Line key={line.entry.id} line={line} number={i + 1} {...{ laying }} />
            ))}
          </section>
        );
      })}
      <p className="soft estimate">
        From the soil upwards on every bed. Trips are barrows no fuller than a person can push; carry in
        parts, and stop when the back says so. Water in what you lay.
      </p>
    </div>
  );
}

function totalWords(lines: readonly LayingLine[], hours: number, measures: Measures): string {
  if (lines.length === 0) return 'Nothing is left to carry.';
  const trips = lines.reduce((sum, { effort }) => sum + effort.trips, 0);
  const litres = lines.reduce((sum, { effort }) => sum + effort.volumeL, 0);
  const mass = lines.reduce((sum, { effort }) => sum + effort.massFreshKg, 0);
  return `${counted(lines.length, 'thing')} to spread: ${measures.volume(litres)}, ${measures.mass(mass)}, ${counted(trips, 'trip')}, about ${formatFixed(hours, 1)} hours.`;
}

interface LineProps {
  readonly line: LayingLine;
  readonly number: number;
  readonly laying: ReturnType<typeof useLaying>;
}

function Line({ line, number, laying }: LineProps) {
  const books = useBooks();
  const measures = useMeasures();
  const [isOpen, setOpen] = useState(false);
  const { entry, effort, cautions } = line;
  const trouble = laying.troubles[entry.id];
  const amount = amountInWords(
    { amount: entry.amount ?? entry.massFreshKg, unit: entry.unit ?? 'kg' },
    measures,
  );
  const today = dayOf(books.today);
  const note = books.entries.find(({ id }) => id === entry.id)?.note ?? '';
  return (
    <div className="laying-line">
      <span className="laying-number">{number}</span>
      <div>
        <p className="laying-what">
          {measures.barrows(effort.volumeL)} of {layName(entry, books)}
          {entry.dugDepthCm > 0 && `, dug in ${measures.thickness(entry.dugDepthCm)} deep`}
        </p>
        <p className="soft">
          {amount}, {measures.mass(effort.massFreshKg)}, {counted(effort.trips, 'trip')}; planned for{' '}
          {dateNear(dayOf(entry.date), today)}
          {entry.lotId ? '' : ', from outside'}
          {note === '' ? '' : `. ${note}`}
        </p>
        {cautions.map((caution) => (
          <p key={caution.code} className="task-warning">
            ⚠ {cautionInWords(caution, measures)}
          </p>
        ))}
        {trouble !== undefined && (
          <p className="field-trouble" role="alert">
            {trouble}
          </p>
        )}
        {isOpen && (
          <LaidForm
            entry={entry}
            today={books.today}
            isSaving={laying.busy === entry.id}
            onLaid={(really) => void laying.lay(entry.id, really)}
            onClose={() => setOpen(false)}
          />
        )}
      </div>
      <span className="task-acts">
        <Button
          size="small"
          type="primary"
          loading={laying.busy === entry.id}
          onClick={() => void laying.lay(entry.id, null)}
        >
          Spread as planned
        </Button>
        <Button size="small" onClick={() => setOpen(!isOpen)}>
          Correct …
        </Button>
      </span>
    </div>
  );
}

function DoneLine({ name, amount, unit, massFreshKg }: LaidLine & {}) {
  const measures = useMeasures();
  return (
    <div className="laying-line is-done">
      <span className="laying-number">✓</span>
      <p>
        <span className="laying-what">{name}</span>{' '}
        <span className="soft">
          spread: {amountInWords({ amount, unit }, measures)}, {measures.mass(massFreshKg)}
        </span>
      </p>
    </div>
  );
}
