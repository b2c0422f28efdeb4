import type { LotContents } from './lot-contents.ts';
import { finishing, isMix, kindOf, type FinishingSign } from './lot-figures.ts';

/** Warmer than this it is in its hot phase (after NRAES-54, from memory). */
const HOT_PHASE_FROM_C = 45;
/** No warmer than this above the air it has cooled down (common practice, no source). */
const COOLED_DOWN_C = 10;

/** How far a heap is on its way to compost. */
export type HeapStage = 'hot' | 'cooling' | 'curing' | 'finished';

export interface HeapRipeness {
  readonly stage: HeapStage;
  /** What makes compost of it, each met or not; all of them, and it is finished. */
  readonly signs: readonly { readonly sign: FinishingSign | 'cooledDown'; readonly isMet: boolean }[];
}

/** How ripe a mix is; null for anything that is not on its way to compost. Degrees C. */
export function heapRipeness(contents: LotContents, warmthC: number, airC: number): HeapRipeness | null {
  if (!isMix(contents)) return null;
  const hasCooled = warmthC - airC <= COOLED_DOWN_C;
  const signs = [...finishing(contents), { sign: 'cooledDown' as const, isMet: hasCooled }];
  return { stage: stageOf(contents, warmthC, hasCooled), signs };
}

function stageOf(contents: LotContents, warmthC: number, hasCooled: boolean): HeapStage {
  if (warmthC >= HOT_PHASE_FROM_C) return 'hot';
  if (!hasCooled) return 'cooling';
  return kindOf(contents) === 'compost' ? 'finished' : 'curing';
}
