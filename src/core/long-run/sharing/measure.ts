import { LITRES_PER_METRIC_BARROW } from '../../ground/index.ts';
import {
  mostOnBedL,
  PURPOSE_WEIGHTS,
  PURPOSES,
  SHARE_SEASONS,
  whyUnsuited,
  type ByPurpose,
  type Purpose,
  type ShareBed,
  type ShareGain,
  type ShareProblem,
  type ShareSeason,
} from './share-problem.ts';

/** So much of a pile to a bed in a season. */
export interface Share {
  readonly pileId: string;
  readonly bedId: string;
  readonly season: ShareSeason;
  readonly litres: number;
}

/** Nobody walks with less than half a barrow. */
export const LEAST_L = LITRES_PER_METRIC_BARROW / 2;
/** Carrying one barrow costs as much as a want met on so many square metres is worth (set here). */
export const BARROW_COST_M2 = 0.03;

export const gainKey = (pileId: string, bedId: string): string => `${pileId} ${bedId}`;
export const gainsByPair = (gains: readonly ShareGain[]): ReadonlyMap<string, ShareGain> =>
  new Map(gains.map((gain) => [gainKey(gain.pileId, gain.bedId), gain]));

/** What meeting a want of a bed in full is worth, m2. */
export const valueOfWant = (bed: ShareBed, purpose: Purpose): number =>
  bed.areaM2 * PURPOSE_WEIGHTS[purpose] * bed.urgency[purpose];

export interface ShareMeasure {
  /** Wants met, each weighed by area, purpose and urgency, m2. */
  readonly metM2: number;
  /** The same were every want met. */
  readonly wantedM2: number;
  readonly barrows: number;
  /** Met less what carrying costs, m2: what is made as large as can be. */
  readonly score: number;
}

/** What of a bed's wants the shares meet in a season, never more than is wanted. */
export function metBy({
  shares,
  bed,
  season,
  gains,
}: {
  readonly shares: readonly Share[];
  readonly bed: ShareBed;
  readonly season: ShareSeason;
  readonly gains: ReadonlyMap<string, ShareGain>;
}): ByPurpose {
  const own = shares.filter((one) => one.bedId === bed.id && one.season === season);
  return Object.fromEntries(
    PURPOSES.map((purpose) => {
      const supplied = own.reduce(
        (sum, { pileId, litres }) => sum + litres * (gains.get(gainKey(pileId, bed.id))?.perL[purpose] ?? 0),
        0,
      );
      return [purpose, Math.max(0, Math.min(bed.wants[season][purpose], supplied))];
    }),
  ) as unknown as ByPurpose;
}

/** How well shares serve the beds: the measure by which ways of sharing are held against each other. */
export function measureOf(shares: readonly Share[], { beds, gains }: ShareProblem): ShareMeasure {
  const byPair = gainsByPair(gains);
  let metM2 = 0;
  let wantedM2 = 0;
  for (const bed of beds) {
    for (const season of SHARE_SEASONS) {
      const met = metBy({ shares, bed, season, gains: byPair });
      for (const purpose of PURPOSES) {
        const wanted = bed.wants[season][purpose];
        if (wanted <= 0) continue;
        wantedM2 += valueOfWant(bed, purpose);
        metM2 += (valueOfWant(bed, purpose) * met[purpose]) / wanted;
      }
    }
  }
  const barrows = shares.reduce((sum, { litres }) => sum + litres, 0) / LITRES_PER_METRIC_BARROW;
  return { metM2, wantedM2, barrows, score: metM2 - BARROW_COST_M2 * barrows };
}

/**
 * Every pile to all beds it suits alike, by area, as far as depth and lock-up allow: what somebody does who does not
 * want to choose. What is free goes now, what is coming goes next.
 */
export function evenSplit(problem: ShareProblem): Share[] {
  const byPair = gainsByPair(problem.gains);
  const shares = problem.piles.flatMap((pile) => {
    const suited = problem.beds.filter((bed) => whyUnsuited(pile, bed) === null);
    const areaM2 = suited.reduce((sum, bed) => sum + bed.areaM2, 0);
    return SHARE_SEASONS.flatMap((season) => {
      const thereL = season === 'now' ? pile.freeL : pile.comingL;
      return suited.map((bed): Share => {
        const litres = Math.min(mostOnBedL(pile, bed), (thereL * bed.areaM2) / areaM2);
        return { pileId: pile.id, bedId: bed.id, season, litres };
      });
    });
  });
  return withinLockUp(shares, problem, byPair).filter(({ litres }) => litres > 0);
}

function withinLockUp(
  shares: readonly Share[],
  { beds }: ShareProblem,
  gains: ReadonlyMap<string, ShareGain>,
): Share[] {
  const limits = new Map(beds.map(({ id, lockLimitG }) => [id, lockLimitG]));
  const locked = (one: Share) => one.litres * (gains.get(gainKey(one.pileId, one.bedId))?.lockedGPerL ?? 0);
  const lockedOn = new Map<string, number>();
  for (const one of shares) {
    const key = `${one.bedId} ${one.season}`;
    lockedOn.set(key, (lockedOn.get(key) ?? 0) + locked(one));
  }
  return shares.map((one) => {
    const all = lockedOn.get(`${one.bedId} ${one.season}`) ?? 0;
    const limit = limits.get(one.bedId) ?? 0;
    return all > limit && locked(one) > 0 ? { ...one, litres: (one.litres * limit) / all } : one;
  });
}
