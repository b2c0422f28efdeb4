import type { MaterialKind } from '../../ground/index.ts';

/**
 * Chips, bark, straw and hay heat inside when they lie high; from about this volume on heaps have begun to burn by
 * themselves (trade guidance on stored chips, from memory; the figure is set here).
 */
const FROM_L = 15_000;
const KINDS: ReadonlySet<MaterialKind> = new Set(['wood', 'residue']);

/** Whether a pile is large enough to take fire by itself. */
export const mayTakeFire = (kind: MaterialKind, litres: number): boolean =>
  KINDS.has(kind) && litres >= FROM_L;
