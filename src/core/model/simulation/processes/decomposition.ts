import type { Bed, SubStep } from '../bed.ts';
import { livingCarbon, type Cohort } from '../cohort.ts';
import { updateDecayClass } from '../decay-classes.ts';
import { askNitrogen } from '../decay-part.ts';
import { applyDecay, notePeakLock, settleRequests, weighPart } from '../nitrogen-limited-decay.ts';
import { decayChar, paceChar } from './char.ts';
import { decayFreely, loseHumus } from './unlimited-decay.ts';

/**
 * Cohort humus, char and decay. A cohort that lacks no nitrogen is done in one pass; the others are weighed, ask, and
 * are decayed when all requests are settled: those of a layer from the top down, then of the contact zone, then of the
 * root zone. What gives nitrogen gives it before anybody asks.
 */
export function decompose(bed: Bed, step: SubStep): void {
  const { state, constants } = bed;
  const { cohorts, roots, postings } = state;
  step.charPace = NaN;
  let needy = 0;
  let beneath: Cohort | null = null;
  for (let i = 0; i < cohorts.length; i++) {
    const cohort = cohorts[i];
    needy += decayCohort(bed, step, cohort, beneath);
    if (cohort.dugDepthCm === 0 && cohort.thicknessCm >= constants.parameters.thinnestSourceCm)
      beneath = cohort;
  }
  if (roots !== null) needy += decayCohort(bed, step, roots, null);
  if (needy === 0) return;

  for (let i = cohorts.length - 1; i >= 0; i--) {
    if (cohorts[i].layer.requests !== null)
      settleRequests(cohorts[i].layer, constants.microbialDraw, postings);
  }
  settleRequests(state.contactZone, constants.microbialDraw, postings);
  settleRequests(state.rootZone, constants.microbialDraw, postings);
  for (let i = 0; i < cohorts.length; i++) if (cohorts[i].isNeedy) decayNeedy(bed, cohorts[i]);
  if (roots !== null && roots.isNeedy) decayNeedy(bed, roots);
}

/** Returns 1 when the cohort lacks nitrogen and must wait for what it is given. */
function decayCohort(bed: Bed, step: SubStep, cohort: Cohort, beneath: Cohort | null): 0 | 1 {
  const { constants } = bed;
  if (cohort.humusC > 0) loseHumus(bed, step, cohort);
  if (cohort.stableCharC > 0) {
    if (Number.isNaN(step.charPace)) paceChar(bed, step);
    decayChar(bed, step, cohort);
  }
  let isNeedy = false;
  if (livingCarbon(cohort) > 0) {
    const { parameters, dtDays } = constants;
    const contactShare = cohort.dugDepthCm === 0 ? cohort.contactShare : cohort.shareInContactZone;
    if (contactShare > 0) updateDecayClass(cohort.contactDecay, parameters, step.modifiers, dtDays);
    if (contactShare < 1) updateDecayClass(cohort.upperDecay, parameters, step.modifiers, dtDays);
    isNeedy = !decayFreely(bed, step, cohort);
    if (isNeedy) weighNeedy(bed, step, cohort, beneath);
  }
  cohort.isNeedy = isNeedy;
  cohort.unsettledShare *= constants.settlingKept;
  cohort.onTopShare *= constants.humusMixingKept;
  return isNeedy ? 1 : 0;
}

/** Weighs both parts; what a part sets free it gives at once, what it lacks it asks for. Mutates bed.state. */
function weighNeedy(bed: Bed, step: SubStep, cohort: Cohort, beneath: Cohort | null): void {
  const { parameters } = bed.constants;
  const { contact, upper } = cohort;
  const onSurface = cohort.dugDepthCm === 0;
  const contactShare = onSurface ? cohort.contactShare : cohort.shareInContactZone;
  cohort.decayLimit = 0;
  weighPart(parameters, cohort, contact, cohort.contactDecay, contactShare);
  weighPart(parameters, cohort, upper, cohort.upperDecay, 1 - contactShare);
  if (contact.need > 0) {
    if (onSurface) askAsContact(bed, step, cohort);
    else askNitrogen(contact.second, bed.state.contactZone, cohort.reachInContactZone, 1, Infinity);
  } else if (contactShare > 0) {
    giveToContactZone(bed, step, cohort, -contact.need, onSurface ? cohort.contactAmmonia : 0);
  }
  if (upper.need > 0) {
    if (onSurface) askAsUpper(bed, step, cohort, beneath);
    else askNitrogen(upper.second, bed.state.rootZone, cohort.reachInRootZone, 1, Infinity);
  } else if (contactShare < 1) {
    giveUpper(bed, step, cohort, -upper.need);
  }
}

/** Compost draws on nothing: what it lacks, it waits for. */
function askAsContact({ state, constants }: Bed, step: SubStep, cohort: Cohort): void {
  if (cohort.traits.countsAsSoil) return;
  const { contactDepthCm, contactDraw } = constants.parameters;
  const touchingCm = cohort.contactShare * cohort.thicknessCm;
  const cap = cohort.traits.isLiftCapped
    ? liftG(constants, step) * Math.min(1, touchingCm / contactDepthCm)
    : Infinity;
  askNitrogen(cohort.contact.first, cohort.layer, 1, 1, Infinity);
  askNitrogen(cohort.contact.second, state.contactZone, 1, contactDraw, cap);
}

function askAsUpper({ state, constants }: Bed, step: SubStep, cohort: Cohort, beneath: Cohort | null): void {
  if (cohort.traits.countsAsSoil) return;
  askNitrogen(cohort.upper.first, cohort.layer, 1, 1, Infinity);
  if (beneath === null) return;
  const source = beneath.traits.countsAsSoil ? state.contactZone : beneath.layer;
  const upperCm = (1 - cohort.contactShare) * cohort.thicknessCm;
  const cap = liftG(constants, step) * Math.min(1, upperCm / constants.parameters.contactDepthCm);
  askNitrogen(cohort.upper.second, source, 1, 1, cap);
}

/** Most nitrogen that fungal threads lift into a layer in this sub-step, g/m2. */
const liftG = ({ parameters, dtDays }: Bed['constants'], step: SubStep): number =>
  parameters.fungalLiftGPerM2Day * step.modifiers.contactZone * dtDays;

/** What a part sets free in the contact zone, less what goes as ammonia. Mutates bed.state and step. */
function giveToContactZone(
  { state }: Bed,
  step: SubStep,
  cohort: Cohort,
  nitrogenG: number,
  ammoniaShare: number,
): void {
  const ammonia = nitrogenG * ammoniaShare;
  const given = nitrogenG - ammonia;
  cohort.volatilizedN += ammonia;
  state.postings.mineralizedVolatilized += ammonia;
  state.contactZone.nitrogenG += given;
  step.ammoniumToContactN += given;
  cohort.releasedToContactZoneN += given;
  state.postings.mineralizedToContactZone += given;
}

/** The same of the upper part: into the root zone when dug, else into the layer, which for compost is soil. */
function giveUpper(bed: Bed, step: SubStep, cohort: Cohort, nitrogenG: number): void {
  const { state } = bed;
  if (cohort.dugDepthCm > 0) {
    state.rootZone.nitrogenG += nitrogenG;
    step.ammoniumToRootN += nitrogenG;
    cohort.releasedToRootZoneN += nitrogenG;
    state.postings.mineralizedToRootZone += nitrogenG;
  } else if (cohort.traits.countsAsSoil) {
    giveToContactZone(bed, step, cohort, nitrogenG, cohort.upperAmmonia);
  } else {
    const ammonia = nitrogenG * cohort.upperAmmonia;
    const given = nitrogenG - ammonia;
    cohort.volatilizedN += ammonia;
    state.postings.mineralizedVolatilized += ammonia;
    cohort.layer.nitrogenG += given;
    cohort.releasedToLayersN += given;
    state.postings.mineralizedToLayers += given;
  }
}

function decayNeedy({ state, constants }: Bed, cohort: Cohort): void {
  applyDecay(constants.parameters, cohort, cohort.contact, state.postings);
  applyDecay(constants.parameters, cohort, cohort.upper, state.postings);
  notePeakLock(cohort);
}
