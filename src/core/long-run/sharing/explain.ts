import { total } from '../../ground/index.ts';
import { passes, usedG } from './bounds.ts';
import { metBy, valueOfWant } from './measure.ts';
import type { SharedPair } from './share-pairs.ts';
import {
  gainKey,
  gainsByPair,
  givenL,
  inAllL,
  loadL,
  mostOnBedL,
  PURPOSES,
  SHARE_SEASONS,
  seasonsUntil,
  whyUnsuited,
  type BoundCode,
  type Purpose,
  type Share,
  type ShareBed,
  type ShareGain,
  type SharePile,
  type ShareProblem,
  type ShareSeason,
  type Unsuited,
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

/** A bound of the bed that one more load would pass, or what else is in the way of it. */
export type UnmetCause = 'nothingSuits' | 'usedUp' | 'depth' | 'notWorthCarrying' | BoundCode;

/** A want that stays open. */
export interface UnmetWant {
  readonly bedId: string;
  readonly season: ShareSeason;
  readonly purpose: Purpose;
  readonly metShare: number;
  readonly cause: UnmetCause;
}

/** A want counts as met from this share of it on. */
const MET = 0.95;
/** Lock-up is worth a word from this share of what a bed bears on. */
const WORTH_A_WORD = 0.05;

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

const lockUpRoomG = ({ bounds }: ShareBed, season: ShareSeason): number =>
  bounds.find(({ code, seasons }) => code === 'lockUp' && seasons.includes(season))?.roomG ?? Infinity;

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
    bearsLockUp:
      bed.rootsReachDeep && gain.usesGPerL.lockUp * litres > WORTH_A_WORD * lockUpRoomG(bed, season),
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

/** What is in the way of one more load of a pile on a bed in a season; null when nothing is. */
function obstacleOf({
  pile,
  bed,
  season,
  shares,
  gains,
  carrier,
}: {
  readonly pile: SharePile;
  readonly bed: ShareBed;
  readonly season: ShareSeason;
  readonly shares: readonly Share[];
  readonly gains: ReadonlyMap<string, ShareGain>;
  readonly carrier: ShareProblem['carrier'];
}): 'usedUp' | 'depth' | BoundCode | null {
  const gain = gains.get(gainKey(pile.id, bed.id))!;
  const litres = loadL({ pile, bed, gain, carrier });
  const isUsedUp = SHARE_SEASONS.some((one) => {
    const until = seasonsUntil(one);
    return (
      until.includes(season) &&
      givenL(pile, shares, until) + litres / pile.keptShare[season] > pile.thereL[one]
    );
  });
  if (isUsedUp) return 'usedUp';
  const lyingL = total(
    shares
      .filter((one) => one.pileId === pile.id && one.bedId === bed.id && one.season === season)
      .map((one) => one.litres),
  );
  if (lyingL + litres > mostOnBedL(pile, bed)) return 'depth';
  const more = [...shares, { pileId: pile.id, bedId: bed.id, season, litres }];
  const passed = bed.bounds.find(
    (bound) =>
      bound.seasons.includes(season) &&
      gain.usesGPerL[bound.code] > 0 &&
      passes(usedG({ shares: more, bed, bound, gains }), bound),
  );
  return passed?.code ?? null;
}

function causeOf({
  bed,
  season,
  purpose,
  shares,
  problem: { piles, carrier },
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
  const obstacles = serving.map((pile) => obstacleOf({ pile, bed, season, shares, gains, carrier }));
  if (obstacles.includes(null)) return 'notWorthCarrying';
  return obstacles.find((one) => one !== 'usedUp') ?? 'usedUp';
}

/** Why a bed takes no more of a pile that has some left. */
export type IdleReason = 'unsuited' | 'wantsNone' | 'depth' | 'notWorthCarrying' | BoundCode;

/** A pile of which at least one load stays where it is. */
export interface IdlePile {
  readonly pileId: string;
  readonly leftL: number;
  /** It goes to no bed at all by its nature; null when beds only want or bear no more. */
  readonly neverShared: Extract<Unsuited, 'measuredDose' | 'logs' | 'rawChar'> | null;
  readonly beds: readonly { readonly bedId: string; readonly reason: IdleReason }[];
}

const NEVER_SHARED = ['measuredDose', 'logs', 'rawChar'] as const;

/** The piles that are not used up, and bed by bed why not. */
export function idleOf(shares: readonly Share[], problem: ShareProblem): IdlePile[] {
  const { piles, beds, carrier } = problem;
  return piles.flatMap((pile): IdlePile[] => {
    const leftL = inAllL(pile) - givenL(pile, shares, SHARE_SEASONS);
    if (leftL < carrier.bucketL) return [];
    const whyNot = beds.map((bed) => whyUnsuited(pile, bed));
    const neverShared = NEVER_SHARED.find((why) => whyNot.every((one) => one === why)) ?? null;
    const reasons = beds.map((bed) => ({
      bedId: bed.id,
      reason: idleReason({ pile, bed, shares, problem }),
    }));
    return [{ pileId: pile.id, leftL, neverShared, beds: neverShared ? [] : reasons }];
  });
}

function idleReason({
  pile,
  bed,
  shares,
  problem,
}: {
  readonly pile: SharePile;
  readonly bed: ShareBed;
  readonly shares: readonly Share[];
  readonly problem: ShareProblem;
}): IdleReason {
  if (whyUnsuited(pile, bed) !== null) return 'unsuited';
  const gains = gainsByPair(problem.gains);
  const perL = gains.get(gainKey(pile.id, bed.id))?.perL;
  const open = SHARE_SEASONS.filter((season) => {
    const met = metBy({ shares, bed, season, gains });
    return PURPOSES.some(
      (purpose) => (perL?.[purpose] ?? 0) > 0 && met[purpose] < MET * bed.wants[season][purpose],
    );
  });
  if (open.length === 0) return 'wantsNone';
  const obstacles = open.map((season) =>
    obstacleOf({ pile, bed, season, shares, gains, carrier: problem.carrier }),
  );
  const inTheWay = obstacles.filter((one) => one !== 'usedUp');
  return inTheWay.every((one) => one !== null) ? (inTheWay[0] ?? 'notWorthCarrying') : 'notWorthCarrying';
}
