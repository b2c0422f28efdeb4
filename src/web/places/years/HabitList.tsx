import type { GardenBooks } from '../../../contract/garden-books.ts';
import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Select } from 'antd';
import { useState } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import type { Habit } from '../../../records/habit.ts';
import { isSouthern } from '../../../core/ground/index.ts';
import { writtenOfBed } from '../../../core/bed/index.ts';
import { dayOf } from '../../../words/dates.ts';
import { habitSoFar } from '../../../core/long-run/index.ts';
import { actWords } from '../../../words/years-words.ts';
import { markOf } from '../../charts/line-marks.ts';
import { HabitEditor } from './HabitEditor.tsx';
import {
  allLineIds,
  COMPARISONS,
  lineOf,
  MOST_LINES,
  type Drafts,
  type HabitDraftOnPage,
  type Line,
} from './lines.ts';

interface HabitListProps {
  readonly beds: readonly BedRecord[];
  readonly lines: readonly Line[];
  readonly shown: readonly string[];
  readonly drafts: Drafts;
  readonly focus: number;
  readonly onShow: (ids: readonly string[]) => void;
  readonly onFocus: (id: string) => void;
  readonly onDraft: (id: string, draft: HabitDraftOnPage | null) => void;
  readonly onKept: (lineId: string, habitId: string) => void;
}

/** The habits that are compared: the key to the chart, and where they are changed. */
export function HabitList(props: HabitListProps) {
  const books = useBooks();
  const { lines, shown, focus, onShow, onFocus } = props;
  const [edited, setEdited] = useState<string | null>(null);
  const others = allLineIds(books).filter((id) => !shown.includes(id));
  return (
    <section aria-label="Habits beside each other" className="habit-list">
      <h2>Habits</h2>
      <ol>
        {lines.map((line, i) => (
          <li key={line.id} className={i === focus ? 'habit focused' : 'habit'}>
            <div className="habit-head">
              <button
                type="button"
                className="habit-name"
                aria-pressed={i === focus}
                title="Show its likely range"
                onClick={() => onFocus(line.id)}
              >
                <LineKey place={i} />
                <span>{line.name}</span>
              </button>
              <span className="habit-acts">
                {line.followed !== 'planned' && (
                  <Button
                    size="small"
                    type="text"
                    onClick={() => setEdited(edited === line.id ? null : line.id)}
                    aria-label={`Change ${line.name}`}
                  >
                    {edited === line.id ? 'Close' : 'Change'}
                  </Button>
                )}
                <Button
                  size="small"
                  type="text"
                  aria-label={`Take ${line.name} off`}
                  onClick={() => onShow(shown.filter((id) => id !== line.id))}
                >
                  ×
                </Button>
              </span>
            </div>
            {edited === line.id ? (
              <HabitEditor
                key={line.id}
                {...props}
                line={line}
                habit={habitToEdit(line, books, props.beds)}
                onDone={() => setEdited(null)}
              />
            ) : (
              i === focus && <Acts line={line} {...props} />
            )}
          </li>
        ))}
      </ol>
      {lines.length < MOST_LINES ? (
        <Select<string>
          aria-label="Compare with"
          placeholder="Compare with …"
          value={null}
          onChange={(id) => {
            onShow([...shown, id]);
            onFocus(id);
          }}
          style={{ width: '100%' }}
          popupMatchSelectWidth={false}
          options={others.map((id) => {
            const line = lineOf(id, books, {})!;
            return { value: id, label: `${line.name}: ${line.what}` };
          })}
        />
      ) : (
        <p className="soft hint">Six is the most that can be told apart.</p>
      )}
      <div className="comparisons">
        <span className="soft">Or:</span>
        {COMPARISONS.map(({ name, ids }) => (
          <Button key={name} size="small" onClick={() => onShow(ids)}>
            {name}
          </Button>
        ))}
      </div>
    </section>
  );
}

/** A stroke as it is in the chart. */
export function LineKey({ place }: { place: number }) {
  const { color, dash } = markOf(place);
  return (
    <svg width="30" height="10" aria-hidden="true" className="line-key">
      <line x1="1" x2="29" y1="5" y2="5" stroke={color} strokeWidth="2.4" strokeDasharray={dash} />
    </svg>
  );
}

const NOTHING: Habit = { acts: [], keepsCrops: true };

/** What is changed: the habit itself, or for what was really done that of the first bed. */
function habitToEdit({ followed }: Line, books: GardenBooks, beds: HabitListProps['beds']): Habit {
  if (followed === 'planned') return NOTHING;
  if (followed !== 'soFar') return followed;
  const own = writtenOfBed(books, beds[0]!.id);
  return (own && habitSoFar(own, dayOf(books.today))) ?? NOTHING;
}

function Acts(props: HabitListProps & { line: Line }) {
  const books = useBooks();
  const measures = useMeasures();
  const { line, beds } = props;
  const isSouth = isSouthern(books.garden.climate);
  const habit = habitToEdit(line, books, beds);
  if (line.followed === 'planned') return <p className="soft hint">{line.what}</p>;
  return (
    <>
      {line.followed === 'soFar' && beds.length > 1 && (
        <p className="soft hint">On each bed what was done there; on {beds[0]!.name}:</p>
      )}
      <ul className="acts">
        {habit.acts.map((act, i) => (
          <li key={i}>
            {actWords({ act, materials: books.materials, crops: books.crops, measures, isSouth })}.
          </li>
        ))}
        {habit.acts.length === 0 && <li>Nothing is spread.</li>}
        {!habit.keepsCrops && <li>No other crop grows.</li>}
      </ul>
    </>
  );
}
