import {
  gainKey,
  gainsByPair,
  inAllL,
  loadL,
  mostOnBedL,
  PURPOSES,
  SHARE_SEASONS,
  whyUnsuited,
  type Share,
  type ShareBed,
  type ShareGain,
  type SharePile,
  type ShareProblem,
  type ShareSeason,
} from './share-problem.ts';

/** One pile on one bed in one season. */
export interface SharedPair {
  readonly pile: SharePile;
  readonly bed: ShareBed;
  readonly season: ShareSeason;
  readonly gain: ShareGain;
}

/** A pair as the programme names it: how many loads of `loadL`, of which a choice of one's own is one. */
export interface Pair extends SharedPair {
  readonly loads: string;
  readonly loadL: number;
  readonly most: number;
  readonly isFixed: boolean;
}

/** So much less than a whole load still is one. */
const NEAR_ENOUGH = 1e-6;

export const isChoiceFor =
  (pileId: string, bedId: string, season: ShareSeason) =>
  (one: Share): boolean =>
    one.pileId === pileId && one.bedId === bedId && one.season === season;

/** Everything that may be shared out: what suits and serves a bed, and what the gardener wants there. */
export function pairsOf({ piles, beds, gains, fixed, carrier }: ShareProblem): Pair[] {
  const byPair = gainsByPair(gains);
  return piles.flatMap((pile, p) =>
    beds.flatMap((bed, b) =>
      SHARE_SEASONS.flatMap((season, s): Pair[] => {
        const gain = byPair.get(gainKey(pile.id, bed.id));
        if (!gain) return [];
        const common = { pile, bed, season, gain, loads: `n${p}_${b}_${s}` };
        const own = fixed.find(isChoiceFor(pile.id, bed.id, season));
        if (own) return [{ ...common, loadL: own.litres, most: 1, isFixed: true }];
        const serves = PURPOSES.some((purpose) => gain.perL[purpose] > 0 && bed.wants[season][purpose] > 0);
        if (!serves || whyUnsuited(pile, bed) !== null) return [];
        const litres = loadL({ pile, bed, gain, carrier });
        const most = Math.floor(Math.min(mostOnBedL(pile, bed), inAllL(pile)) / litres + NEAR_ENOUGH);
        return most > 0 ? [{ ...common, loadL: litres, most, isFixed: false }] : [];
      }),
    ),
  );
}
