import { useState } from 'react';
import type { BrewRecord, JournalChange } from '../../../records/journal.ts';
import type { JournalDraft } from '../../../contract/requests.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { PlantingRecord } from '../../../records/planting.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import type { AgendaItem } from '../../../core/season/index.ts';
import { isoDateOf } from '../../../core/ground/index.ts';
import { plantedLater } from '../../../core/bed/index.ts';
import { entryAsChange, journalAsChange, movementAsChange, plantingAsChange } from '../../api/as-change.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useChangeEntry, useChangePlanting, useWriteEntryOn, useRemoveEntry } from '../../api/gardens.ts';
import { useChangeJournal, useRemoveJournal, useWriteJournal } from '../../api/journal.ts';
import { useChangeMovement } from '../../api/stock.ts';
import { useUndo } from '../../app/use-undo.tsx';

/** What was really spread, and when. */
export interface ReallyLaid {
  readonly date: string;
  readonly amount: number;
  readonly unit: AmountUnit;
}

/** Ticking tasks off, putting them off and taking that back. Troubles are sentences by task. */
export function useTaskActs(books: GardenBooks) {
  const changeEntry = useChangeEntry();
  const changePlanting = useChangePlanting();
  const changeMovement = useChangeMovement();
  const changeJournal = useChangeJournal();
  const writeJournal = useWriteJournal(books.garden.id);
  const removeJournal = useRemoveJournal();
  const writeEntry = useWriteEntryOn();
  const removeEntry = useRemoveEntry();
  const offerUndo = useUndo();
  const [troubles, setTroubles] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState<string | null>(null);
  const { today } = books;

  const attempt = async (key: string, act: () => Promise<void>) => {
    setBusy(key);
    setTroubles(({ [key]: _, ...others }) => others);
    try {
      await act();
    } catch (failure) {
      setTroubles((before) => ({ ...before, [key]: Object.values(sentencesOf(failure)).join(' ') }));
    } finally {
      setBusy(null);
    }
  };

  const mark = async (
    item: AgendaItem,
    how: Pick<Extract<JournalDraft, { kind: 'mark' }>, 'state' | 'untilDate' | 'note'>,
    said: string,
  ) => {
    const { records } = await writeJournal.mutateAsync([
      {
        kind: 'mark',
        id: crypto.randomUUID(),
        date: today,
        taskKey: item.key,
        dueOn: isoDateOf(item.day),
        ...how,
      },
    ]);
    offerUndo(said, () => removeJournal.mutateAsync(records[0]!));
  };

  const tickEntry = async (entry: EntryRecord, laid: ReallyLaid | null) => {
    const change = { ...entryAsChange(entry), state: 'laid' as const, date: laid?.date ?? today };
    const corrected =
      laid && change.type === 'lay' ? { ...change, amount: laid.amount, unit: laid.unit } : change;
    const kept = await changeEntry.mutateAsync({ entryId: entry.id, change: corrected });
    offerUndo('Saved as done; stock and records follow.', () =>
      changeEntry.mutateAsync({
        entryId: entry.id,
        change: { ...entryAsChange(entry), version: kept.version },
      }),
    );
  };

  const tickPlanting = async (planting: PlantingRecord) => {
    const kept = await changePlanting.mutateAsync({
      plantingId: planting.id,
      change: { ...plantingAsChange(plantedLater(planting, today)), state: 'laid' },
    });
    offerUndo('Saved as planted today.', () =>
      changePlanting.mutateAsync({
        plantingId: planting.id,
        change: { ...plantingAsChange(planting), version: kept.version },
      }),
    );
  };

  /** Cleared today: it no longer stands, and is no longer fed. */
  const tickClearing = async (item: AgendaItem, planting: PlantingRecord) => {
    const { records } = await writeJournal.mutateAsync([
      {
        kind: 'mark',
        id: crypto.randomUUID(),
        date: today,
        taskKey: item.key,
        dueOn: isoDateOf(item.day),
        state: 'done',
        untilDate: null,
        note: '',
      },
    ]);
    const kept = await changePlanting.mutateAsync({
      plantingId: planting.id,
      change: { ...plantingAsChange(planting), clearedOn: today },
    });
    offerUndo('Cleared today; the plan of the bed follows.', async () => {
      await changePlanting.mutateAsync({
        plantingId: planting.id,
        change: { ...plantingAsChange(planting), version: kept.version },
      });
      await removeJournal.mutateAsync(records[0]!);
    });
  };

  const tickMovement = async (id: string) => {
    const movement = books.movements.find((one) => one.id === id)!;
    const kept = await changeMovement.mutateAsync({
      movementId: id,
      change: { ...movementAsChange(movement), state: 'laid', date: today },
    });
    offerUndo('Saved as done.', () =>
      changeMovement.mutateAsync({
        movementId: id,
        change: { ...movementAsChange(movement), version: kept.version },
      }),
    );
  };

  const tickBrew = async (brew: BrewRecord) => {
    const kept = await changeJournal.mutateAsync({
      recordId: brew.id,
      change: { ...(journalAsChange(brew) as Extract<JournalChange, { kind: 'brew' }>), state: 'used' },
    });
    offerUndo('The brew is used up.', () =>
      changeJournal.mutateAsync({
        recordId: brew.id,
        change: { ...journalAsChange(brew), version: kept.version },
      }),
    );
  };

  const feed = async (bedId: string, nitrogenG: number) => {
    const entry = await writeEntry.mutateAsync({
      bedId,
      draft: { type: 'feed', state: 'laid', date: today, note: '', nitrogenG },
    });
    offerUndo('Fed; it is saved for the bed.', () => removeEntry.mutateAsync(entry));
  };

  const done = (item: AgendaItem, laid: ReallyLaid | null) =>
    attempt(item.key, async () => {
      const { record, what, bedId } = item;
      if (record?.type === 'entry')
        return tickEntry(
          books.entries.find(({ id }) => id === record.id)!,
          laid,
        );
      if (record?.type === 'planting') {
        const planting = books.plantings.find(({ id }) => id === record.id)!;
        return what.code === 'clear' ? tickClearing(item, planting) : tickPlanting(planting);
      }
      if (record?.type === 'movement') return tickMovement(record.id);
      if (record?.type === 'brew')
        return tickBrew(books.journal.find(({ id }) => id === record.id) as BrewRecord);
      if (what.code === 'dose' && bedId !== null) return feed(bedId, what.nitrogenG);
      return mark(item, { state: 'done', untilDate: null, note: '' }, 'Ticked off.');
    });

  return {
    troubles,
    busy,
    done,
    putOff: (item: AgendaItem, untilDate: string, note: string) =>
      attempt(item.key, () => mark(item, { state: 'snoozed', untilDate, note }, 'Postponed.')),
    drop: (item: AgendaItem, note: string) =>
      attempt(item.key, () =>
        mark(item, { state: 'dropped', untilDate: null, note }, 'Deleted from the calendar.'),
      ),
    reopen: (item: AgendaItem) =>
      attempt(item.key, async () => {
        const known = books.journal.find(({ id }) => id === item.mark?.id);
        if (known) await removeJournal.mutateAsync(known);
      }),
  };
}

export type TaskActs = ReturnType<typeof useTaskActs>;
