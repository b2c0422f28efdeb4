import { passes, usedG } from './bounds.ts';
import {
  gainsByPair,
  givenL,
  mostOnBedL,
  SHARE_SEASONS,
  seasonsUntil,
  whyUnsuited,
  type BoundCode,
  type ShareProblem,
  type ShareSeason,
} from './share-problem.ts';

/** What one's own choices ask that cannot be. */
export type ShareConflict =
  /** More of a pile than can have been given by a season. */
  | {
      readonly type: 'beyondStock';
      readonly pileId: string;
      readonly season: ShareSeason;
      readonly fixedL: number;
      readonly thereL: number;
    }
  /** More than a bed bears, plans carried out. */
  | {
      readonly type: 'beyondBound';
      readonly bedId: string;
      readonly code: BoundCode;
      readonly usedG: number;
      readonly roomG: number;
    }
  | { readonly type: 'beyondDepth'; readonly pileId: string; readonly bedId: string; readonly mostL: number }
  | { readonly type: 'unsuited'; readonly pileId: string; readonly bedId: string };

const NEAR_ENOUGH_L = 1e-6;

export const conflictsOf = (problem: ShareProblem): ShareConflict[] => [
  ...beyondStock(problem),
  ...onBeds(problem),
  ...beyondBounds(problem),
];

/** One of each pile: the first season in which it falls short. */
const beyondStock = ({ piles, fixed }: ShareProblem): ShareConflict[] =>
  piles.flatMap((pile): ShareConflict[] => {
    for (const season of SHARE_SEASONS) {
      const fixedL = givenL(pile, fixed, seasonsUntil(season));
      const thereL = pile.thereL[season];
      if (fixedL > thereL + NEAR_ENOUGH_L)
        return [{ type: 'beyondStock', pileId: pile.id, season, fixedL, thereL }];
    }
    return [];
  });

const onBeds = ({ piles, beds, fixed }: ShareProblem): ShareConflict[] =>
  fixed.flatMap((one): ShareConflict[] => {
    const pile = piles.find(({ id }) => id === one.pileId);
    const bed = beds.find(({ id }) => id === one.bedId);
    if (!pile || !bed || one.litres === 0) return [];
    const at = { pileId: pile.id, bedId: bed.id };
    if (whyUnsuited(pile, bed) !== null) return [{ type: 'unsuited', ...at }];
    const mostL = mostOnBedL(pile, bed);
    return one.litres > mostL + NEAR_ENOUGH_L ? [{ type: 'beyondDepth', ...at, mostL }] : [];
  });

/** One of each kind a bed: the worst. */
const beyondBounds = ({ beds, gains, fixed }: ShareProblem): ShareConflict[] => {
  const byPair = gainsByPair(gains);
  return beds.flatMap((bed) => {
    const passed = bed.bounds
      .map((bound) => ({ bound, g: usedG({ shares: fixed, bed, bound, gains: byPair }) }))
      .filter(({ bound, g }) => passes(g, bound))
      .toSorted((a, b) => b.g - b.bound.roomG - (a.g - a.bound.roomG));
    return passed
      .filter(({ bound }, i) => passed.findIndex((one) => one.bound.code === bound.code) === i)
      .map(({ bound, g }): ShareConflict => ({
        type: 'beyondBound',
        bedId: bed.id,
        code: bound.code,
        usedG: g,
        roomG: bound.roomG,
      }));
  });
};
