import type { DayNumber, Material, SeededWeather } from '../../ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import type { MeasuredDay } from '../../../records/weather.ts';
import type { Exposure } from '../../../records/vocabulary.ts';
import type { CohortOpening } from './cohort-opening.ts';
import type { ParameterOverrides, SoilHistory } from './parameters.ts';

/** Depth of the contact zone, cm: the soil a surface layer can draw on (5 in every formula of the model). */
export const CONTACT_ZONE_CM = 5;

/** Mineral nitrogen of a profile, g/m2; the two halves of the subsoil may be left out. */
export type MineralNitrogen =
  | readonly [contactZone: number, rootZone: number]
  | readonly [contactZone: number, rootZone: number, upperSubsoil: number, lowerSubsoil: number];

export interface SoilStart {
  readonly organicMatterPct: number;
  readonly bulkDensityGPerCm3: number;
  /** Depth the organic matter figure holds for, cm. */
  readonly samplingDepthCm: number;
  readonly clayPct: number;
  /** Depth of the bed, cm; the contact zone is its top 5 cm, what lies below it is subsoil. */
  readonly rootZoneCm: number;
  readonly carbonToNitrogen: number;
  readonly ph: number;
  /** What was done with it before. */
  readonly history: SoilHistory;
  readonly mineralNGPerM2: MineralNitrogen;
  /** Water missing to field capacity in the two zones, mm. */
  readonly deficitMm: readonly [contactZone: number, rootZone: number];
}

export const SOIL_DEFAULTS = {
  samplingDepthCm: 20,
  clayPct: 20,
  rootZoneCm: 30,
  carbonToNitrogen: 11,
  ph: 6.8,
  history: 'garden',
  mineralNGPerM2: [0.5, 2],
  deficitMm: [0, 0],
} as const satisfies Partial<SoilStart>;

interface Dated {
  readonly day: DayNumber;
}

interface Application extends Dated {
  readonly type: 'apply';
  /** Name of the cohort this opens; c1, c2, ... when absent. */
  readonly id?: string;
  readonly massFreshKgPerM2: number;
  /** 0 leaves it on the surface. */
  readonly dugDepthCm: number;
  readonly exposure: Exposure;
  readonly isOnPath: boolean;
}

export interface ApplyMaterial extends Application {
  readonly material: Material;
}

export interface ApplyFromPile extends Application {
  readonly pileId: string;
}

/** Something whose accounts are known: stock that has been followed since it arrived. */
export interface ApplyOpening extends Application {
  /** Per m2; `massFreshKgPerM2` is what that weighs with its water. */
  readonly opening: CohortOpening;
}

export type Apply = ApplyMaterial | ApplyFromPile | ApplyOpening;

export interface Dig extends Dated {
  readonly type: 'dig';
  readonly depthCm: number;
  readonly cohortIds: 'all' | readonly string[];
}

/** Mineral fertiliser or any quick nitrogen, g N/m2, spread evenly down to a depth. */
export interface Feed extends Dated {
  readonly type: 'feed';
  readonly nitrogenGPerM2: number;
  readonly depthCm: number;
  /** Share that is ammonium or urea, 0 to 1; the model default when absent. */
  readonly ammoniumShare?: number;
}

/** Half ammonium, half nitrate: what a feed is taken for when nobody says, and a dose always (set here). */
export const FEED_AMMONIUM_SHARE = 0.5;

export interface Remove extends Dated {
  readonly type: 'remove';
  readonly cohortId: string;
  /** Share taken off, 0 to 1. */
  readonly share: number;
  /** Share of the humus it has made on the spot that goes with it; none when absent: that has sifted into the soil. */
  readonly humusShare?: number;
}

export interface SoilTest extends Dated {
  readonly type: 'soilTest';
  /** What is not tested stays as it is. */
  readonly mineralNGPerM2: MineralNitrogen;
}

export interface Irrigate extends Dated {
  readonly type: 'irrigate';
  readonly waterMm: number;
}

export type BedEvent = Apply | Dig | Feed | Remove | SoilTest | Irrigate;

export interface CropPlan {
  readonly id: string;
  readonly plantDay: DayNumber;
  /** First day it no longer stands. */
  readonly harvestDay: DayNumber;
  /** Nitrogen the crop takes up when nothing is short, g/m2. */
  readonly nitrogenDemandGPerM2: number;
  readonly rootDepthCm: number;
  readonly isLegume: boolean;
  /** Share of a legume's demand it always fixes; the model default when absent. */
  readonly fixedShare?: number;
  /** Roots at full depth from the first day. */
  readonly isPerennial: boolean;
  /** Share of the demand a perennial lifts from below the subsoil that the books follow. */
  readonly deepShare: number;
  /** Carbon its roots give by harvest, g/m2; the model default when absent. */
  readonly rootCarbonGPerM2?: number;
  /** Share of the crop's nitrogen left on the bed at harvest. */
  readonly residueShare: number;
  readonly residueMaterial?: Material;
  /** Depth the residue is dug to, cm; 0 leaves it on top. */
  readonly residueDugDepthCm: number;
}

export interface PileInput {
  readonly material: Material;
  readonly massFreshKg: number;
}

export interface PilePlan {
  readonly id: string;
  readonly startDay: DayNumber;
  /** Exclusive. */
  readonly endDay: DayNumber;
  readonly mix: readonly PileInput[];
  readonly isTurned: boolean;
  readonly isHot: boolean;
  /** Moisture factor on decay, 1 = right. */
  readonly moistureFactor: number;
  /** Kind of what comes out; by its C:N when absent. */
  readonly kind?: Material['kind'];
  readonly stepsPerDay: number;
}

export interface AutomaticIrrigation {
  /** Months 1 to 12 in which it is on. */
  readonly months: readonly number[];
  /** Share of the largest deficit that sets it off. */
  readonly trigger: number;
  /** Share of the deficit it makes good. */
  readonly refill: number;
}

/** One bed, one square meter of it, from the start day to the day before `endDay`. */
export interface BedScenario {
  readonly startDay: DayNumber;
  readonly endDay: DayNumber;
  readonly climate: ClimateNormals;
  /** Days that were measured; the normals stand for all others. */
  readonly weather?: readonly MeasuredDay[];
  /** Years that stray from the normals; the normals themselves when absent. */
  readonly seededWeather?: SeededWeather;
  readonly soil: SoilStart;
  readonly events: readonly BedEvent[];
  readonly crops: readonly CropPlan[];
  readonly piles: readonly PilePlan[];
  readonly irrigation?: AutomaticIrrigation;
  /** Nitrogen from the air, g/m2 per year. */
  readonly depositionGPerM2Year: number;
  readonly parameters?: ParameterOverrides;
  readonly stepsPerDay: number;
}

export const DEFAULT_STEPS_PER_DAY = 1;
/** Piles are hot and small, so they step twice a day. */
export const PILE_STEPS_PER_DAY = 2;

export const isFromPile = (event: Apply): event is ApplyFromPile => 'pileId' in event;

export const isFromStock = (event: Apply): event is ApplyOpening => 'opening' in event;

/** The same bed followed only to the morning of `endDay`. */
export const endingOn = (scenario: BedScenario, endDay: DayNumber): BedScenario => ({
  ...scenario,
  endDay,
  events: scenario.events.filter(({ day }) => day < endDay),
  crops: scenario.crops.filter(({ plantDay }) => plantDay < endDay),
});

/** The same bed without its materials: nothing applied, dug or taken off. */
export const withoutMaterials = (scenario: BedScenario): BedScenario => ({
  ...scenario,
  events: scenario.events.filter(({ type }) => !['apply', 'dig', 'remove'].includes(type)),
  piles: [],
});
