import { type ReactNode, useId } from 'react';
import { useFold } from './use-fold.ts';
import './foldable.css';

interface FoldableProps {
  /** What is folded away: "the drawing". */
  readonly what: string;
  readonly children: ReactNode;
}

/** What takes much room on a phone can be folded away there; the device remembers it. On a wide screen it always shows. */
export function Foldable({ what, children }: FoldableProps) {
  const { isFolded, turn } = useFold(what);
  const id = useId();
  return (
    <div className={isFolded ? 'foldable is-folded' : 'foldable'}>
      <button
        type="button"
        className="fold-button"
        aria-expanded={!isFolded}
        aria-controls={id}
        onClick={turn}
      >
        {isFolded ? `Show ${what}` : `Hide ${what}`}
      </button>
      <div id={id} className="foldable-content">
        {children}
      </div>
    </div>
  );
}
