import { type DayNumber, total } from '../../ground/index.ts';
import type { Bed } from './bed.ts';
import {
  drawnNitrogen,
  isOnSurface,
  POOL_NAMES,
  releasedNitrogen,
  type Cohort,
  type PoolName,
} from './cohort.ts';
import type { Crop } from './crop.ts';
import { layerThicknessCm } from './processes/mulch-stack.ts';

export type PoolAmounts = Readonly<Record<PoolName, number>>;

/** One cohort as it stands, g/m2. */
export interface CohortReport {
  readonly id: string;
  readonly place: 'surface' | 'dug';
  /** All that came with it. */
  readonly openingCarbonG: number;
  readonly openingNitrogenG: number;
  readonly carbonG: PoolAmounts;
  readonly nitrogenG: PoolAmounts;
  readonly ammoniumG: number;
  readonly layerNitrogenG: number;
  readonly ashG: number;
  readonly charHeldG: number;
  readonly respiredCarbonG: number;
  readonly humifiedCarbonG: number;
  readonly drawnG: number;
  readonly drawnByZoneG: readonly [layers: number, contactZone: number, rootZone: number];
  readonly releasedG: number;
  readonly lockedG: number;
  readonly volatilizedG: number;
  readonly decayLimit: number;
  readonly thicknessCm: number;
  readonly peakLockedG: number;
}

/** One crop as it stands, g/m2. */
export interface CropReport {
  readonly id: string;
  readonly demandedG: number;
  /** Taken from soil, what lies below the bed included. */
  readonly takenG: number;
  /** Gained less what its roots keep or gave back: what a trial finds in the tops. */
  readonly inCropG: number;
  readonly fixedG: number;
  readonly subsoilG: number;
  readonly shortG: number;
  readonly backlogG: number;
  readonly paleness: number;
  readonly palestSoFar: number;
  readonly paleDays: number;
  readonly firstPaleDay: DayNumber | null;
  /** Carbon its roots have given to the soil. */
  readonly rootCarbonG: number;
}

/** Height of everything lying on the soil, cm. */
export function mulchHeightCm({ state, constants }: Bed): number {
  let heightCm = 0;
  for (const cohort of state.cohorts) {
    if (isOnSurface(cohort)) heightCm += layerThicknessCm(cohort, constants.parameters.settlingShare);
  }
  return heightCm;
}

/** Mineral nitrogen, g/m2. */
export interface MineralNitrogenReport {
  readonly layersG: number;
  readonly contactZoneG: number;
  readonly rootZoneG: number;
  readonly upperSubsoilG: number;
  readonly lowerSubsoilG: number;
}

export const mineralNitrogen = ({ state }: Bed): MineralNitrogenReport => ({
  layersG: total(state.cohorts.map(({ layer }) => layer.nitrogenG)),
  contactZoneG: state.contactZone.nitrogenG,
  rootZoneG: state.rootZone.nitrogenG,
  upperSubsoilG: state.upperSubsoilN,
  lowerSubsoilG: state.lowerSubsoilN,
});

const poolAmounts = (cohort: Cohort, element: 'C' | 'N'): PoolAmounts =>
  Object.fromEntries(POOL_NAMES.map((name) => [name, cohort[`${name}${element}`]])) as unknown as PoolAmounts;

export function reportCohort({ constants }: Bed, cohort: Cohort): CohortReport {
  const onSurface = isOnSurface(cohort);
  const drawnG = drawnNitrogen(cohort);
  const releasedG = releasedNitrogen(cohort);
  return {
    id: cohort.traits.id,
    place: onSurface ? 'surface' : 'dug',
    openingCarbonG: cohort.openingC,
    openingNitrogenG: cohort.openingN,
    carbonG: poolAmounts(cohort, 'C'),
    nitrogenG: poolAmounts(cohort, 'N'),
    ammoniumG: cohort.ammoniumN,
    layerNitrogenG: cohort.layer.nitrogenG,
    ashG: cohort.ashG,
    charHeldG: cohort.charHeldN,
    respiredCarbonG: cohort.respiredC,
    humifiedCarbonG: cohort.humifiedC,
    drawnG,
    drawnByZoneG: [cohort.drawnFromLayersN, cohort.drawnFromContactZoneN, cohort.drawnFromRootZoneN],
    releasedG,
    lockedG: Math.max(0, drawnG - releasedG),
    volatilizedG: cohort.volatilizedN,
    decayLimit: cohort.decayLimit,
    thicknessCm: onSurface ? layerThicknessCm(cohort, constants.parameters.settlingShare) : 0,
    peakLockedG: cohort.peakLockedN,
  };
}

export const reportCrop = (crop: Crop): CropReport => ({
  id: crop.plan.id,
  demandedG: crop.demandedN,
  takenG: crop.takenN,
  inCropG: crop.inCropN,
  fixedG: crop.fixedN,
  subsoilG: crop.subsoilN,
  shortG: crop.shortN,
  backlogG: crop.backlogN,
  paleness: crop.paleness,
  palestSoFar: crop.palestSoFar,
  paleDays: crop.paleDays,
  firstPaleDay: crop.firstPaleDay,
  rootCarbonG: crop.rootGivenC,
});

/**
 * Nitrogen drawn out of each place that decomposers still hold, g/m2: in layers, contact zone, root zone. Per
 * cohort it is what was drawn there less what was given back there, never more than its microbes contain:
 * nitrogen that has become humus is kept, but no longer held back from plants. What lives on root litter is left out:
 * crops pay for that on any bed.
 */
export function heldNitrogen({ state }: Bed): [layers: number, contactZone: number, rootZone: number] {
  const held: [number, number, number] = [0, 0, 0];
  for (const cohort of state.cohorts) {
    const [layers, contact, root] = heldByCohort(cohort);
    held[0] += layers;
    held[1] += contact;
    held[2] += root;
  }
  return held;
}

/** The same of one cohort. */
export function heldByCohort(c: Cohort): [layers: number, contactZone: number, rootZone: number] {
  const layers = Math.max(0, c.drawnFromLayersN - c.releasedToLayersN);
  const contact = Math.max(0, c.drawnFromContactZoneN - c.releasedToContactZoneN);
  const root = Math.max(0, c.drawnFromRootZoneN - c.releasedToRootZoneN);
  const sum = layers + contact + root;
  if (sum === 0) return [0, 0, 0];
  const share = Math.min(1, c.microbialN / sum);
  return [layers * share, contact * share, root * share];
}
