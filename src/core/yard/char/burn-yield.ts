import { requireNumber } from '../../../refusals/input-error.ts';
import { BURN_METHOD_FACTS } from './burn-methods.ts';
import type { BurnMethod } from '../../../records/vocabulary.ts';

export type YieldVerdict = 'muchLess' | 'less' | 'usual' | 'more' | 'muchMore';

/** What a burn gave beside what such burns give. */
export interface BurnYield {
  /** Dry char over dry wood that was burnt. */
  readonly share: number;
  readonly expectedKg: readonly [low: number, high: number];
  readonly verdict: YieldVerdict;
}

/** Outside the usual range by so much and something was measured wrongly for certain, or went wrong (set here). */
const ROOM = 1.25;

/** Judges a yield. `dryWoodKg` above 0, without the pieces that did not char; masses dry. */
export function judgeYield(method: BurnMethod, dryWoodKg: number, dryCharKg: number): BurnYield {
  requireNumber(dryWoodKg, ['dryWoodKg'], { above: 0 });
  requireNumber(dryCharKg, ['dryCharKg'], { min: 0, max: dryWoodKg });
  const [low, high] = BURN_METHOD_FACTS[method].yieldShare;
  const share = dryCharKg / dryWoodKg;
  return {
    share,
    expectedKg: [low * dryWoodKg, high * dryWoodKg],
    verdict: verdictOn(share, low, high),
  };
}

function verdictOn(share: number, low: number, high: number): YieldVerdict {
  if (share < low) return share < low / ROOM ? 'muchLess' : 'less';
  if (share > high) return share > high * ROOM ? 'muchMore' : 'more';
  return 'usual';
}

/** Heaps re-light hours later: only a check on a later day than the fire counts. ISO dates. */
export const isFoundCold = (burntOn: string, foundColdOn: string | null): boolean =>
  foundColdOn !== null && foundColdOn > burntOn;
