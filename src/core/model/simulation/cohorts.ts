import type { Exposure } from '../../../records/vocabulary.ts';
import { type MaterialKind, clamp, total } from '../../ground/index.ts';
import type { Postings } from '../ledger/postings.ts';
import type { Bed } from './bed.ts';
import {
  ammoniaProneShare,
  stableCharResidenceDays,
  thicknessPerGram,
  type CohortOpening,
} from './cohort-opening.ts';
import {
  emptyCohort,
  fillPools,
  humusOnTop,
  isOnSurface,
  POOL_NAMES,
  traits,
  type Cohort,
} from './cohort.ts';
import { decayClassFor } from './decay-classes.ts';
import { addToContactZone, addToRootZone } from './soil-zones.ts';
import { CONTACT_ZONE_CM } from './scenario.ts';

/** Where the nitrogen of a cohort comes from: bought or brought, or grown on the bed itself. */
export type CohortOrigin = 'materials' | 'crops';

/** Posts the opening balances of a cohort. Mutates postings. */
export function postOpening(postings: Postings, opening: CohortOpening, origin: CohortOrigin): void {
  const { carbonG: c, nitrogenG: n } = opening;
  postings.carbonLaidAsFresh += total(c.slice(0, 3));
  postings.carbonLaidAsMicrobes += c[3];
  postings.carbonLaidAsHumus += c[4];
  postings.carbonLaidAsChar += total(c.slice(5));
  postings.ashLaid += opening.ashG;
  const fresh = total(n.slice(0, 3));
  const char = total(n.slice(5)) + opening.charHeldG;
  if (origin === 'materials') {
    postings.nitrogenLaidAsFresh += fresh;
    postings.nitrogenLaidAsMicrobes += n[3];
    postings.nitrogenLaidAsHumus += n[4];
    postings.nitrogenLaidAsChar += char;
    postings.nitrogenLaidAsAmmonium += opening.ammoniumG;
  } else {
    postings.residueNitrogenToFresh += fresh;
    postings.residueNitrogenToMicrobes += n[3];
    postings.residueNitrogenToHumus += n[4];
    postings.residueNitrogenToChar += char;
    postings.residueNitrogenToAmmonium += opening.ammoniumG;
  }
}

/** Compost and manure hold water better than chips: "normal" counts as damp for them. */
const effectiveExposure = (kind: MaterialKind, exposure: Exposure): Exposure =>
  exposure === 'normal' && (kind === 'compost' || kind === 'manure') ? 'damp' : exposure;

/** Kinds that touch the soil with pieces and threads, not by lying in it. */
const LIFT_CAPPED: ReadonlySet<MaterialKind> = new Set(['wood', 'residue', 'leaf', 'paper']);

interface Placing {
  readonly id?: string;
  readonly exposure: Exposure;
  readonly isOnPath: boolean;
  readonly origin: CohortOrigin;
}

/** Opens a cohort on the surface and returns it. Mutates bed.state. */
export function openCohort(bed: Bed, opening: CohortOpening, placing: Placing): Cohort {
  const { state, classes, constants } = bed;
  const p = constants.parameters;
  const exposure = effectiveExposure(opening.kind, placing.exposure);
  const path = placing.isOnPath ? p.compactedPathFactor : 1;
  const rate = opening.decayRateFactor;
  const cohort = emptyCohort(
    traits({
      id: placing.id ?? `c${state.cohorts.length + 1}`,
      kind: opening.kind,
      decayRateFactor: rate,
      sievedShare: opening.sievedShare,
      humificationFactor: opening.humificationFactor,
      ammoniaExposure: opening.ammoniaExposure,
      ammoniaProneShare: ammoniaProneShare(opening, p),
      vaporBarrier: opening.vaporBarrier,
      countsAsSoil: opening.kind === 'compost',
      isLiftCapped: LIFT_CAPPED.has(opening.kind),
    }),
    decayClassFor(classes, rate, p.contactExposure[exposure] * path, 'contactZone'),
    decayClassFor(classes, rate, p.upperExposure[exposure] * path, 'surface'),
  );
  fillPools(cohort, opening);
  cohort.ammoniumN = opening.ammoniumG;
  cohort.charHeldN = opening.charHeldG;
  cohort.charCapacityN = opening.charCapacityG;
  cohort.ashG = opening.ashG;
  cohort.openingC = total(opening.carbonG);
  cohort.openingN = total(opening.nitrogenG) + opening.ammoniumG + opening.nitrateG + opening.charHeldG;
  cohort.openingStructuralC = cohort.structuralC;
  cohort.openingHumusC = cohort.humusC;
  const { carbonCm, ashCm } = thicknessPerGram(opening, p);
  cohort.thicknessCmPerCarbonG = carbonCm;
  cohort.thicknessCmPerAshG = ashCm;
  cohort.stableCharResidenceDays = stableCharResidenceDays(opening.charTemperature, p);
  cohort.microbialCn = opening.microbialCn;
  setHumification(bed, cohort);
  state.cohorts.push(cohort);
  if (opening.nitrateG > 0) layNitrate(bed, cohort, opening.nitrateG);
  postOpening(state.postings, opening, placing.origin);
  return cohort;
}

/** Nitrate that comes along lies in the layer; that of finished compost lies where its roots are. Mutates bed.state. */
function layNitrate({ state }: Bed, cohort: Cohort, nitrateG: number): void {
  if (cohort.traits.countsAsSoil) {
    addToContactZone(state, nitrateG, 0);
    state.postings.nitrateLaidInContactZone += nitrateG;
  } else {
    cohort.layer.nitrogenG += nitrateG;
    state.postings.nitrateLaidInLayers += nitrateG;
  }
}

/** How much of what decays on a cohort becomes humus. Mutates cohort. */
export function setHumification({ constants }: Bed, cohort: Cohort): void {
  const p = constants.parameters;
  const factor = constants.clayFactor * cohort.traits.humificationFactor;
  cohort.biomassHumified = Math.min(p.largestHumifiedShare, p.biomassHumifiedShare * factor);
  cohort.woodyHumified = p.woodyHumifiedShare * factor;
}

/** Lays a cohort in the soil down to `depthCm`, or to the depth of the bed. Mutates cohort. */
export function placeInSoil(bed: Bed, cohort: Cohort, depthCm: number): void {
  const { rootZoneCm } = bed.constants;
  const depth = Math.min(depthCm, rootZoneCm);
  const rate = cohort.traits.decayRateFactor;
  cohort.dugDepthCm = depth;
  cohort.shareInContactZone = Math.min(1, CONTACT_ZONE_CM / depth);
  cohort.reachInContactZone = Math.min(1, depth / CONTACT_ZONE_CM);
  cohort.reachInRootZone = clamp((depth - CONTACT_ZONE_CM) / (rootZoneCm - CONTACT_ZONE_CM), 0, 1);
  cohort.onTopShare = 0;
  cohort.contactDecay = decayClassFor(bed.classes, rate, 1, 'contactZone');
  cohort.upperDecay = decayClassFor(bed.classes, rate, 1, 'rootZone');
}

/** Moves a cohort from the surface into the soil. Mutates bed.state. */
export function digCohort(bed: Bed, cohort: Cohort, depthCm: number): void {
  const { state } = bed;
  const { postings } = state;
  placeInSoil(bed, cohort, depthCm);
  const toContact = cohort.shareInContactZone;
  const toRoot = 1 - toContact;
  const ammonium = cohort.ammoniumN;
  const layer = cohort.layer.nitrogenG;
  cohort.ammoniumN = 0;
  cohort.layer.nitrogenG = 0;
  addToContactZone(state, ammonium * toContact, 1);
  addToRootZone(state, ammonium * toRoot, 1);
  addToContactZone(state, layer * toContact, LAYER_AMMONIUM_SHARE);
  addToRootZone(state, layer * toRoot, LAYER_AMMONIUM_SHARE);
  cohort.releasedToContactZoneN += ammonium * toContact;
  cohort.releasedToRootZoneN += ammonium * toRoot;
  postings.ammoniumToContactZone += ammonium * toContact;
  postings.ammoniumToRootZone += ammonium * toRoot;
  postings.layersToContactZone += layer * toContact;
  postings.layersToRootZone += layer * toRoot;
}

/** Mineral nitrogen lying in a layer is taken for half ammonium, half nitrate (set here). */
export const LAYER_AMMONIUM_SHARE = 0.5;

/**
 * Takes off a share of a cohort; of compost only what has not yet become soil, and of humus and ash what still lies on
 * top. `sunkHumusShare` is the share of the humus it has made on the spot that goes too. Mutates bed.state.
 */
export function takeOffCohort(bed: Bed, cohort: Cohort, share: number, sunkHumusShare = 0): void {
  const { postings } = bed.state;
  const onTop = isOnSurface(cohort) ? cohort.onTopShare : 0;
  const bodyShare = cohort.traits.countsAsSoil ? share * onTop : share;
  const humusShare = shareOfHumusTaken(cohort, share, sunkHumusShare);
  for (const name of POOL_NAMES) {
    const taken = name === 'humus' ? humusShare : bodyShare;
    const carbonG = cohort[`${name}C`] * taken;
    const nitrogenG = cohort[`${name}N`] * taken;
    cohort[`${name}C`] -= carbonG;
    cohort[`${name}N`] -= nitrogenG;
    const { carbon, nitrogen } = TAKEN_OFF[name];
    postings[carbon] += carbonG;
    postings[nitrogen] += nitrogenG;
  }
  const ammonium = cohort.ammoniumN * share;
  const held = cohort.charHeldN * share;
  const layer = cohort.layer.nitrogenG * share;
  const ash = cohort.ashG * share * onTop;
  cohort.ammoniumN -= ammonium;
  cohort.charHeldN -= held;
  cohort.layer.nitrogenG -= layer;
  cohort.ashG -= ash;
  postings.ammoniumTakenOff += ammonium;
  postings.charNitrogenTakenOff += held;
  postings.layersTakenOff += layer;
  postings.ashTakenOff += ash;
  cohort.charCapacityN *= 1 - share;
  cohort.openingHumusC *= 1 - share;
}

function shareOfHumusTaken(cohort: Cohort, share: number, sunkHumusShare: number): number {
  const onTopC = humusOnTop(cohort);
  const sunkC = cohort.humusC - onTopC;
  return cohort.humusC > 0 ? (share * onTopC + sunkHumusShare * sunkC) / cohort.humusC : 0;
}

const TAKEN_OFF = {
  quick: { carbon: 'freshCarbonTakenOff', nitrogen: 'freshNitrogenTakenOff' },
  structural: { carbon: 'freshCarbonTakenOff', nitrogen: 'freshNitrogenTakenOff' },
  woody: { carbon: 'freshCarbonTakenOff', nitrogen: 'freshNitrogenTakenOff' },
  microbial: { carbon: 'microbialCarbonTakenOff', nitrogen: 'microbialNitrogenTakenOff' },
  humus: { carbon: 'humusCarbonTakenOff', nitrogen: 'humusNitrogenTakenOff' },
  labileChar: { carbon: 'charCarbonTakenOff', nitrogen: 'charNitrogenTakenOff' },
  stableChar: { carbon: 'charCarbonTakenOff', nitrogen: 'charNitrogenTakenOff' },
} as const;

/** A liquid left on the surface soaks in at once, into the topmost layer beneath it or the soil. Mutates bed.state. */
export function soakIn(bed: Bed, cohort: Cohort): void {
  const { state, constants } = bed;
  const { cohorts, postings } = state;
  const beneath = cohorts.findLast((one) => one !== cohort && isOnSurface(one));
  const soaked = cohort.ammoniumN * constants.parameters.liquidSoakShare;
  cohort.ammoniumN -= soaked;
  if (beneath === undefined || beneath.traits.countsAsSoil) {
    addToContactZone(state, soaked, 1);
    cohort.releasedToContactZoneN += soaked;
    postings.ammoniumToContactZone += soaked;
  } else {
    beneath.layer.nitrogenG += soaked;
    cohort.releasedToLayersN += soaked;
    postings.ammoniumToLayers += soaked;
  }
}
