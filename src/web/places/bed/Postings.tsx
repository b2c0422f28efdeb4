import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { memo } from 'react';
import { Button } from 'antd';
import type { EntryRecord } from '../../../records/entry.ts';
import type { PlantingRecord } from '../../../records/planting.ts';
import { findCrop } from '../../../core/ground/index.ts';
import {
  useChangeEntry,
  useChangePlanting,
  useRemoveEntry,
  useRemovePlanting,
  useRestoreEntry,
  useRestorePlanting,
} from '../../api/gardens.ts';
import { entryAsChange, plantingAsChange } from '../../api/as-change.ts';
import { dayOf, fullDate, shortDate } from '../../../words/dates.ts';
import { entryWords } from '../../../words/entry-words.ts';
import { useUndo } from '../../app/use-undo.tsx';

interface PostingsProps {
  readonly entries: readonly EntryRecord[];
  readonly plantings: readonly PlantingRecord[];
  readonly onChange: (entry: EntryRecord) => void;
  readonly onChangePlanting: (planting: PlantingRecord) => void;
  readonly onTrouble: (failure: unknown) => void;
}

type Line =
  | { readonly date: string; readonly entry: EntryRecord }
  | { readonly date: string; readonly planting: PlantingRecord };

/** Everything written down about a bed, newest first; plans on top, to be ticked off. */
export const Postings = memo(function Postings(props: PostingsProps) {
  const { entries, plantings, onChange, onChangePlanting, onTrouble } = props;
  const lines: Line[] = [
    ...entries.map((entry) => ({ date: entry.date, entry })),
    ...plantings.map((planting) => ({ date: planting.plantedOn, planting })),
  ].sort((a, b) => b.date.localeCompare(a.date));
  return (
    <section aria-label="Entries">
      <div className="section-head">
        <h2>Entries</h2>
      </div>
      {lines.length === 0 ? (
        <p className="soft">
          Nothing yet. Spread something on the bed, and the drawing and the answers follow at once.
        </p>
      ) : (
        <ul className="postings">
          {lines.map((line) =>
            'entry' in line ? (
              <EntryLine key={line.entry.id} {...{ entry: line.entry, entries, onChange, onTrouble }} />
            ) : (
              <PlantingLine
                key={line.planting.id}
                {...{ planting: line.planting, onChange: onChangePlanting, onTrouble }}
              />
            ),
          )}
        </ul>
      )}
    </section>
  );
});

interface EntryLineProps extends Omit<PostingsProps, 'plantings' | 'onChangePlanting'> {
  readonly entry: EntryRecord;
}

function EntryLine({ entry, entries, onChange, onTrouble }: EntryLineProps) {
  const books = useBooks();
  const measures = useMeasures();
  const change = useChangeEntry();
  const remove = useRemoveEntry();
  const restore = useRestoreEntry();
  return (
    <PostingLine
      date={entry.date}
      words={entryWords({ entry, entries, books, measures })}
      note={entry.note}
      isPlanned={entry.state === 'planned'}
      onTickOff={() =>
        change.mutateAsync({
          entryId: entry.id,
          change: { ...entryAsChange(entry), state: 'laid', date: doneBy(entry.date, books.today) },
        })
      }
      onChange={() => onChange(entry)}
      onDelete={() => remove.mutateAsync(entry)}
      onRestore={() => restore.mutateAsync(entry.id)}
      onTrouble={onTrouble}
    />
  );
}

/** What was planned for later and is done already was done today. */
const doneBy = (date: string, today: string): string => (date > today ? today : date);

interface PlantingLineProps {
  readonly planting: PlantingRecord;
  readonly onChange: (planting: PlantingRecord) => void;
  readonly onTrouble: (failure: unknown) => void;
}

function PlantingLine({ planting, onChange, onTrouble }: PlantingLineProps) {
  const change = useChangePlanting();
  const remove = useRemovePlanting();
  const restore = useRestorePlanting();
  const { crops, today } = useBooks();
  const crop = findCrop(planting.cropId, crops);
  const until = planting.clearedOn === null ? 'stays' : `until ${fullDate(dayOf(planting.clearedOn))}`;
  const { id } = planting;
  return (
    <PostingLine
      date={planting.plantedOn}
      words={`❦ ${crop?.name ?? planting.cropId}, ${until}`}
      note={planting.note}
      isPlanned={planting.state === 'planned'}
      onTickOff={() =>
        change.mutateAsync({
          plantingId: id,
          change: {
            ...plantingAsChange(planting),
            state: 'laid',
            plantedOn: doneBy(planting.plantedOn, today),
          },
        })
      }
      onChange={() => onChange(planting)}
      onDelete={() => remove.mutateAsync(planting)}
      onRestore={() => restore.mutateAsync(id)}
      onTrouble={onTrouble}
    />
  );
}

interface PostingLineProps {
  readonly date: string;
  readonly words: string;
  readonly note: string;
  readonly isPlanned: boolean;
  readonly onTickOff: () => Promise<unknown>;
  readonly onChange: () => void;
  readonly onDelete: () => Promise<unknown>;
  readonly onRestore: () => Promise<unknown>;
  readonly onTrouble: (failure: unknown) => void;
}

/** One line of the list: what it says, and what can be done with it. */
function PostingLine(props: PostingLineProps) {
  const { date, words, note, isPlanned, onTickOff, onChange, onDelete, onRestore, onTrouble } = props;
  const undo = useUndo();
  const deleteIt = async () => {
    await onDelete();
    undo(`Deleted: ${words}`, onRestore);
  };
  return (
    <li className={isPlanned ? 'is-planned' : ''}>
      <span className="posting-date figure">{shortDate(dayOf(date))}</span>
      <span className="posting-words">
        {words}
        {note !== '' && <span className="soft"> {note}</span>}
      </span>
      <span className="posting-actions">
        {isPlanned && (
          <Button size="small" type="primary" onClick={() => void onTickOff().catch(onTrouble)}>
            Tick off as done
          </Button>
        )}
        <Button size="small" type="link" onClick={onChange}>
          Change
        </Button>
        <Button size="small" type="link" onClick={() => void deleteIt().catch(onTrouble)}>
          Delete
        </Button>
      </span>
    </li>
  );
}
