import { total } from '../../ground/index.ts';
import { passes, usedG } from './bounds.ts';
import {
  gainKey,
  gainsByPair,
  mostOnBedL,
  PURPOSE_WEIGHTS,
  PURPOSES,
  SHARE_SEASONS,
  seasonsUntil,
  whyUnsuited,
  type BoundCode,
  type ByPurpose,
  type Purpose,
  type Share,
  type ShareBed,
  type ShareGain,
  type ShareProblem,
  type ShareSeason,
} from './share-problem.ts';

/** Carrying one load costs as much as a want met on so many square metres is worth (set here). */
export const LOAD_COST_M2 = 0.03;

/** What meeting a want of a bed in full is worth, m2. */
export const valueOfWant = (bed: ShareBed, purpose: Purpose): number =>
  bed.areaM2 * PURPOSE_WEIGHTS[purpose] * bed.urgency[purpose];

/** A limit that is passed on a bed. */
export interface PassedBound {
  readonly bedId: string;
  readonly code: BoundCode;
}

export interface ShareMeasure {
  /** Wants met, each weighed by area, purpose and urgency, m2. */
  readonly metM2: number;
  /** The same were every want met. */
  readonly wantedM2: number;
  readonly barrows: number;
  /** Met less what carrying costs, m2: what is made as large as can be. */
  readonly score: number;
  /** Each once a bed. */
  readonly passed: readonly PassedBound[];
  /** Carbon that is humus or char on the beds after five years, kg. */
  readonly lastingCarbonKg: number;
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
export function measureOf(shares: readonly Share[], problem: ShareProblem): ShareMeasure {
  const { beds, gains, carrier } = problem;
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
  const barrows = total(shares.map(({ litres }) => litres)) / carrier.barrowL;
  return {
    metM2,
    wantedM2,
    barrows,
    score: metM2 - LOAD_COST_M2 * barrows,
    passed: passedBy(shares, problem),
    lastingCarbonKg: total(
      shares.map(({ pileId, bedId, litres }) => {
        const gain = byPair.get(gainKey(pileId, bedId));
        return gain ? litres * (gain.perL.humus + gain.perL.char) : 0;
      }),
    ),
  };
}

/** The bounds that shares pass, each once a bed. */
export function passedBy(shares: readonly Share[], { beds, gains }: ShareProblem): PassedBound[] {
  const byPair = gainsByPair(gains);
  return beds.flatMap((bed) => {
    const codes = bed.bounds
      .filter((bound) => passes(usedG({ shares, bed, bound, gains: byPair }), bound))
      .map(({ code }) => code);
    return [...new Set(codes)].map((code) => ({ bedId: bed.id, code }));
  });
}

/**
 * Every pile to all beds it suits alike, by area, no deeper than a layer is laid: what somebody does who does not want to
 * choose. What is there goes as soon as it is there.
 */
export function evenSplit({ piles, beds }: ShareProblem): Share[] {
  return piles.flatMap((pile) => {
    const suited = beds.filter((bed) => whyUnsuited(pile, bed) === null);
    const areaM2 = total(suited.map((bed) => bed.areaM2));
    return SHARE_SEASONS.flatMap((season) => {
      const before = seasonsUntil(season).at(-2);
      const newL = pile.thereL[season] - (before ? pile.thereL[before] : 0);
      return suited.map((bed): Share => {
        const litres = Math.min(mostOnBedL(pile, bed), (newL * bed.areaM2) / areaM2);
        return { pileId: pile.id, bedId: bed.id, season, litres };
      });
    }).filter(({ litres }) => litres > 0);
  });
}
