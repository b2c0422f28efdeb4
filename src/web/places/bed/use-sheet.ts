import { useCallback, useEffect, useMemo, useState } from 'react';
import type { BedRevision, EntryRecord } from '../../../contract/records.ts';
import { useReviseBed } from '../../api/gardens.ts';
import { useUndo } from '../shell/use-undo.tsx';
import {
  afterEdit,
  edited,
  freshSheet,
  isEmptyRevision,
  redone,
  reverseOf,
  revisionOf,
  undone,
  type Edit,
  type Sheet,
} from './revision.ts';

export interface LayerSheet {
  /** The entries of the bed as they would be, an edit still under the hand included. */
  readonly entries: readonly EntryRecord[];
  readonly isChanged: boolean;
  readonly isHovering: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly isSaving: boolean;
  readonly failure: Error | null;
  readonly edit: (edit: Edit) => void;
  /** Shows an edit while it is being made; null ends that. */
  readonly hover: (edit: Edit | null) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly discard: () => void;
  readonly save: () => void;
}

/** Edits of a bed's layers: tried, taken back, and written into the book all at once. */
export function useSheet(bedId: string, kept: readonly EntryRecord[]): LayerSheet {
  const [sheet, setSheet] = useState<Sheet>(() => freshSheet(kept));
  const [base, setBase] = useState(kept);
  const [hovering, setHovering] = useState<Edit | null>(null);
  const revise = useReviseBed(bedId);
  const offerUndo = useUndo();
  const revision = useMemo(() => revisionOf(base, sheet.present), [base, sheet.present]);
  const isChanged = !isEmptyRevision(revision);

  // What another window wrote is taken over as long as nothing is being tried here.
  if (kept !== base && !isChanged) {
    setBase(kept);
    setSheet(freshSheet(kept));
  }

  const undo = useCallback(() => setSheet(undone), []);
  const redo = useCallback(() => setSheet(redone), []);
  useKeys(undo, redo);
  const entries = useMemo(
    () => (hovering ? edited(sheet.present, hovering) : sheet.present),
    [sheet.present, hovering],
  );
  const takeBack = (done: BedRevision, now: readonly EntryRecord[]) =>
    revise.mutate(reverseOf(done, base, now));
  const save = () =>
    revise.mutate(revision, {
      onSuccess: ({ entries: now }) => {
        setBase(now);
        setSheet(freshSheet(now));
        offerUndo('The changes are in the book.', () => takeBack(revision, now));
      },
    });

  return {
    entries,
    isChanged,
    isHovering: hovering !== null,
    canUndo: sheet.past.length > 0,
    canRedo: sheet.future.length > 0,
    isSaving: revise.isPending,
    failure: revise.error,
    edit: useCallback((edit: Edit) => {
      setHovering(null);
      setSheet((before) => afterEdit(before, edit));
    }, []),
    hover: setHovering,
    undo,
    redo,
    discard: () => {
      revise.reset();
      setSheet(freshSheet(base));
    },
    save,
  };
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('input, textarea, [contenteditable]') !== null;

/** Ctrl or Cmd with Z takes back; with Shift and Z, or Y, does again. */
function useKeys(undo: () => void, redo: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || isTyping(event.target)) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
}
