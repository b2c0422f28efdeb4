import { type ReactNode, useId, useState } from 'react';
import { remember, remembered } from '../../app/device-memory.ts';
import './foldable.css';

interface FoldableProps {
  /** What is folded away: "the drawing". */
  readonly what: string;
  readonly children: ReactNode;
}

const FOLDED = 'folded';

/** What takes much room on a phone can be folded away there; the device remembers it. On a wide screen it always shows. */
export function Foldable({ what, children }: FoldableProps) {
  const key = `vine-ledger fold ${what}`;
  const [isFolded, setFolded] = useState(() => remembered(key) === FOLDED);
  const id = useId();
  const turn = () => {
    remember(key, isFolded ? null : FOLDED);
    setFolded(!isFolded);
  };
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
