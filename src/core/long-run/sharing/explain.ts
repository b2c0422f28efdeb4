import { gainKey, gainsByPair, LEAST_L, metBy, valueOfWant, type Share } from './measure.ts';
import {
  PURPOSES,
  SHARE_SEASONS,
  whyUnsuited,
  type Purpose,
  type ShareBed,
  type ShareGain,
  type SharePile,
  type ShareProblem,
  type ShareSeason,
} from './share-problem.ts';

/** Why a share is what it is. */
export interface ShareReason {
  /** What it serves, the most first, as shares of what it is worth there. */
  readonly serves: readonly { readonly purpose: Purpose; readonly share: number }[];
  /** It holds nitrogen back, and this bed can bear it. */
  readonly bearsLockUp: boolean;
  /** The bed the next liter would be worth most on otherwise; null when it suits no other. */
  readonly runnerUpBedId: string | null;
  readonly isFixed: boolean;
}

export interface ExplainedShare extends Share, ShareReason {}

export type UnmetCause = 'nothingSuits' | 'usedUp' | 'lockUp' | 'notWorthCarrying';

/** A want that stays open. */
export interface UnmetWant {
  readonly bedId: string;
  readonly season: ShareSeason;
  readonly purpose: Purpose;
  readonly metShare: number;
  readonly cause: UnmetCause;
}

/** One pile on one bed in one season. */
export interface SharedPair {
  readonly pile: SharePile;
  readonly bed: ShareBed;
  readonly season: ShareSeason;
  readonly gain: ShareGain;
}

/** A want counts as met from this share of it on. */
const MET = 0.95;
const NEAR_ENOUGH = 1e-6;

const worthPerL = ({
  gain,
  bed,
  season,
  purpose,
}: {
  readonly gain: ShareGain;
  readonly bed: ShareBed;
  readonly season: ShareSeason;
  readonly purpose: Purpose;
}): number => {
  const wanted = bed.wants[season][purpose];
  return wanted > 0 ? (valueOfWant(bed, purpose) * Math.max(0, gain.perL[purpose])) / wanted : 0;
};

/** Why this much of a pile goes to this bed. */
export function reasonOf({
  pair: { pile, bed, season, gain },
  litres,
  isFixed,
  problem: { beds, gains },
}: {
  readonly pair: SharedPair;
  readonly litres: number;
  readonly isFixed: boolean;
  readonly problem: ShareProblem;
}): ShareReason {
  const worth = PURPOSES.map((purpose) => ({
    purpose,
    worth: Math.min(worthPerL({ gain, bed, season, purpose }) * litres, valueOfWant(bed, purpose)),
  }));
  const all = worth.reduce((sum, one) => sum + one.worth, 0);
  const others = gains
    .filter((one) => one.pileId === pile.id && one.bedId !== bed.id)
    .flatMap((one) => {
      const other = beds.find(({ id }) => id === one.bedId)!;
      if (whyUnsuited(pile, other) !== null) return [];
      return [
        {
          bedId: other.id,
          worth: PURPOSES.reduce(
            (sum, p) => sum + worthPerL({ gain: one, bed: other, season, purpose: p }),
            0,
          ),
        },
      ];
    })
    .filter((one) => one.worth > 0)
    .toSorted((a, b) => b.worth - a.worth);
  return {
    serves: worth
      .filter((one) => one.worth > 0.1 * all)
      .toSorted((a, b) => b.worth - a.worth)
      .map((one) => ({ purpose: one.purpose, share: all > 0 ? one.worth / all : 0 })),
    bearsLockUp: gain.lockedGPerL * litres > 0.05 * bed.lockLimitG && bed.rootsReachDeep,
    runnerUpBedId: others[0]?.bedId ?? null,
    isFixed,
  };
}

/** Wants that stay open under these shares, and why. */
export function unmetOf(shares: readonly Share[], problem: ShareProblem): UnmetWant[] {
  const byPair = gainsByPair(problem.gains);
  return problem.beds.flatMap((bed) =>
    SHARE_SEASONS.flatMap((season) => {
      const met = metBy({ shares, bed, season, gains: byPair });
      return PURPOSES.flatMap((purpose): UnmetWant[] => {
        const wanted = bed.wants[season][purpose];
        const metShare = wanted > 0 ? met[purpose] / wanted : 1;
        if (metShare >= MET) return [];
        const cause = causeOf({ bed, season, purpose, shares, problem, gains: byPair });
        return [{ bedId: bed.id, season, purpose, metShare, cause }];
      });
    }),
  );
}

function causeOf({
  bed,
  season,
  purpose,
  shares,
  problem: { piles },
  gains,
}: {
  readonly bed: ShareBed;
  readonly season: ShareSeason;
  readonly purpose: Purpose;
  readonly shares: readonly Share[];
  readonly problem: ShareProblem;
  readonly gains: ReadonlyMap<string, ShareGain>;
}): UnmetCause {
  const serving = piles.filter(
    (pile) =>
      whyUnsuited(pile, bed) === null && (gains.get(gainKey(pile.id, bed.id))?.perL[purpose] ?? 0) > 0,
  );
  if (serving.length === 0) return 'nothingSuits';
  const left = serving.filter((pile) => {
    const takenL = shares.reduce(
      (sum, one) =>
        one.pileId === pile.id && (season === 'next' || one.season === 'now') ? sum + one.litres : sum,
      0,
    );
    return takenL < (season === 'now' ? pile.freeL : pile.freeL + pile.comingL) - LEAST_L;
  });
  if (left.length === 0) return 'usedUp';
  const locked = shares
    .filter((one) => one.bedId === bed.id && one.season === season)
    .reduce(
      (sum, one) => sum + one.litres * Math.max(0, gains.get(gainKey(one.pileId, bed.id))!.lockedGPerL),
      0,
    );
  const locks = left.every((pile) => gains.get(gainKey(pile.id, bed.id))!.lockedGPerL > 0);
  return locks && locked > 0.9 * bed.lockLimitG - NEAR_ENOUGH ? 'lockUp' : 'notWorthCarrying';
}
