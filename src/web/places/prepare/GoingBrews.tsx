import { Button } from 'antd';
import { useState } from 'react';
import type { BrewRecord, JournalChange } from '../../../records/journal.ts';
import { brewDates, scaleBrew } from '../../../core/yard/index.ts';
import { journalAsChange } from '../../api/as-change.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useRemoveEntry, useWriteEntry } from '../../api/gardens.ts';
import { useChangeJournal } from '../../api/journal.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Choice } from '../../ui/forms/inputs.tsx';
import { BREW_WORDS } from '../../../words/brew-words.ts';
import { dateNear, dayOf, fullDate } from '../../../words/dates.ts';
import { pouredEntry } from './poured-entry.ts';
import { otherTroubles } from '../../ui/stock/use-stock-post.ts';

type BrewChange = Extract<JournalChange, { kind: 'brew' }>;

/** Brews that stand about, until when each keeps, and what becomes of it. */
export function GoingBrews() {
  const books = useBooks();
  const [endingId, setEndingId] = useState<string | null>(null);
  const going = books.journal.filter(
    (one): one is BrewRecord => one.kind === 'brew' && one.state === 'going',
  );
  if (going.length === 0) return null;
  return (
    <section className="going-brews" aria-label="Brews that are going">
      <div className="section-head">
        <h2>Going now</h2>
      </div>
      <ul className="plain-list">
        {going.map((brew) => (
          <li key={brew.id}>
            <GoingBrew brew={brew} onUse={() => setEndingId(brew.id)} />
            {endingId === brew.id && <UseBrew brew={brew} onClose={() => setEndingId(null)} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

function GoingBrew({ brew, onUse }: { brew: BrewRecord; onUse: () => void }) {
  const books = useBooks();
  const measures = useMeasures();
  const change = useChangeJournal();
  const offerUndo = useUndo();
  const today = dayOf(books.today);
  const { readyFrom, useBy } = brewDates(brew.brewId, dayOf(brew.date));
  const discard = () => {
    const asItWas = journalAsChange(brew) as BrewChange;
    change.mutate(
      { recordId: brew.id, change: { ...asItWas, state: 'discarded', endedOn: books.today } },
      {
        onSuccess: ({ version }) =>
          offerUndo(`${BREW_WORDS[brew.brewId].name} is thrown away.`, () =>
            change.mutateAsync({ recordId: brew.id, change: { ...asItWas, version } }),
          ),
      },
    );
  };
  return (
    <>
      <strong>{BREW_WORDS[brew.brewId].name}</strong>, {measures.liquid(brew.litres)}, begun{' '}
      {dateNear(dayOf(brew.date), today)};{' '}
      {readyFrom > today ? `ready ${dateNear(readyFrom, today)}, ` : 'ready, '}
      <span className={useBy < today ? 'status-stop' : undefined}>
        {useBy < today
          ? `kept until ${dateNear(useBy, today)} only: throw it on the heap`
          : `use it by ${fullDate(useBy)}`}
      </span>{' '}
      <Button size="small" onClick={onUse}>
        Used
      </Button>{' '}
      <Button size="small" loading={change.isPending} onClick={discard}>
        Thrown away
      </Button>
    </>
  );
}

/** Where it was poured: on a bed it goes into the books of the bed too, and undo takes both back. */
function UseBrew({ brew, onClose }: { brew: BrewRecord; onClose: () => void }) {
  const books = useBooks();
  const measures = useMeasures();
  const [date, setDate] = useState(books.today);
  const [bedId, setBedId] = useState(books.beds[0]?.id ?? '');
  const write = useWriteEntry(bedId);
  const remove = useRemoveEntry();
  const change = useChangeJournal();
  const offerUndo = useUndo();
  const scaled = scaleBrew(brew.brewId, brew.litres);
  const bed = books.beds.find(({ id }) => id === bedId);
  const save = async () => {
    const draft =
      bed &&
      pouredEntry(brew.brewId, scaled, {
        date,
        today: books.today,
        litresWords: measures.liquid(scaled.givesL),
      });
    const entry = draft ? await write.mutateAsync(draft) : null;
    const asItWas = journalAsChange(brew) as BrewChange;
    const { version } = await change.mutateAsync({
      recordId: brew.id,
      change: { ...asItWas, state: 'used', endedOn: date, pouredOnBedId: bed?.id ?? null },
    });
    offerUndo(`${BREW_WORDS[brew.brewId].name} is used.`, async () => {
      if (entry) await remove.mutateAsync(entry);
      await change.mutateAsync({ recordId: brew.id, change: { ...asItWas, version } });
    });
    onClose();
  };
  const troubles = { ...sentencesOf(write.error), ...sentencesOf(change.error) };
  return (
    <form
      className="band"
      aria-label="Where it was poured"
      onSubmit={(event) => {
        event.preventDefault();
        // What went wrong is told below the form.
        void save().catch(() => undefined);
      }}
    >
      <div className="band-fields">
        <Choice
          name="Poured on"
          value={bedId}
          onChange={setBedId}
          options={[
            ...books.beds.map(({ id, name }) => ({ value: id, label: name })),
            { value: '', label: 'elsewhere' },
          ]}
        />
        <DateField name="On" value={date} onChange={setDate} trouble={troubles['date']} />
      </div>
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={write.isPending || change.isPending}>
          Save
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {otherTroubles(troubles, ['date']).map((sentence) => (
          <span key={sentence} className="field-trouble" role="alert">
            {sentence}
          </span>
        ))}
      </div>
    </form>
  );
}
