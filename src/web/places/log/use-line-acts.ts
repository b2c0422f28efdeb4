import type { GardenAct } from '../../../contract/act.ts';
import type { LogLine } from '../../../words/log-lines.ts';
import { actOf, undoOf, useAct } from '../../api/acts.ts';
import { entryAsChange, journalAsChange, movementAsChange, plantingAsChange } from '../../api/as-change.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useRemoveEntry, useRemovePlanting, useRestoreEntry, useRestorePlanting } from '../../api/gardens.ts';
import { useRemoveJournal, useRestoreJournal } from '../../api/journal.ts';
import { useRemoveMovement, useRestoreMovement } from '../../api/stock.ts';
import { useBooks } from '../../app/garden-context.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';
import { useUndo } from '../../app/use-undo.tsx';

/** What may be corrected of any line. */
export interface Correction {
  readonly date: string;
  readonly note: string;
  /** The figure of an observation that is one; null for all else. */
  readonly value: number | null;
}

/** The field in which an observation keeps its figure; null for what is no figure. */
export function figureOf(line: LogLine): { readonly field: string; readonly value: number } | null {
  if (line.book !== 'journal' || line.record.kind !== 'observation') return null;
  const { observed } = line.record;
  switch (observed.type) {
    case 'thickness':
      return { field: 'thicknessCm', value: observed.thicknessCm };
    case 'soilTemperature':
      return { field: 'temperatureC', value: observed.temperatureC };
    case 'yield':
      return { field: 'massKg', value: observed.massKg };
    case 'hours':
      return { field: 'hours', value: observed.hours };
    case 'worms':
      return { field: 'count', value: observed.count };
    default:
      return null;
  }
}

/** A line with its day, its note and its figure corrected, as an act. */
export function correctionOf(line: LogLine, { date, note, value }: Correction): GardenAct {
  const { id } = line.record;
  switch (line.book) {
    case 'journal': {
      const change = { id, ...journalAsChange(line.record), date, note };
      const figure = figureOf(line);
      if (change.kind !== 'observation' || figure === null || value === null) {
        return actOf({ journal: { changes: [change] } });
      }
      const observed = { ...change.observed, [figure.field]: value };
      return actOf({ journal: { changes: [{ ...change, observed }] } });
    }
    case 'entries':
      return actOf({ entries: { changes: [{ id, ...entryAsChange(line.record), date, note }] } });
    case 'movements':
      return actOf({ movements: { changes: [{ id, ...movementAsChange(line.record), date, note }] } });
    case 'plantings': {
      const day = line.key === id ? { plantedOn: date, note } : { clearedOn: date };
      return actOf({ plantings: { changes: [{ id, ...plantingAsChange(line.record), ...day }] } });
    }
  }
}

/** A record of the log in the book it belongs to. */
interface Deletable {
  readonly book: LogLine['book'];
  readonly record: { readonly id: string; readonly version: number };
}

/** Correcting lines and deleting them, each with its undo. */
export function useLineActs() {
  const books = useBooks();
  const act = useAct(books.garden.id);
  const removals = {
    journal: [useRemoveJournal(), useRestoreJournal()],
    entries: [useRemoveEntry(), useRestoreEntry()],
    plantings: [useRemovePlanting(), useRestorePlanting()],
    movements: [useRemoveMovement(), useRestoreMovement()],
  } as const;
  const offerUndo = useUndo();
  const showFailure = useFailureNotice();
  return {
    isSaving: act.isPending,
    troubles: sentencesOf(act.error),
    correct: (line: LogLine, correction: Correction, onKept: () => void) =>
      act.mutate(correctionOf(line, correction), {
        onSuccess: (kept) => {
          offerUndo('The line is corrected; the books follow.', () => act.mutateAsync(undoOf(kept, books)));
          onKept();
        },
      }),
    remove: ({ book, record: { id, version } }: Deletable) => {
      const [remove, restore] = removals[book];
      remove.mutateAsync({ id, version }).then(
        () => offerUndo('Deleted from the log.', () => restore.mutateAsync(id)),
        (failure: unknown) => showFailure('It is still in the log.', failure),
      );
    },
  };
}

export type LineActs = ReturnType<typeof useLineActs>;
