import type { DayNumber } from '../../ground/index.ts';
import type { Bed, BedState } from './bed.ts';
import { charCarbon, humusOnTop, isOnSurface, livingCarbon, POOL_NAMES, type Cohort } from './cohort.ts';

/** Which cohorts are old enough, and which must stay because something will still be done to them. */
export interface Folding {
  /** Cohorts opened on or after this day stay as they are. */
  readonly openedBefore: DayNumber;
  readonly openedOn: (cohortId: string) => DayNumber | undefined;
  readonly isNamedLater: (cohortId: string) => boolean;
}

/**
 * Lays old cohorts of the same make and place together, so that a run of decades does not carry one for everything
 * that was ever laid. Pools, memo counters and layer nitrogen are added up, so the books do not move; what is a
 * property (biomass C:N, looseness, residence of char) becomes the mean by mass. Mutates bed.state.
 */
export function foldCohorts(bed: Bed, folding: Folding): void {
  const { state } = bed;
  const { cohorts } = state;
  postTraces(state);
  const isOld = ({ traits }: Cohort): boolean => {
    const opened = folding.openedOn(traits.id);
    return opened !== undefined && opened < folding.openedBefore && !folding.isNamedLater(traits.id);
  };
  for (let from = cohorts.length - 1; from > 0; from--) {
    const one = cohorts[from];
    if (!isOld(one)) continue;
    const into = cohorts.slice(0, from).find((other) => isOld(other) && areAlike(other, one));
    if (into === undefined) continue;
    merge(into, one);
    cohorts.splice(from, 1);
  }
}

/** Less than this lies in a layer for the day's arithmetic alone, g N/m2. */
const TRACE_G = 1e-9;

/** Traces of ammonium and nitrate that rain would go on washing out of old layers for ever go down at once, posted. */
function postTraces({ cohorts, contactZone, postings }: BedState): void {
  for (const cohort of cohorts) {
    const { ammoniumN, layer } = cohort;
    if (ammoniumN > 0 && ammoniumN < TRACE_G) {
      contactZone.nitrogenG += ammoniumN;
      postings.ammoniumToContactZone += ammoniumN;
      cohort.ammoniumN = 0;
    }
    if (layer.nitrogenG > 0 && layer.nitrogenG < TRACE_G) {
      contactZone.nitrogenG += layer.nitrogenG;
      postings.layersToContactZone += layer.nitrogenG;
      layer.nitrogenG = 0;
    }
  }
}

/** Remains that are too little to keep apart, whatever they came from: this much fresh carbon and no char, g/m2. */
const SPENT_CARBON_G = 0.1;
const isSpent = (cohort: Cohort): boolean =>
  !isOnSurface(cohort) && livingCarbon(cohort) < SPENT_CARBON_G && charCarbon(cohort) === 0;

const areAlike = (a: Cohort, b: Cohort): boolean =>
  (isSpent(a) && isSpent(b) && a.dugDepthCm === b.dugDepthCm) ||
  (a.traits.kind === b.traits.kind &&
    a.traits.decayRateFactor === b.traits.decayRateFactor &&
    a.traits.sievedShare === b.traits.sievedShare &&
    a.traits.humificationFactor === b.traits.humificationFactor &&
    a.traits.vaporBarrier === b.traits.vaporBarrier &&
    a.contactDecay === b.contactDecay &&
    a.upperDecay === b.upperDecay &&
    a.dugDepthCm === b.dugDepthCm);

/** Number fields that are amounts. */
const AMOUNTS = [
  ...POOL_NAMES.flatMap((name) => [`${name}C`, `${name}N`] as const),
  'ammoniumN',
  'charHeldN',
  'charCapacityN',
  'ashG',
  'openingC',
  'openingN',
  'openingStructuralC',
  'respiredC',
  'humifiedC',
  'drawnFromLayersN',
  'drawnFromContactZoneN',
  'drawnFromRootZoneN',
  'releasedToLayersN',
  'releasedToContactZoneN',
  'releasedToRootZoneN',
  'volatilizedN',
] as const;

type MeanField =
  | 'thicknessCmPerAshG'
  | 'unsettledShare'
  | 'stableCharResidenceDays'
  | 'microbialCn'
  | 'onTopShare';

/** Carbon that makes a layer thick, g/m2: what has turned into soil no longer does. */
const looseCarbon = (one: Cohort): number =>
  (livingCarbon(one) + charCarbon(one)) * (one.traits.countsAsSoil ? one.onTopShare : 1) + humusOnTop(one);

const looseAsh = (one: Cohort): number => one.ashG * one.onTopShare;

/** Height of a layer that has not settled, cm. */
const looseCm = (one: Cohort): number =>
  looseCarbon(one) * one.thicknessCmPerCarbonG + looseAsh(one) * one.thicknessCmPerAshG;

function merge(into: Cohort, from: Cohort): void {
  const carbonCm =
    looseCarbon(into) * into.thicknessCmPerCarbonG + looseCarbon(from) * from.thicknessCmPerCarbonG;
  // What is left on top of the humus that arrived adds up, whatever share of it that is.
  const onTopC = humusOnTop(into) + humusOnTop(from);
  setMean('unsettledShare', into, from, looseCm);
  setMean('thicknessCmPerAshG', into, from, looseAsh);
  setMean('stableCharResidenceDays', into, from, charCarbon);
  setMean('microbialCn', into, from, (one) => one.microbialC);
  setMean('onTopShare', into, from, (one) => one.ashG);
  into.openingHumusC = into.onTopShare > 0 ? onTopC / into.onTopShare : 0;
  for (const name of AMOUNTS) into[name] += from[name];
  into.peakLockedN = Math.max(into.peakLockedN, from.peakLockedN);
  into.layer.nitrogenG += from.layer.nitrogenG;
  const carbonG = looseCarbon(into);
  if (carbonG > 0) into.thicknessCmPerCarbonG = carbonCm / carbonG;
}

function setMean(field: MeanField, into: Cohort, from: Cohort, weigh: (cohort: Cohort) => number): void {
  const [a, b] = [weigh(into), weigh(from)];
  if (a + b > 0) into[field] = (into[field] * a + from[field] * b) / (a + b);
}
