import type { StartsAs } from '../crops/crop-library.ts';
import type { ClimateNormals } from '../climate/climate.ts';
import type { MeasuredDay } from '../climate/weather.ts';
import type { Exposure } from '../materials/material.ts';
import type { TakenForBed } from '../stock/run-stock.ts';
import type { AmountUnit } from '../units/amount.ts';
import type { SoilNitrogenUnit } from '../units/soil-nitrogen.ts';

/** What stands in the books of a garden, as its owner wrote it down. Dates are ISO dates (YYYY-MM-DD). */
export const BED_KINDS = [
  'annual',
  'raised',
  'seedbed',
  'perennial',
  'shrubs',
  'treeRing',
  'container',
  'path',
  'resting',
] as const;
export type BedKind = (typeof BED_KINDS)[number];

/** Facts are laid, intentions are planned; ticking a plan off turns one into the other. */
export const RECORD_STATES = ['laid', 'planned'] as const;
export type RecordState = (typeof RECORD_STATES)[number];

/** What the ground was before the book of the bed begins: it decides how much of its organic matter is active. */
export const CROPPING_BEFORE = ['unknown', 'hard', 'ordinary', 'rested', 'turf', 'bare'] as const;
export type CroppingBefore = (typeof CROPPING_BEFORE)[number];

/** How seriously a garden takes lock-up: changes thresholds and wording, never the physics. */
export const SCHOOLS = ['cautious', 'byDepth', 'relaxed'] as const;
export type School = (typeof SCHOOLS)[number];

export interface SiteRecord {
  readonly climate: ClimateNormals;
  readonly weather?: readonly MeasuredDay[];
  readonly depositionGPerM2Year: number;
}

export interface BedRecord {
  readonly id: string;
  readonly kind: BedKind;
  readonly areaM2: number;
  readonly organicMatterPct: number;
  readonly bulkDensityGPerCm3: number;
  readonly clayPct: number;
  readonly rootZoneCm: number;
  readonly exposure: Exposure;
  readonly isWatered: boolean;
  /** Nothing was laid on it before this day; null when nobody remembers. */
  readonly startedOn: string | null;
  readonly ph: number | null;
  readonly croppingBefore: CroppingBefore;
}

interface Entry {
  readonly id: string;
  readonly state: RecordState;
  readonly date: string;
}

/** A material laid on top (dugDepthCm 0) or dug in as it comes. */
export interface LayEntry extends Entry {
  readonly type: 'lay';
  /** What it is, or comes nearest to when it is taken from stock. */
  readonly materialId: string;
  /** The lot it is taken from; absent or null for what comes straight from outside. */
  readonly lotId?: string | null | undefined;
  /** As it was measured; what is taken from stock is weighed by this. */
  readonly amount?: number;
  readonly unit?: AmountUnit;
  /** For the whole bed, as laid. */
  readonly massFreshKg: number;
  readonly dugDepthCm: number;
  /** How long it lay in a heap before, months. */
  readonly seasonedMonths: number;
}

/** Everything that lies on top, or one layer of it, dug in. */
export interface DigEntry extends Entry {
  readonly type: 'dig';
  /** Null for all layers on top. */
  readonly layerId: string | null;
  readonly dugDepthCm: number;
}

export interface TakeOffEntry extends Entry {
  readonly type: 'takeOff';
  readonly layerId: string;
  readonly shareTakenOff: number;
  /** Share of the humus it has made that is lifted with it; none when absent or null. */
  readonly humusShareTakenOff?: number | null | undefined;
}

/** Quick nitrogen for the whole bed, as nitrogen. */
export interface FeedEntry extends Entry {
  readonly type: 'feed';
  readonly nitrogenG: number;
}

/** Mineral nitrogen as a laboratory reports it, over the depth that was sampled. */
export interface SoilTestEntry extends Entry {
  readonly type: 'soilTest';
  readonly amount: number;
  readonly unit: SoilNitrogenUnit;
  readonly sampledDepthCm: number;
  readonly ph: number | null;
  readonly organicMatterPct: number | null;
}

/** Water given by hand, over the whole bed. */
export interface WaterEntry extends Entry {
  readonly type: 'water';
  readonly waterMm: number;
}

export type EntryRecord = LayEntry | DigEntry | TakeOffEntry | FeedEntry | SoilTestEntry | WaterEntry;
export type EntryType = EntryRecord['type'];

export interface PlantingRecord {
  readonly id: string;
  readonly state: RecordState;
  readonly cropId: string;
  readonly plantedOn: string;
  /** First day it no longer stands; null for a perennial that stays. */
  readonly clearedOn: string | null;
  readonly startsAs: StartsAs;
  /** Share of the bed it stands on, above 0 to 1. */
  readonly areaShare: number;
  /** Sown beneath another crop, or a living mulch: it takes no room of its own. */
  readonly isUndersown: boolean;
  readonly nitrogenDemandGPerM2: number;
  readonly rootDepthCm: number;
}

/** All that decides how a bed fares. */
export interface BedBooks {
  readonly site: SiteRecord;
  readonly bed: BedRecord;
  readonly entries: readonly EntryRecord[];
  readonly plantings: readonly PlantingRecord[];
  /** What the stock gives for entries that draw on it, by entry. */
  readonly taken?: ReadonlyMap<string, TakenForBed>;
}
