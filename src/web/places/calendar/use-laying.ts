import { useState } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import { layName } from '../../../words/record-names.ts';
import { entryAsChange } from '../../api/as-change.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useChangeEntry } from '../../api/gardens.ts';
import { useUndo } from '../../app/use-undo.tsx';
import type { ReallyLaid } from './done-acts.ts';

/** What was ticked off on this page, to stay in sight until it is left. */
export interface LaidLine {
  readonly entryId: string;
  readonly bedId: string;
  readonly name: string;
  readonly amount: number;
  readonly unit: AmountUnit;
  readonly massFreshKg: number;
}

/** Planned layers written down as laid, with the amount corrected to what it really was. */
export function useLaying(books: GardenBooks) {
  const change = useChangeEntry();
  const offerUndo = useUndo();
  const [laid, setLaid] = useState<readonly LaidLine[]>([]);
  const [troubles, setTroubles] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState<string | null>(null);

  const lay = async (entryId: string, really: ReallyLaid | null) => {
    const entry = books.entries.find(({ id }) => id === entryId);
    if (entry?.type !== 'lay') return;
    const before = entryAsChange(entry);
    setBusy(entryId);
    setTroubles(({ [entryId]: _, ...others }) => others);
    try {
      const kept = await change.mutateAsync({
        entryId,
        change: { ...before, date: books.today, ...really, state: 'laid' } as typeof before,
      });
      if (kept.type !== 'lay') return;
      const { bedId, amount, unit, massFreshKg } = kept;
      setLaid((lines) => [
        ...lines,
        { entryId, bedId, name: layName(entry, books), amount, unit, massFreshKg },
      ]);
      offerUndo(`${layName(entry, books)} is spread; stock and records follow.`, () => {
        setLaid((lines) => lines.filter((one) => one.entryId !== entryId));
        return change.mutateAsync({ entryId, change: { ...before, version: kept.version } });
      });
    } catch (failure) {
      setTroubles((all) => ({ ...all, [entryId]: Object.values(sentencesOf(failure)).join(' ') }));
    } finally {
      setBusy(null);
    }
  };
  return { laid, troubles, busy, lay };
}
