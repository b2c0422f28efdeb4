import type { DayNumber } from '../climate/calendar.ts';
import { CONTACT_ZONE, layerAccount, ROOT_ZONE, type Bed } from './bed.ts';
import {
  carbonPools,
  drawnNitrogen,
  humusOnTop,
  isOnSurface,
  nitrogenPools,
  POOL_NAMES,
  releasedNitrogen,
  type CohortTable,
} from './cohort-table.ts';
import { layerThicknessCm } from './processes/mulch-stack.ts';

export type PoolAmounts = Readonly<Record<(typeof POOL_NAMES)[number], number>>;

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
  readonly takenG: number;
  readonly fixedG: number;
  readonly subsoilG: number;
  readonly shortG: number;
  readonly backlogG: number;
  readonly paleness: number;
  readonly palestSoFar: number;
  readonly paleDays: number;
  readonly firstPaleDay: DayNumber | null;
}

const ORGANIC_MATTER_FROM_CARBON_PCT = 172.4;

/** Soil organic matter a probe under the mulch would show, % of the sampled soil. */
export function organicMatterPct({ state, constants }: Bed): number {
  const { cohorts } = state;
  let humusC = constants.inertC + state.nativeHumusC;
  for (let i = 0; i < cohorts.count; i++) humusC += cohorts.humusC[i] - humusOnTop(cohorts, i);
  return (ORGANIC_MATTER_FROM_CARBON_PCT * humusC) / constants.soilMassGPerM2;
}

/** Height of everything lying on the soil, cm. */
export function mulchHeightCm({ state, constants }: Bed): number {
  const { cohorts } = state;
  let heightCm = 0;
  for (let i = 0; i < cohorts.count; i++) {
    if (isOnSurface(cohorts, i)) {
      heightCm += layerThicknessCm(cohorts, i, constants.parameters.settlingShare);
    }
  }
  return heightCm;
}

/** Mineral nitrogen, g/m2: in all layers, in the contact zone, in the root zone. */
export function mineralNitrogen({ state }: Bed): [layers: number, contactZone: number, rootZone: number] {
  let layers = 0;
  for (let i = 0; i < state.cohorts.count; i++) layers += state.mineralN[layerAccount(i)];
  return [layers, state.mineralN[CONTACT_ZONE], state.mineralN[ROOT_ZONE]];
}

const poolAmounts = (pools: Float64Array[], i: number): PoolAmounts =>
  Object.fromEntries(POOL_NAMES.map((name, k) => [name, pools[k][i]])) as unknown as PoolAmounts;

export function reportCohort({ state, constants }: Bed, i: number): CohortReport {
  const t = state.cohorts;
  const onSurface = isOnSurface(t, i);
  const drawnG = drawnNitrogen(t, i);
  const releasedG = releasedNitrogen(t, i);
  return {
    id: t.ids[i],
    place: onSurface ? 'surface' : 'dug',
    openingCarbonG: t.openingC[i],
    openingNitrogenG: t.openingN[i],
    carbonG: poolAmounts(carbonPools(t), i),
    nitrogenG: poolAmounts(nitrogenPools(t), i),
    ammoniumG: t.ammoniumN[i],
    layerNitrogenG: state.mineralN[layerAccount(i)],
    charHeldG: t.charHeldN[i],
    respiredCarbonG: t.respiredC[i],
    humifiedCarbonG: t.humifiedC[i],
    drawnG,
    drawnByZoneG: [t.drawnFromLayersN[i], t.drawnFromContactZoneN[i], t.drawnFromRootZoneN[i]],
    releasedG,
    lockedG: Math.max(0, drawnG - releasedG),
    volatilizedG: t.volatilizedN[i],
    decayLimit: t.decayLimit[i],
    thicknessCm: onSurface ? layerThicknessCm(t, i, constants.parameters.settlingShare) : 0,
    peakLockedG: t.peakLockedN[i],
  };
}

export function reportCrop({ state: { crops } }: Bed, k: number): CropReport {
  const firstPaleDay = crops.firstPaleDay[k];
  return {
    id: crops.ids[k],
    demandedG: crops.demandedN[k],
    takenG: crops.takenN[k],
    fixedG: crops.fixedN[k],
    subsoilG: crops.subsoilN[k],
    shortG: crops.shortN[k],
    backlogG: crops.backlogN[k],
    paleness: crops.paleness[k],
    palestSoFar: crops.palestSoFar[k],
    paleDays: crops.paleDays[k],
    firstPaleDay: firstPaleDay === 0 ? null : firstPaleDay,
  };
}

/**
 * Nitrogen drawn out of each place that decomposers still hold, g/m2: in layers, contact zone, root zone. Per
 * cohort it is what was drawn there less what was given back there, never more than its microbes contain:
 * nitrogen that has become humus is kept, but no longer held back from plants.
 */
export function heldNitrogen({ state }: Bed): [layers: number, contactZone: number, rootZone: number] {
  const held: [number, number, number] = [0, 0, 0];
  for (let i = 0; i < state.cohorts.count; i++) {
    const [layers, contact, root] = heldByCohort(state.cohorts, i);
    held[0] += layers;
    held[1] += contact;
    held[2] += root;
  }
  return held;
}

/** The same of one cohort. */
export function heldByCohort(
  t: CohortTable,
  i: number,
): [layers: number, contactZone: number, rootZone: number] {
  const layers = Math.max(0, t.drawnFromLayersN[i] - t.releasedToLayersN[i]);
  const contact = Math.max(0, t.drawnFromContactZoneN[i] - t.releasedToContactZoneN[i]);
  const root = Math.max(0, t.drawnFromRootZoneN[i] - t.releasedToRootZoneN[i]);
  const total = layers + contact + root;
  if (total === 0) return [0, 0, 0];
  const share = Math.min(1, t.microbialN[i] / total);
  return [layers * share, contact * share, root * share];
}
