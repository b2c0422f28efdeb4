import type { BedKind } from '../../../records/vocabulary.ts';
import type { MaterialKind } from '../../ground/index.ts';

/** What a bed can want stock for. */
export const PURPOSES = ['cover', 'humus', 'feed', 'char'] as const;
export type Purpose = (typeof PURPOSES)[number];

export const SHARE_SEASONS = ['now', 'next'] as const;
export type ShareSeason = (typeof SHARE_SEASONS)[number];

/** A pile that may be shared out; volumes in liters. */
export interface SharePile {
  readonly id: string;
  readonly kind: MaterialKind;
  /** Available today: in stock, less what plans have reserved and less the reserve. */
  readonly freeL: number;
  /** Expected to arrive before the next season. */
  readonly comingL: number;
  readonly isRawChar: boolean;
  readonly isLogs: boolean;
  /** Library material it comes nearest to: for its look and cautions. */
  readonly materialId: string;
}

/** By purpose: cover in liters of mulch, humus in kg C, feed in g N, char in kg C, for the whole bed. */
export type ByPurpose = Readonly<Record<Purpose, number>>;

export interface ShareBed {
  readonly id: string;
  readonly kind: BedKind;
  readonly areaM2: number;
  readonly clayPct: number;
  /** What is wanted in each season; 0 where nothing is. */
  readonly wants: Readonly<Record<ShareSeason, ByPurpose>>;
  /** How badly, 0 to 1: the gap as a share of what is aimed at. */
  readonly urgency: ByPurpose;
  /** Nitrogen that decomposers may hold back where this bed's roots are, g for the whole bed. */
  readonly lockLimitG: number;
  /** Roots of what grows there reach past the contact zone from the first day. */
  readonly rootsReachDeep: boolean;
}

/** What one liter of a pile does on a bed, worked out by the model. */
export interface ShareGain {
  readonly pileId: string;
  readonly bedId: string;
  readonly perL: ByPurpose;
  /** Held back at its peak in the first year where this bed's roots are, g. */
  readonly lockedGPerL: number;
}

/** A choice of one's own that is kept as it is. */
export interface FixedShare {
  readonly pileId: string;
  readonly bedId: string;
  readonly season: ShareSeason;
  readonly litres: number;
}

export interface ShareProblem {
  readonly piles: readonly SharePile[];
  readonly beds: readonly ShareBed[];
  readonly gains: readonly ShareGain[];
  readonly fixed: readonly FixedShare[];
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
