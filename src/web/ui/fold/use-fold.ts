import { useState } from 'react';
import { remember, remembered } from '../../app/device-memory.ts';

const FOLDED = 'folded';

/** Whether something is folded away on this device, under a name of its own, and how to turn that round. */
export function useFold(name: string): { readonly isFolded: boolean; readonly turn: () => void } {
  const key = `vine-ledger fold ${name}`;
  const [isFolded, setFolded] = useState(() => remembered(key) === FOLDED);
  const turn = () => {
    remember(key, isFolded ? null : FOLDED);
    setFolded(!isFolded);
  };
  return { isFolded, turn };
}
