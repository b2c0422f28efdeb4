import type { MaterialKind } from '../../ground/index.ts';
import type { CohortOpening } from './cohort-opening.ts';
import { DecayClass } from './decay-classes.ts';
import { DecayPart, MineralAccount } from './decay-part.ts';

/** Pools of carbon and nitrogen of a cohort, in the order openings list them. */
export const POOL_NAMES = [
  'quick',
  'structural',
  'woody',
  'microbial',
  'humus',
  'labileChar',
  'stableChar',
] as const;
export type PoolName = (typeof POOL_NAMES)[number];

/** What a cohort is and stays, whatever happens to it. */
export interface CohortTraits {
  readonly id: string;
  readonly kind: MaterialKind;
  readonly decayRateFactor: number;
  /** Share of unrotted pieces that pass the sieve of a laboratory. */
  readonly sievedShare: number;
  readonly humificationFactor: number;
  /** How freely its ammonium escapes, 0 to 1. */
  readonly ammoniaExposure: number;
  /** Ammonia-prone share of what it will set free on the surface, 0 to 1. */
  readonly ammoniaProneShare: number;
  readonly vaporBarrier: number;
  /** Finished compost: roots live in it, it draws on nothing, and it turns into soil. */
  readonly countsAsSoil: boolean;
  /** Fungal threads lift no more than a capped flux out of the soil into it. */
  readonly isLiftCapped: boolean;
}

/** The same as one class, so that engines keep its numbers as plain doubles. */
class PlainTraits implements CohortTraits {
  readonly id: string = '';
  readonly kind: MaterialKind = 'none';
  readonly decayRateFactor: number = NaN;
  readonly sievedShare: number = NaN;
  readonly humificationFactor: number = NaN;
  readonly ammoniaExposure: number = NaN;
  readonly ammoniaProneShare: number = NaN;
  readonly vaporBarrier: number = NaN;
  readonly countsAsSoil: boolean = false;
  readonly isLiftCapped: boolean = false;
}

export const traits = (values: CohortTraits): CohortTraits => Object.assign(new PlainTraits(), values);

/**
 * One application and what has become of it, g/m2 in a bed and g in a pile. All number fields start as NaN, so that
 * engines keep them as plain doubles: the daily loop reads and writes hardly anything else.
 */
export class Cohort {
  traits: CohortTraits;
  // carbon
  quickC = NaN;
  structuralC = NaN;
  woodyC = NaN;
  microbialC = NaN;
  humusC = NaN;
  labileCharC = NaN;
  stableCharC = NaN;
  // nitrogen
  quickN = NaN;
  structuralN = NaN;
  woodyN = NaN;
  microbialN = NaN;
  humusN = NaN;
  labileCharN = NaN;
  stableCharN = NaN;
  ammoniumN = NaN;
  charHeldN = NaN;
  charCapacityN = NaN;
  // minerals
  ashG = NaN;
  // all that came with it
  openingC = NaN;
  openingN = NaN;
  openingStructuralC = NaN;
  /** Humus it arrived with, less what was taken off. */
  openingHumusC = NaN;
  /** Share of fine matter and ash not yet carried into the soil: 1 on the day it is laid, 0 once dug. */
  onTopShare = NaN;
  /** 1 on the day it is laid, falling to 0 as the layer settles. */
  unsettledShare = NaN;
  /** Thickness per gram of carbon and per gram of ash, cm. */
  thicknessCmPerCarbonG = NaN;
  thicknessCmPerAshG = NaN;
  stableCharResidenceDays = NaN;
  // microbes that live on it
  microbialCn = NaN;
  biomassHumified = NaN;
  woodyHumified = NaN;
  // memo counters
  respiredC = NaN;
  humifiedC = NaN;
  drawnFromLayersN = NaN;
  drawnFromContactZoneN = NaN;
  drawnFromRootZoneN = NaN;
  releasedToLayersN = NaN;
  releasedToContactZoneN = NaN;
  releasedToRootZoneN = NaN;
  volatilizedN = NaN;
  peakLockedN = NaN;
  /** How far decay got of what it would with nitrogen enough, 0 to 1, in the last sub-step that it decayed. */
  decayLimit = NaN;
  // place: 0 on the surface, else the depth it was dug to
  dugDepthCm = NaN;
  shareInContactZone = NaN;
  reachInContactZone = NaN;
  reachInRootZone = NaN;
  contactDecay: DecayClass;
  upperDecay: DecayClass;
  // the layer as it lies in the current sub-step
  thicknessCm = NaN;
  contactShare = NaN;
  coverCm = NaN;
  /** Ammonia share of what the two parts set free. */
  contactAmmonia = NaN;
  upperAmmonia = NaN;
  /** It lacks nitrogen in the current sub-step. */
  isNeedy = false;
  /** Mineral nitrogen lying in the layer. */
  readonly layer = new MineralAccount('layers');
  /** The part that touches the soil, or lies dug in the contact zone; and the rest. */
  readonly contact = new DecayPart();
  readonly upper = new DecayPart();

  constructor(traits: CohortTraits, contactDecay: DecayClass, upperDecay: DecayClass) {
    this.traits = traits;
    this.contactDecay = contactDecay;
    this.upperDecay = upperDecay;
  }
}

/** The fields that are numbers: what a copy copies. */
type NumberField = {
  [Name in keyof Cohort]: Cohort[Name] extends number ? Name : never;
}[keyof Cohort];

const SPECIMEN = new Cohort(
  new PlainTraits(),
  new DecayClass(1, 1, 'surface'),
  new DecayClass(1, 1, 'surface'),
);
const NUMBER_FIELDS = Object.entries(SPECIMEN).flatMap(([name, value]) =>
  typeof value === 'number' ? [name as NumberField] : [],
);

/** A cohort with all its numbers at 0, on the surface. */
export function emptyCohort(
  itsTraits: CohortTraits,
  contactDecay: DecayClass,
  upperDecay: DecayClass,
): Cohort {
  const cohort = new Cohort(itsTraits, contactDecay, upperDecay);
  for (const name of NUMBER_FIELDS) cohort[name] = 0;
  cohort.unsettledShare = 1;
  cohort.onTopShare = 1;
  cohort.decayLimit = 1;
  return cohort;
}

/** Makes `target` equal to `source`; its parts carry nothing over. Mutates target. */
export function copyCohort(source: Cohort, target: Cohort): void {
  target.traits = source.traits;
  target.contactDecay = source.contactDecay;
  target.upperDecay = source.upperDecay;
  target.layer.nitrogenG = source.layer.nitrogenG;
  for (const name of NUMBER_FIELDS) target[name] = source[name];
}

/** Fills the pools of an empty cohort with what it arrives with. Mutates cohort. */
export function fillPools(cohort: Cohort, opening: Pick<CohortOpening, 'carbonG' | 'nitrogenG'>): void {
  const { carbonG: c, nitrogenG: n } = opening;
  POOL_NAMES.forEach((name, i) => {
    cohort[`${name}C`] = c[i];
    cohort[`${name}N`] = n[i];
  });
}

/** The seven pools of carbon or nitrogen, in the order of POOL_NAMES. */
export const carbonPools = (cohort: Cohort): number[] => POOL_NAMES.map((name) => cohort[`${name}C`]);
export const nitrogenPools = (cohort: Cohort): number[] => POOL_NAMES.map((name) => cohort[`${name}N`]);

/** Fresh carbon: what still looks like the material that was laid, g/m2. */
export const freshCarbon = (c: Cohort): number => c.quickC + c.structuralC + c.woodyC;

/** Carbon that decomposers work on or are made of, g/m2. */
export const livingCarbon = (c: Cohort): number => freshCarbon(c) + c.microbialC;

export const charCarbon = (c: Cohort): number => c.labileCharC + c.stableCharC;

/** Arrived humus that still lies on top, g C/m2. */
export const humusOnTop = (c: Cohort): number => Math.min(c.humusC, c.openingHumusC * c.onTopShare);

export const isOnSurface = (c: Cohort): boolean => c.dugDepthCm === 0;

/** All nitrogen drawn from mineral accounts, g/m2. */
export const drawnNitrogen = (c: Cohort): number =>
  c.drawnFromLayersN + c.drawnFromContactZoneN + c.drawnFromRootZoneN;

/** All nitrogen given to mineral accounts, g/m2. */
export const releasedNitrogen = (c: Cohort): number =>
  c.releasedToLayersN + c.releasedToContactZoneN + c.releasedToRootZoneN;
