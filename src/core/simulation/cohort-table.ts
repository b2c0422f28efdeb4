import type { MaterialKind } from '../materials/material.ts';

/** Pools of carbon and nitrogen of a cohort, in the order their columns are stored. */
export const POOL_NAMES = [
  'quick',
  'structural',
  'woody',
  'microbial',
  'humus',
  'labileChar',
  'stableChar',
] as const;

const COLUMN_COUNT = 50;

/**
 * The columns, written out as one literal: engines keep such an object's fields in fixed places, and the
 * hot loop reads hardly anything else.
 */
function createColumns(column: () => Float64Array) {
  return {
    // carbon, g/m2
    quickC: column(),
    structuralC: column(),
    woodyC: column(),
    microbialC: column(),
    humusC: column(),
    labileCharC: column(),
    stableCharC: column(),
    // nitrogen, g/m2
    quickN: column(),
    structuralN: column(),
    woodyN: column(),
    microbialN: column(),
    humusN: column(),
    labileCharN: column(),
    stableCharN: column(),
    ammoniumN: column(),
    charHeldN: column(),
    charCapacityN: column(),
    // what is left of the humus that arrived, were it only sinking into the soil; 0 once dug
    unmixedHumusC: column(),
    openingStructuralC: column(),
    // all that came with it, g/m2
    openingC: column(),
    openingN: column(),
    // 1 on the day it is laid, falling to 0 as the layer settles
    unsettledShare: column(),
    // memo counters, g/m2
    respiredC: column(),
    humifiedC: column(),
    drawnFromLayersN: column(),
    drawnFromContactZoneN: column(),
    drawnFromRootZoneN: column(),
    releasedToLayersN: column(),
    releasedToContactZoneN: column(),
    releasedToRootZoneN: column(),
    volatilizedN: column(),
    peakLockedN: column(),
    decayLimit: column(),
    // the layer as it lies in the current sub-step
    thicknessCm: column(),
    contactShare: column(),
    coverCm: column(),
    // properties that do not change
    decayRateFactor: column(),
    microbialCn: column(),
    thicknessCmPerG: column(),
    ammoniaExposure: column(),
    vaporBarrier: column(),
    // 1 for finished compost: roots live in it, and it draws on nothing
    countsAsSoil: column(),
    // 1 where fungal threads lift no more than a capped flux out of the soil
    isLiftCapped: column(),
    stableCharResidenceDays: column(),
    // place: 0 on the surface, else the depth it was dug to
    dugDepthCm: column(),
    shareInContactZone: column(),
    reachInContactZone: column(),
    reachInRootZone: column(),
    // index into the decay classes, one per part
    upperClass: column(),
    contactClass: column(),
  };
}

/** All cohorts of a bed, one array per column, over one buffer so that a copy is one move. */
export interface CohortTable extends Readonly<ReturnType<typeof createColumns>> {
  count: number;
  readonly values: Float64Array;
  readonly ids: string[];
  readonly kinds: MaterialKind[];
}

export function createCohortTable(capacity: number): CohortTable {
  const values = new Float64Array(capacity * COLUMN_COUNT);
  let next = 0;
  const column = () => values.subarray(next, (next += capacity));
  const columns = createColumns(column);
  return Object.assign(columns, { count: 0, values, ids: [], kinds: [] });
}

/** Makes `target` equal to `source`; both have the same capacity. Mutates target. */
export function copyCohorts(source: CohortTable, target: CohortTable): void {
  target.values.set(source.values);
  target.count = source.count;
  target.ids.length = 0;
  target.ids.push(...source.ids);
  target.kinds.length = 0;
  target.kinds.push(...source.kinds);
}

/** The fourteen pool columns of a table: carbon first, nitrogen second, in the order of POOL_NAMES. */
export const carbonPools = (t: CohortTable) => [
  t.quickC,
  t.structuralC,
  t.woodyC,
  t.microbialC,
  t.humusC,
  t.labileCharC,
  t.stableCharC,
];

export const nitrogenPools = (t: CohortTable) => [
  t.quickN,
  t.structuralN,
  t.woodyN,
  t.microbialN,
  t.humusN,
  t.labileCharN,
  t.stableCharN,
];

/** Fresh carbon: what still looks like the material that was laid, g/m2. */
export const freshCarbon = (t: CohortTable, i: number): number =>
  t.quickC[i] + t.structuralC[i] + t.woodyC[i];

/** Carbon that decomposers work on or are made of, g/m2. */
export const livingCarbon = (t: CohortTable, i: number): number => freshCarbon(t, i) + t.microbialC[i];

/** Arrived humus that still lies on top, g C/m2. */
export const humusOnTop = (t: CohortTable, i: number): number => Math.min(t.humusC[i], t.unmixedHumusC[i]);

export const isOnSurface = (t: CohortTable, i: number): boolean => t.dugDepthCm[i] === 0;

/** All nitrogen drawn from mineral accounts, g/m2. */
export const drawnNitrogen = (t: CohortTable, i: number): number =>
  t.drawnFromLayersN[i] + t.drawnFromContactZoneN[i] + t.drawnFromRootZoneN[i];

/** All nitrogen given to mineral accounts, g/m2. */
export const releasedNitrogen = (t: CohortTable, i: number): number =>
  t.releasedToLayersN[i] + t.releasedToContactZoneN[i] + t.releasedToRootZoneN[i];
