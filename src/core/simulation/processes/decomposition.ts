import { CONTACT_ZONE, layerAccount, ROOT_ZONE, type Bed, type SubStep } from '../bed.ts';
import { isOnSurface, livingCarbon, type CohortTable } from '../cohort-table.ts';
import { updateDecayClasses } from '../decay-classes.ts';
import { applyDecay, settleRequests, workOutPotentials } from '../nitrogen-limited-decay.ts';
import { addPart, allowDraw, clearParts, type Parts } from '../parts.ts';
import { accountOfLayer } from './wash-in.ts';

/** Layers thinner than this are passed over when threads reach for what lies beneath. */
const THINNEST_SOURCE_CM = 0.1;
const NO_LAYER = -1;

/** Decomposes all cohorts together: they share the nitrogen of the zones they touch. */
export function decompose(bed: Bed, step: SubStep): void {
  const { state, constants, classes, decay } = bed;
  const { parameters: p, dtDays } = constants;
  const contactModifier = step.temperatureModifier * step.contactMoisture;
  updateDecayClasses(classes, p, contactModifier, step.temperatureModifier * step.rootMoisture, dtDays);
  collectParts(bed, p.fungalLiftGPerM2Day * contactModifier * dtDays);
  if (decay.parts.count === 0) return;

  workOutPotentials(decay);
  for (let i = state.cohorts.count - 1; i >= 0; i--) settleRequests(decay, layerAccount(i));
  settleRequests(decay, CONTACT_ZONE);
  settleRequests(decay, ROOT_ZONE);
  applyDecay(decay);
}

/** `liftG`: most nitrogen that fungal threads lift into a layer in this sub-step, g/m2. */
function collectParts({ state, constants, decay: { parts } }: Bed, liftG: number): void {
  const { cohorts } = state;
  clearParts(parts);
  let beneath = NO_LAYER;
  for (let i = 0; i < cohorts.count; i++) {
    const onSurface = isOnSurface(cohorts, i);
    if (livingCarbon(cohorts, i) > 0) {
      cohorts.decayLimit[i] = 0;
      if (!onSurface) addDugParts(parts, cohorts, i);
      else if (cohorts.countsAsSoil[i] === 1) addCompostParts(parts, cohorts, i);
      else {
        const source = beneath === NO_LAYER ? NO_LAYER : accountOfLayer(cohorts, beneath);
        addLayerParts(parts, cohorts, i, source, liftG, constants.parameters);
      }
    }
    if (onSurface && cohorts.thicknessCm[i] >= THINNEST_SOURCE_CM) beneath = i;
  }
}

function addDugParts(parts: Parts, cohorts: CohortTable, i: number): void {
  const inContact = cohorts.shareInContactZone[i];
  const upper = addPart(parts, i, inContact, cohorts.contactClass[i], CONTACT_ZONE);
  allowDraw(parts, upper, 0, CONTACT_ZONE, cohorts.reachInContactZone[i], 1, Infinity);
  if (inContact < 1) {
    const lower = addPart(parts, i, 1 - inContact, cohorts.upperClass[i], ROOT_ZONE);
    allowDraw(parts, lower, 0, ROOT_ZONE, cohorts.reachInRootZone[i], 1, Infinity);
  }
}

function addCompostParts(parts: Parts, cohorts: CohortTable, i: number): void {
  const touching = cohorts.contactShare[i];
  if (touching > 0) addPart(parts, i, touching, cohorts.contactClass[i], CONTACT_ZONE);
  if (touching < 1) addPart(parts, i, 1 - touching, cohorts.upperClass[i], CONTACT_ZONE);
}

function addLayerParts(
  parts: Parts,
  cohorts: CohortTable,
  i: number,
  sourceBeneath: number,
  liftG: number,
  { contactDepthCm, contactDraw }: { contactDepthCm: number; contactDraw: number },
): void {
  const touching = cohorts.contactShare[i];
  const thicknessCm = cohorts.thicknessCm[i];
  const own = layerAccount(i);
  if (touching > 0) {
    const contact = addPart(parts, i, touching, cohorts.contactClass[i], CONTACT_ZONE);
    const cap =
      cohorts.isLiftCapped[i] === 1
        ? liftG * Math.min(1, (touching * thicknessCm) / contactDepthCm)
        : Infinity;
    allowDraw(parts, contact, 0, own, 1, 1, Infinity);
    allowDraw(parts, contact, 1, CONTACT_ZONE, 1, contactDraw, cap);
  }
  if (touching < 1) {
    const upper = addPart(parts, i, 1 - touching, cohorts.upperClass[i], own);
    allowDraw(parts, upper, 0, own, 1, 1, Infinity);
    if (sourceBeneath !== NO_LAYER) {
      const cap = liftG * Math.min(1, ((1 - touching) * thicknessCm) / contactDepthCm);
      allowDraw(parts, upper, 1, sourceBeneath, 1, 1, cap);
    }
  }
}
