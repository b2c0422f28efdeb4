import { useState } from 'react';
import type { GardenAct } from '../../../contract/act.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { AgendaItem } from '../../../core/season/index.ts';
import { actOf, undoOf, useAct } from '../../api/acts.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useRemoveJournal } from '../../api/journal.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { doneAct, markOf, type Really } from './done-acts.ts';

/** Ticking tasks off, putting them off and taking that back. Troubles are sentences by task. */
export function useTaskActs(books: GardenBooks) {
  const act = useAct(books.garden.id);
  const removeJournal = useRemoveJournal();
  const offerUndo = useUndo();
  const [troubles, setTroubles] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState<string | null>(null);

  /** Whether it went through. */
  const attempt = async (key: string, work: () => Promise<void>): Promise<boolean> => {
    setBusy(key);
    setTroubles(({ [key]: _, ...others }) => others);
    try {
      await work();
      return true;
    } catch (failure) {
      setTroubles((before) => ({ ...before, [key]: Object.values(sentencesOf(failure)).join(' ') }));
      return false;
    } finally {
      setBusy(null);
    }
  };

  const write = async (asked: GardenAct, said: string) => {
    const kept = await act.mutateAsync(asked);
    offerUndo(said, () => act.mutateAsync(undoOf(kept, books)));
  };

  const mark = (item: AgendaItem, how: Parameters<typeof markOf>[2], said: string) =>
    attempt(item.key, () => write(actOf({ journal: { creates: [markOf(item, books.today, how)] } }), said));

  return {
    troubles,
    busy,
    done: (item: AgendaItem, really: Really | null) =>
      attempt(item.key, () => {
        const { act: asked, said } = doneAct(item, books, really);
        return write(asked, said);
      }),
    putOff: (item: AgendaItem, untilDate: string, note: string) =>
      mark(item, { state: 'snoozed', untilDate, note }, 'Postponed.'),
    drop: (item: AgendaItem, note: string) =>
      mark(item, { state: 'dropped', untilDate: null, note }, 'Deleted from the calendar.'),
    reopen: (item: AgendaItem) =>
      attempt(item.key, async () => {
        const known = books.journal.find(({ id }) => id === item.mark?.id);
        if (known) await removeJournal.mutateAsync(known);
      }),
  };
}

export type TaskActs = ReturnType<typeof useTaskActs>;
