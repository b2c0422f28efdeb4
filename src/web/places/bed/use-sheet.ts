import { useCallback, useEffect, useMemo, useState } from 'react';
import type { EntryRecord } from '../../../records/entry.ts';
import { useReviseBed } from '../../api/gardens.ts';
import { useUndo } from '../../app/use-undo.tsx';
import {
  afterEdit,
  applyEdit,
  EMPTY_SHEET,
  isEmptyRevision,
  redo,
  reverseOf,
  revisionOf,
  undo,
  withSheet,
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
export function useSheet(bedId: string, now: readonly EntryRecord[]): LayerSheet {
  const [sheet, setSheet] = useState<Sheet>(EMPTY_SHEET);
  const [hovering, setHovering] = useState<Edit | null>(null);
  const revise = useReviseBed(bedId);
  const offerUndo = useUndo();
  // While edits are saved they stay on what they were made of: on what is saved already they would count twice.
  const [saving, setSaving] = useState<readonly EntryRecord[] | null>(null);
  const kept = saving ?? now;
  const tried = useMemo(() => withSheet(kept, sheet), [kept, sheet]);
  const entries = useMemo(() => (hovering ? applyEdit(tried, hovering) : tried), [tried, hovering]);
  const revision = useMemo(() => revisionOf(kept, tried), [kept, tried]);

  const stepBack = useCallback(() => setSheet(undo), []);
  const stepForth = useCallback(() => setSheet(redo), []);
  useKeys(stepBack, stepForth);
  const save = () => {
    setSaving(kept);
    revise.mutate(revision, {
      onSuccess: ({ entries: saved }) => {
        setSheet(EMPTY_SHEET);
        offerUndo('The changes are saved.', () => revise.mutateAsync(reverseOf(revision, kept, saved)));
      },
      onSettled: () => setSaving(null),
    });
  };

  return {
    entries,
    isChanged: !isEmptyRevision(revision),
    isHovering: hovering !== null,
    canUndo: sheet.done.length > 0,
    canRedo: sheet.undone.length > 0,
    isSaving: revise.isPending,
    failure: revise.error,
    edit: useCallback((edit: Edit) => {
      setHovering(null);
      setSheet((before) => afterEdit(before, edit));
    }, []),
    hover: setHovering,
    undo: stepBack,
    redo: stepForth,
    discard: () => {
      revise.reset();
      setSheet(EMPTY_SHEET);
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
