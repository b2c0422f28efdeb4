import type { BedKind } from '../../../records/vocabulary.ts';
import type { SpreadLimitCode } from '../../bed/index.ts';
import type { DayNumber, MaterialKind } from '../../ground/index.ts';

/** What a bed can want stock for. */
export const PURPOSES = ['cover', 'humus', 'feed', 'char'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** Half a year apart, from now on. */
export const SHARE_SEASONS = ['now', 'halfYear', 'year', 'yearAndHalf'] as const;
export type ShareSeason = (typeof SHARE_SEASONS)[number];
const SEASON_DAYS = 182;
const DAYS_TO_PREPARE = 7;

/** The day a season begins, counted from today. */
export const seasonStart = (today: DayNumber, season: ShareSeason): DayNumber =>
  today + SHARE_SEASONS.indexOf(season) * SEASON_DAYS;
/** When the shares of a season are carried: a week after it begins. */
export const sharingDay = (today: DayNumber, season: ShareSeason): DayNumber =>
  seasonStart(today, season) + DAYS_TO_PREPARE;

/** This season and those before it. */
export const seasonsUntil = (season: ShareSeason): readonly ShareSeason[] =>
  SHARE_SEASONS.slice(0, SHARE_SEASONS.indexOf(season) + 1);

export type BySeason<Of> = Readonly<Record<ShareSeason, Of>>;

/** A pile that may be shared out; volumes in liters. */
export interface SharePile {
  readonly id: string;
  readonly kind: MaterialKind;
  /**
   * What can have been given by a season, all before it included, in liters of today: in stock, less what plans have reserved
   * and less the reserve, and what has arrived by then.
   */
  readonly thereL: BySeason<number>;
  /** What becomes of a liter of today by then: piles shrink. */
  readonly keptShare: BySeason<number>;
  readonly isRawChar: boolean;
  readonly isLogs: boolean;
  /** Library material it comes nearest to: for its look and cautions. */
  readonly materialId: string;
}

/** By purpose: cover in liters of mulch, humus in kg C, feed in g N, char in kg C, for the whole bed. */
export type ByPurpose = Readonly<Record<Purpose, number>>;

/** What no bed is given too much of: nitrogen held back from its roots or washed out, and what the guide values count. */
export type BoundCode = 'lockUp' | 'washedOut' | SpreadLimitCode;

/** So much and no more from what is given in these seasons together, g for the whole bed. */
export interface ShareBound {
  readonly code: BoundCode;
  readonly seasons: readonly ShareSeason[];
  readonly roomG: number;
}

export interface ShareBed {
  readonly id: string;
  readonly kind: BedKind;
  readonly areaM2: number;
  readonly clayPct: number;
  /** What is wanted in each season; 0 where nothing is. */
  readonly wants: BySeason<ByPurpose>;
  /** How badly, 0 to 1: the gap as a share of what is aimed at. */
  readonly urgency: ByPurpose;
  readonly bounds: readonly ShareBound[];
  /** Roots of what grows there reach past the contact zone from the first day. */
  readonly rootsReachDeep: boolean;
}

/** What one liter of a pile does on a bed, worked out by the model. */
export interface ShareGain {
  readonly pileId: string;
  readonly bedId: string;
  readonly perL: ByPurpose;
  /** What it uses of every bound, g: what is held back is that at its peak in the first year where this bed's roots are. */
  readonly usesGPerL: Readonly<Record<BoundCode, number>>;
}

export const gainKey = (pileId: string, bedId: string): string => `${pileId} ${bedId}`;
export const gainsByPair = (gains: readonly ShareGain[]): ReadonlyMap<string, ShareGain> =>
  new Map(gains.map((gain) => [gainKey(gain.pileId, gain.bedId), gain]));

/** So much of a pile to a bed in a season. */
export interface Share {
  readonly pileId: string;
  readonly bedId: string;
  readonly season: ShareSeason;
  readonly litres: number;
}

export interface ShareProblem {
  readonly piles: readonly SharePile[];
  readonly beds: readonly ShareBed[];
  readonly gains: readonly ShareGain[];
  /** Choices of one's own, kept as they are. */
  readonly fixed: readonly Share[];
  /** What a barrow and a bucket hold. */
  readonly carrier: { readonly barrowL: number; readonly bucketL: number };
}

/** Worth of a want that is met in full on a square metre, by purpose (set here). */
export const PURPOSE_WEIGHTS: ByPurpose = { cover: 1, humus: 1, feed: 1.2, char: 0.6 };

/** Most of a kind that is laid at a time, cm (common practice, no source). */
const MOST_CM: Readonly<Partial<Record<MaterialKind, number>>> = {
  wood: 10,
  residue: 8,
  leaf: 8,
  compost: 3,
  manure: 2.5,
  green: 2,
  char: 0.5,
};
const WOODY_BEDS: ReadonlySet<BedKind> = new Set(['shrubs', 'treeRing', 'path']);
const MOST_WOOD_AMONG_PLANTS_CM = 6;
const LITERS_PER_M2_CM = 10;

/** Why a pile does not go to a bed at all. */
export type Unsuited = 'measuredDose' | 'rawChar' | 'logs' | 'path' | 'seedBed' | 'noUse';

/** Trade rules of what goes where (common practice, no source); lock-up is not among them: the model says that. */
export function whyUnsuited(pile: SharePile, bed: ShareBed): Unsuited | null {
  if (pile.kind === 'fertiliser' || pile.kind === 'paper' || pile.kind === 'none') return 'measuredDose';
  if (pile.isLogs) return 'logs';
  if (pile.kind === 'char' && pile.isRawChar) return 'rawChar';
  if (bed.kind === 'path' && pile.kind !== 'wood') return 'path';
  if (bed.kind === 'seedbed' && !['compost', 'char'].includes(pile.kind)) return 'seedBed';
  return null;
}

/** Most of a pile on a bed in one season, L. */
export function mostOnBedL(pile: SharePile, bed: ShareBed): number {
  const cm = MOST_CM[pile.kind] ?? 0;
  const allowed =
    pile.kind === 'wood' && !WOODY_BEDS.has(bed.kind) ? Math.min(cm, MOST_WOOD_AMONG_PLANTS_CM) : cm;
  return allowed * LITERS_PER_M2_CM * bed.areaM2;
}

/** All of a pile that may be given. */
export const inAllL = ({ thereL }: SharePile): number => thereL[SHARE_SEASONS.at(-1)!];

/** What was taken of a pile in some seasons, in liters of today. */
export const givenL = (pile: SharePile, shares: readonly Share[], seasons: readonly ShareSeason[]): number =>
  shares.reduce(
    (sum, { pileId, season, litres }) =>
      pileId === pile.id && seasons.includes(season) ? sum + litres / pile.keptShare[season] : sum,
    0,
  );

/** What is carried at a time, L: a barrow, or a bucket where less than a barrow is there, may lie or is borne. */
export function loadL({
  pile,
  bed,
  gain,
  carrier: { barrowL, bucketL },
}: {
  readonly pile: SharePile;
  readonly bed: ShareBed;
  readonly gain: ShareGain;
  readonly carrier: ShareProblem['carrier'];
}): number {
  const bearsBarrow = bed.bounds.every(({ code, roomG }) => gain.usesGPerL[code] * barrowL <= roomG);
  return bearsBarrow && Math.min(mostOnBedL(pile, bed), inAllL(pile)) >= barrowL ? barrowL : bucketL;
}
