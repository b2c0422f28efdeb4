import { clamp } from '../numerics/interpolation.ts';
import { total } from '../numerics/total.ts';
import { FLOW } from '../ledger/flows.ts';
import type { Exposure, MaterialKind } from '../materials/material.ts';
import { CONTACT_ZONE, layerAccount, ROOT_ZONE, type Bed } from './bed.ts';
import { stableCharResidenceDays, thicknessCmPerGramCarbon, type CohortOpening } from './cohort-opening.ts';
import { carbonPools, nitrogenPools } from './cohort-table.ts';
import { decayClassFor } from './decay-classes.ts';
import { CONTACT_ZONE_CM } from './scenario.ts';

/** Where the nitrogen of a cohort comes from: bought or brought, or grown on the bed itself. */
export type CohortOrigin = 'materials' | 'crops';

const LAID: Record<'fresh' | 'microbes' | 'humus' | 'char' | 'ammonium', number> = {
  fresh: FLOW.nitrogenLaidAsFresh,
  microbes: FLOW.nitrogenLaidAsMicrobes,
  humus: FLOW.nitrogenLaidAsHumus,
  char: FLOW.nitrogenLaidAsChar,
  ammonium: FLOW.nitrogenLaidAsAmmonium,
};

const RESIDUE: typeof LAID = {
  fresh: FLOW.residueNitrogenToFresh,
  microbes: FLOW.residueNitrogenToMicrobes,
  humus: FLOW.residueNitrogenToHumus,
  char: FLOW.residueNitrogenToChar,
  ammonium: FLOW.residueNitrogenToAmmonium,
};

/** Posts the opening balances of a cohort. Mutates flows. */
export function postOpening(flows: Float64Array, opening: CohortOpening, origin: CohortOrigin): void {
  const { carbonG: c, nitrogenG: n } = opening;
  const nitrogenFlow = origin === 'materials' ? LAID : RESIDUE;
  flows[FLOW.carbonLaidAsFresh] += total(c.slice(0, 3));
  flows[FLOW.carbonLaidAsMicrobes] += c[3];
  flows[FLOW.carbonLaidAsHumus] += c[4];
  flows[FLOW.carbonLaidAsChar] += total(c.slice(5));
  flows[nitrogenFlow.fresh] += total(n.slice(0, 3));
  flows[nitrogenFlow.microbes] += n[3];
  flows[nitrogenFlow.humus] += n[4];
  flows[nitrogenFlow.char] += total(n.slice(5)) + opening.charHeldG;
  flows[nitrogenFlow.ammonium] += opening.ammoniumG;
}

/** Compost and manure hold water better than chips: "normal" counts as damp for them. */
const effectiveExposure = (kind: MaterialKind, exposure: Exposure): Exposure =>
  exposure === 'normal' && (kind === 'compost' || kind === 'manure') ? 'damp' : exposure;

/** Kinds that touch the soil with pieces and threads, not by lying in it. */
const LIFT_CAPPED: ReadonlySet<MaterialKind> = new Set(['wood', 'residue', 'leaf', 'paper']);

/** Opens a cohort on the surface and returns its index. Mutates bed.state. */
export function openCohort(
  bed: Bed,
  opening: CohortOpening,
  placing: { id?: string; exposure: Exposure; isOnPath: boolean; origin: CohortOrigin },
): number {
  const { cohorts, flows } = bed.state;
  const { parameters: p } = bed.constants;
  const i = cohorts.count++;
  cohorts.ids[i] = placing.id ?? `c${i + 1}`;
  cohorts.kinds[i] = opening.kind;
  carbonPools(cohorts).forEach((pool, k) => (pool[i] = opening.carbonG[k]!));
  nitrogenPools(cohorts).forEach((pool, k) => (pool[i] = opening.nitrogenG[k]!));
  cohorts.ammoniumN[i] = opening.ammoniumG;
  cohorts.charHeldN[i] = opening.charHeldG;
  cohorts.charCapacityN[i] = opening.charCapacityG;
  cohorts.unmixedHumusC[i] = opening.carbonG[4]!;
  cohorts.openingStructuralC[i] = opening.carbonG[1]!;
  cohorts.openingC[i] = total(opening.carbonG);
  cohorts.openingN[i] = total(opening.nitrogenG) + opening.ammoniumG + opening.charHeldG;
  cohorts.unsettledShare[i] = 1;
  cohorts.decayLimit[i] = 1;
  cohorts.decayRateFactor[i] = opening.decayRateFactor;
  cohorts.microbialCn[i] = opening.microbialCn;
  cohorts.thicknessCmPerG[i] = thicknessCmPerGramCarbon(opening);
  cohorts.ammoniaExposure[i] = opening.ammoniaExposure;
  cohorts.vaporBarrier[i] = opening.vaporBarrier;
  cohorts.countsAsSoil[i] = opening.kind === 'compost' ? 1 : 0;
  cohorts.isLiftCapped[i] = LIFT_CAPPED.has(opening.kind) ? 1 : 0;
  cohorts.stableCharResidenceDays[i] = stableCharResidenceDays(opening.charTemperature, p);

  const exposure = effectiveExposure(opening.kind, placing.exposure);
  const path = placing.isOnPath ? p.compactedPathFactor : 1;
  const rate = opening.decayRateFactor;
  cohorts.contactClass[i] = decayClassFor(bed.classes, rate, 0, p.contactExposure[exposure] * path);
  cohorts.upperClass[i] = decayClassFor(bed.classes, rate, 0, p.upperExposure[exposure] * path);
  postOpening(flows, opening, placing.origin);
  return i;
}

/** Moves a cohort from the surface into the soil. The depth ends at the root zone. Mutates bed.state. */
export function digCohort(bed: Bed, i: number, depthCm: number): void {
  const { cohorts, mineralN, flows } = bed.state;
  const { rootZoneCm } = bed.constants;
  const depth = Math.min(depthCm, rootZoneCm);
  const inContact = Math.min(1, CONTACT_ZONE_CM / depth);
  cohorts.dugDepthCm[i] = depth;
  cohorts.shareInContactZone[i] = inContact;
  cohorts.reachInContactZone[i] = Math.min(1, depth / CONTACT_ZONE_CM);
  cohorts.reachInRootZone[i] = clamp((depth - CONTACT_ZONE_CM) / (rootZoneCm - CONTACT_ZONE_CM), 0, 1);
  cohorts.unmixedHumusC[i] = 0;
  cohorts.contactClass[i] = decayClassFor(bed.classes, cohorts.decayRateFactor[i], 0, 1);
  cohorts.upperClass[i] = decayClassFor(bed.classes, cohorts.decayRateFactor[i], 1, 1);

  const ammonium = cohorts.ammoniumN[i];
  const layer = mineralN[layerAccount(i)];
  const toContact = inContact;
  const toRoot = 1 - inContact;
  cohorts.ammoniumN[i] = 0;
  mineralN[layerAccount(i)] = 0;
  mineralN[CONTACT_ZONE] += (ammonium + layer) * toContact;
  mineralN[ROOT_ZONE] += (ammonium + layer) * toRoot;
  cohorts.releasedToContactZoneN[i] += ammonium * toContact;
  cohorts.releasedToRootZoneN[i] += ammonium * toRoot;
  flows[FLOW.ammoniumToContactZone] += ammonium * toContact;
  flows[FLOW.ammoniumToRootZone] += ammonium * toRoot;
  flows[FLOW.layersToContactZone] += layer * toContact;
  flows[FLOW.layersToRootZone] += layer * toRoot;
}

const CARBON_TAKEN_OFF = [
  FLOW.freshCarbonTakenOff,
  FLOW.freshCarbonTakenOff,
  FLOW.freshCarbonTakenOff,
  FLOW.microbialCarbonTakenOff,
  FLOW.humusCarbonTakenOff,
  FLOW.charCarbonTakenOff,
  FLOW.charCarbonTakenOff,
];

const NITROGEN_TAKEN_OFF = [
  FLOW.freshNitrogenTakenOff,
  FLOW.freshNitrogenTakenOff,
  FLOW.freshNitrogenTakenOff,
  FLOW.microbialNitrogenTakenOff,
  FLOW.humusNitrogenTakenOff,
  FLOW.charNitrogenTakenOff,
  FLOW.charNitrogenTakenOff,
];

/**
 * Takes off a share of a cohort; of its humus what still lies on top, and as much of the rest as `sunkHumusShare`
 * says. Mutates bed.state.
 */
export function takeOffCohort(bed: Bed, i: number, share: number, sunkHumusShare = 0): void {
  const { cohorts, mineralN, flows } = bed.state;
  const carbon = carbonPools(cohorts);
  const nitrogen = nitrogenPools(cohorts);
  const humusC = cohorts.humusC[i];
  const humusOnTop = Math.min(humusC, cohorts.unmixedHumusC[i]);
  const sunk = Math.max(0, humusC - humusOnTop);
  const humusShare = humusC > 0 ? (share * humusOnTop + sunkHumusShare * sunk) / humusC : 0;
  carbon.forEach((pool, k) => {
    const taken = pool[i] * (pool === cohorts.humusC ? humusShare : share);
    pool[i] -= taken;
    flows[CARBON_TAKEN_OFF[k]] += taken;
  });
  nitrogen.forEach((pool, k) => {
    const taken = pool[i] * (pool === cohorts.humusN ? humusShare : share);
    pool[i] -= taken;
    flows[NITROGEN_TAKEN_OFF[k]] += taken;
  });
  const ammonium = cohorts.ammoniumN[i] * share;
  const held = cohorts.charHeldN[i] * share;
  const layer = mineralN[layerAccount(i)] * share;
  cohorts.ammoniumN[i] -= ammonium;
  cohorts.charHeldN[i] -= held;
  mineralN[layerAccount(i)] -= layer;
  flows[FLOW.ammoniumTakenOff] += ammonium;
  flows[FLOW.charNitrogenTakenOff] += held;
  flows[FLOW.layersTakenOff] += layer;
  cohorts.charCapacityN[i] *= 1 - share;
  cohorts.unmixedHumusC[i] *= 1 - share;
}

/** A liquid left on the surface soaks in at once, into the topmost layer beneath it or the soil. Mutates bed.state. */
export function soakIn(bed: Bed, i: number): void {
  const { cohorts, mineralN, flows } = bed.state;
  let beneath = i - 1;
  while (beneath >= 0 && cohorts.dugDepthCm[beneath] !== 0) beneath -= 1;
  const intoSoil = beneath < 0 || cohorts.countsAsSoil[beneath] === 1;
  const soaked = cohorts.ammoniumN[i] * bed.constants.parameters.liquidSoakShare;
  cohorts.ammoniumN[i] -= soaked;
  mineralN[intoSoil ? CONTACT_ZONE : layerAccount(beneath)] += soaked;
  if (intoSoil) {
    cohorts.releasedToContactZoneN[i] += soaked;
    flows[FLOW.ammoniumToContactZone] += soaked;
  } else {
    cohorts.releasedToLayersN[i] += soaked;
    flows[FLOW.ammoniumToLayers] += soaked;
  }
}
