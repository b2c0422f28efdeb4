import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { useQuery } from '@tanstack/react-query';
import { Button, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { ObservationRecord } from '../../../records/journal.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import { type Expectation, isUnexpected } from '../../../core/season/index.ts';
import { LeafDrawing } from '../../drawing/leaf-scale.tsx';
import { dayOf, shortDate } from '../../../words/dates.ts';
import { entryWords } from '../../../words/entry-words.ts';
import { expectedInWords, observationLine, verdictWords } from '../../../words/journal-words.ts';
import { cropName } from '../../../words/record-names.ts';
import { logQuery, questionAbout } from '../../worker/questions.ts';
import { Signed } from '../../ui/log/Signed.tsx';
import { LinePhotos } from '../../ui/log/LinePhotos.tsx';
import { observationsOf } from '../../ui/log/observations-of.ts';
import { useLineActs } from './use-line-acts.ts';

interface LogListProps {
  readonly bedId: string;
}

type Line =
  | { readonly date: string; readonly key: string; readonly observation: ObservationRecord }
  | { readonly date: string; readonly key: string; readonly entry: EntryRecord };

const FIRST_SHOWN = 30;

/** What was written in the log of a bed, newest first, with what the model expected that day. */
export function LogList({ bedId }: LogListProps) {
  const books = useBooks();
  const [filter, setFilter] = useState<'all' | 'unexpected'>('all');
  const [shown, setShown] = useState(FIRST_SHOWN);
  const observations = useMemo(() => observationsOf(books.journal, bedId), [books.journal, bedId]);
  const question = useMemo(() => questionAbout(books, bedId, books.today), [books, bedId]);
  const { data, isPlaceholderData } = useQuery({
    ...logQuery(question, observations, 0),
    enabled: observations.length > 0,
  });
  const expected = data?.ok && !isPlaceholderData ? data.result : {};
  const entries = books.entries.filter(
    (entry) =>
      entry.bedId === bedId &&
      entry.state === 'laid' &&
      (entry.type === 'water' || entry.type === 'soilTest'),
  );
  const lines: Line[] = [
    ...observations.map((observation) => ({
      date: observation.date,
      key: observation.id,
      observation,
    })),
    ...entries.map((entry) => ({ date: entry.date, key: entry.id, entry })),
  ].sort((a, b) => b.date.localeCompare(a.date));
  const passing = lines.filter(
    (line) =>
      filter === 'all' ||
      ('observation' in line && expected[line.key] != null && isUnexpected(expected[line.key]!)),
  );
  return (
    <section aria-label="The log" className="log-list">
      <div className="section-head">
        <h2>{books.beds.find(({ id }) => id === bedId)?.name}</h2>
        <Link to={`/garden/${books.garden.id}/log/all?bed=${bedId}`}>Search the whole log</Link>
        <Segmented
          size="small"
          value={filter}
          onChange={setFilter}
          options={[
            { value: 'all', label: 'All' },
            { value: 'unexpected', label: 'Not as expected' },
          ]}
        />
      </div>
      {data && !data.ok && <p className="trouble">{data.sentence}</p>}
      {passing.length === 0 ? (
        <p className="soft">
          {filter === 'all'
            ? 'Nothing written about this bed yet. Look at it and tap what you see.'
            : 'Nothing that the model did not expect.'}
        </p>
      ) : (
        <ul className="log-lines">
          {passing
            .slice(0, shown)
            .map((line) =>
              'observation' in line ? (
                <ObservationLine
                  key={line.key}
                  observation={line.observation}
                  expectation={expected[line.key] ?? null}
                />
              ) : (
                <EntryLine key={line.key} entry={line.entry} />
              ),
            )}
        </ul>
      )}
      {passing.length > shown && (
        <Button size="small" onClick={() => setShown(shown + FIRST_SHOWN)}>
          Show older ones
        </Button>
      )}
    </section>
  );
}

/** A watering or a soil test: entries of the bed that are seen here too. */
function EntryLine({ entry }: { readonly entry: EntryRecord }) {
  const books = useBooks();
  const measures = useMeasures();
  const { remove } = useLineActs();
  return (
    <li className="log-line">
      <span className="posting-date figure">{shortDate(dayOf(entry.date))}</span>
      <span>
        {entryWords({ entry, entries: books.entries, books, measures })}
        <Signed book="entries" id={entry.id} />
      </span>
      <Button size="small" type="text" onClick={() => remove({ book: 'entries', record: entry })}>
        Delete
      </Button>
    </li>
  );
}

interface ObservationLineProps {
  readonly observation: ObservationRecord;
  readonly expectation: Expectation | null;
}

function ObservationLine({ observation, expectation }: ObservationLineProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { remove } = useLineActs();
  const { observed, plantingId } = observation;
  return (
    <li className="log-line">
      <span className="posting-date figure">{shortDate(dayOf(observation.date))}</span>
      <span>
        {observed.type === 'leafColor' && <LeafDrawing step={observed.step} size={18} />}{' '}
        {observationLine(observation, measures)}
        {plantingId !== null && <span className="soft"> {cropName(plantingId, books)}</span>}
        <Signed book="journal" id={observation.id} />
        {expectation && <VerdictNote expectation={expectation} />}
        <LinePhotos observation={observation} />
      </span>
      <Button size="small" type="text" onClick={() => remove({ book: 'journal', record: observation })}>
        Delete
      </Button>
    </li>
  );
}

function VerdictNote({ expectation }: { expectation: Expectation }) {
  const measures = useMeasures();
  const { mark, word } = verdictWords(expectation);
  const expected = expectedInWords(expectation.expected, measures);
  return (
    <span className={`verdict verdict-${expectation.verdict}`}>
      {mark} {word}
      {expected !== '' && <span className="soft">: {expected}</span>}
    </span>
  );
}
