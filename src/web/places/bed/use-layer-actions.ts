import { useMemo } from 'react';
import type { LayerSheet } from './use-sheet.ts';

/** Everything one can do to a layer, in the drawing and in the list alike. */
export interface LayerActions {
  /** Makes it so many times as thick. */
  readonly thicken: (layerId: string, factor: number) => void;
  /** Shows that while an edge is under the hand. */
  readonly hover: (layerId: string, factor: number) => void;
  readonly move: (layerId: string, step: 1 | -1) => void;
  readonly remove: (layerId: string) => void;
  readonly byName: (name: string, layerId: string) => void;
}

interface Around {
  readonly edit: LayerSheet['edit'];
  readonly hover: LayerSheet['hover'];
  readonly onChange: (layerId: string) => void;
  readonly onDig: (layerId: string) => void;
  readonly onTakeOff: (layerId: string) => void;
}

/** They stay the same while the layers change, so that nothing is redrawn because of them. */
export function useLayerActions({ edit, hover, onChange, onDig, onTakeOff }: Around): LayerActions {
  return useMemo(() => {
    const thicken = (entryId: string, factor: number) => ({ type: 'thicken', entryId, factor }) as const;
    const move = (entryId: string, step: 1 | -1) => edit({ type: 'move', entryId, step });
    const remove = (entryId: string) => edit({ type: 'remove', entryId });
    const named: Record<string, (layerId: string) => void> = {
      up: (id) => move(id, 1),
      down: (id) => move(id, -1),
      split: (id) => edit({ type: 'split', entryId: id, newId: crypto.randomUUID() }),
      dig: onDig,
      takeOff: onTakeOff,
      remove,
      change: onChange,
    };
    return {
      thicken: (id, factor) => edit(thicken(id, factor)),
      hover: (id, factor) => hover(thicken(id, factor)),
      move,
      remove,
      byName: (name, layerId) => named[name]?.(layerId),
    };
  }, [edit, hover, onChange, onDig, onTakeOff]);
}
