import { Button } from 'antd';
import { sentencesOf } from '../../api/failures.ts';
import type { LayerSheet } from './use-sheet.ts';

interface SheetBarProps {
  readonly sheet: LayerSheet;
  /** What the model says against the changes. */
  readonly refusal: string | null;
}

/** Changes that are tried and not written yet, and the way back and forth. */
export function SheetBar({ sheet, refusal }: SheetBarProps) {
  const { isChanged, canUndo, canRedo, isSaving, failure, undo, redo, discard, save } = sheet;
  if (!isChanged && !canUndo && !canRedo) return null;
  const troubles = [...Object.values(sentencesOf(failure)), ...(refusal === null ? [] : [refusal])];
  return (
    <div className="sheet-bar" role="status">
      <strong>{isChanged ? 'Tried, not saved yet' : 'As saved'}</strong>
      <Button size="small" onClick={undo} disabled={!canUndo} title="Ctrl+Z">
        Undo
      </Button>
      <Button size="small" onClick={redo} disabled={!canRedo} title="Ctrl+Y">
        Redo
      </Button>
      {isChanged && (
        <>
          <Button size="small" onClick={discard}>
            Discard changes
          </Button>
          <Button size="small" type="primary" onClick={save} loading={isSaving} disabled={refusal !== null}>
            Save the changes
          </Button>
        </>
      )}
      {troubles.map((sentence) => (
        <span key={sentence} className="field-trouble" role="alert">
          {sentence}
        </span>
      ))}
    </div>
  );
}
