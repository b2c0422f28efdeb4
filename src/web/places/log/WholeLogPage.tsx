import { Button, Checkbox, Input, Select } from 'antd';
import { useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { findCrop } from '../../../core/ground/index.ts';
import { counted } from '../../../words/counted.ts';
import { dayOf, shortDate } from '../../../words/dates.ts';
import {
  ANY_LINE,
  linesFor,
  LOG_KIND_WORDS,
  LOG_KINDS,
  logLines,
  type LogFilter,
  type LogKind,
  type LogLine,
} from '../../../words/log-lines.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';
import { LinePhotos } from '../../ui/log/LinePhotos.tsx';
import '../../ui/log/log.css';
import { Signed } from '../../ui/log/Signed.tsx';
import { useUnexpected } from '../../ui/log/use-expectations.ts';
import { EditLine } from './EditLine.tsx';
import { LineHistory } from './LineHistory.tsx';
import { useLineActs, type LineActs } from './use-line-acts.ts';

const SHOWN_AT_ONCE = 100;

/** Everything that was written about the garden: searched, filtered, corrected, deleted. */
export function WholeLogPage() {
  const books = useBooks();
  const measures = useMeasures();
  const [query] = useSearchParams();
  const [filter, setFilter] = useState<LogFilter>({ ...ANY_LINE, bedId: query.get('bed') });
  const [shown, setShown] = useState(SHOWN_AT_ONCE);
  const lines = useMemo(() => logLines(books, measures), [books, measures]);
  const acts = useLineActs();
  const asked = useDeferredValue(filter);
  const [isUnexpectedOnly, setUnexpectedOnly] = useState(false);
  const unexpected = useUnexpected(books, isUnexpectedOnly);
  const answering = useMemo(() => linesFor(lines, asked), [lines, asked]);
  const found = isUnexpectedOnly ? answering.filter(({ key }) => unexpected.ids.has(key)) : answering;
  const showAll = () => {
    setFilter(ANY_LINE);
    setUnexpectedOnly(false);
  };
  const ask = (change: Partial<LogFilter>) => {
    setFilter({ ...filter, ...change });
    setShown(SHOWN_AT_ONCE);
  };
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Whole log</PageHeading>
          <p className="soft" role="status">
            {found.length === lines.length
              ? `${lines.length} lines`
              : `${found.length} of ${lines.length} lines`}
            , newest first.
            {unexpected.waiting > 0 && ` Working out ${counted(unexpected.waiting, 'more bed')} …`}
          </p>
        </div>
        <div className="actions">
          <Link className="button-link" to={`/garden/${books.garden.id}/log`}>
            Write something down
          </Link>
        </div>
      </header>
      <Filters filter={filter} lines={lines} onAsk={ask}>
        <Checkbox checked={isUnexpectedOnly} onChange={(event) => setUnexpectedOnly(event.target.checked)}>
          only what was not as expected
        </Checkbox>
      </Filters>
      {found.length === 0 ? (
        <p className="soft">
          {lines.length === 0
            ? 'Nothing is written yet. What you spread, plant, measure and see comes to stand here.'
            : 'Nothing answers to all of that.'}{' '}
          {lines.length > 0 && <Button onClick={showAll}>Show everything</Button>}
        </p>
      ) : (
        <ul className="log-lines">
          {found.slice(0, shown).map((line) => (
            <Line key={line.key} line={line} acts={acts} />
          ))}
        </ul>
      )}
      {found.length > shown && (
        <Button onClick={() => setShown(shown + SHOWN_AT_ONCE)}>
          Show {Math.min(SHOWN_AT_ONCE, found.length - shown)} older ones
        </Button>
      )}
    </div>
  );
}

interface FiltersProps {
  readonly filter: LogFilter;
  readonly lines: readonly LogLine[];
  readonly onAsk: (change: Partial<LogFilter>) => void;
  readonly children: ReactNode;
}

const ANY = 'any';

function Filters({ filter, lines, onAsk, children }: FiltersProps) {
  const books = useBooks();
  const [isWide] = useState(() => window.matchMedia('(min-width: 700px)').matches);
  const crops = useMemo(
    () =>
      [...new Set(lines.flatMap(({ cropId }) => cropId ?? []))]
        .map((id) => ({ value: id, label: findCrop(id, books.crops)?.name ?? id }))
        .toSorted((a, b) => a.label.localeCompare(b.label)),
    [lines, books.crops],
  );
  return (
    <div className="whole-log-filters" role="search">
      <Field name="Search">
        {(control) => (
          <Input
            {...control}
            type="search"
            value={filter.text}
            onChange={(event) => onAsk({ text: event.target.value })}
            placeholder="a word of it"
            style={{ width: 260 }}
          />
        )}
      </Field>
      <details open={isWide || filter.bedId !== null}>
        <summary>By bed, kind, crop and day</summary>
        <div className="band-fields">
          <OneOf
            name="Bed"
            value={filter.bedId}
            options={books.beds.map(({ id, name }) => ({ value: id, label: name }))}
            onChoose={(bedId) => onAsk({ bedId })}
          />
          <OneOf
            name="What"
            value={filter.kind}
            options={LOG_KINDS.map((kind) => ({ value: kind, label: LOG_KIND_WORDS[kind] }))}
            onChoose={(kind) => onAsk({ kind: kind as LogKind | null })}
          />
          {crops.length > 0 && (
            <OneOf
              name="Crop"
              value={filter.cropId}
              options={crops}
              onChoose={(cropId) => onAsk({ cropId })}
            />
          )}
          <DateField name="From" value={filter.from} onChange={(from) => onAsk({ from })} />
          <DateField name="Until" value={filter.until} onChange={(until) => onAsk({ until })} />
          <div className="field unexpected-only">{children}</div>
        </div>
      </details>
    </div>
  );
}

interface OneOfProps {
  readonly name: string;
  readonly value: string | null;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  /** Gets null for any. */
  readonly onChoose: (chosen: string | null) => void;
}

function OneOf({ name, value, options, onChoose }: OneOfProps) {
  return (
    <Field name={name}>
      {(control) => (
        <Select
          {...control}
          value={value ?? ANY}
          onChange={(chosen) => onChoose(chosen === ANY ? null : chosen)}
          style={{ width: 175 }}
          popupMatchSelectWidth={false}
          options={[{ value: ANY, label: 'any' }, ...options]}
        />
      )}
    </Field>
  );
}

/** Where a line leads: the bed or the pile it is about. */
function Place({ line: { bedId, lotId } }: { line: LogLine }) {
  const { garden, beds, lots } = useBooks();
  const root = `/garden/${garden.id}`;
  const bed = beds.find(({ id }) => id === bedId);
  if (bed) return <Link to={`${root}/bed/${bed.id}`}>{bed.name}</Link>;
  const lot = lots.find(({ id }) => id === lotId);
  return lot ? <Link to={`${root}/stock/${lot.id}`}>{lot.name}</Link> : null;
}

function Line({ line, acts }: { readonly line: LogLine; readonly acts: LineActs }) {
  const [isEditing, setEditing] = useState(false);
  const [isOpen, setOpen] = useState(false);
  const observation = line.book === 'journal' && line.record.kind === 'observation' ? line.record : null;
  return (
    <li className="log-line">
      <span className="posting-date figure">{shortDate(dayOf(line.date))}</span>
      <span>
        <Place line={line} /> {line.words}
        {line.note !== '' && <span className="soft"> {line.note}</span>}
        <Signed book={line.book} id={line.record.id} />
        {observation && <LinePhotos observation={observation} />}
        {isOpen && <LineHistory line={line} />}
        {isEditing && <EditLine line={line} acts={acts} onClose={() => setEditing(false)} />}
      </span>
      {!isEditing && (
        <span className="task-acts">
          {line.record.version > 1 && (
            <Button size="small" type="text" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
              Before
            </Button>
          )}
          <Button size="small" type="text" onClick={() => setEditing(true)}>
            Edit
          </Button>
          <Button size="small" type="text" onClick={() => acts.remove(line)}>
            Delete
          </Button>
        </span>
      )}
    </li>
  );
}
