import { lostShare } from '../../../ground/index.ts';
import type { Bed, SubStep } from '../bed.ts';
import { isOnSurface, type Cohort } from '../cohort.ts';
import { notePeakLock } from '../nitrogen-limited-decay.ts';

/** Sets how fast char decays at today's soil warmth (Woolf et al. 2021, from memory). Mutates step. */
export function paceChar({ state, constants }: Bed, step: SubStep): void {
  const p = constants.parameters;
  step.charPace = p.charQ10 ** ((state.rootSoilC - p.charReferenceC) / 10);
  step.labileCharLoss = lostShare(step.charPace * constants.labileCharPerDay);
}

/** Char of a cohort decays by soil warmth; its nitrogen goes to the contact zone. Mutates bed.state. */
export function decayChar({ state, constants }: Bed, step: SubStep, cohort: Cohort): void {
  const stableLoss = lostShare((step.charPace * constants.dtDays) / cohort.stableCharResidenceDays);
  const labileC = cohort.labileCharC * step.labileCharLoss;
  const stableC = cohort.stableCharC * stableLoss;
  const labileN = cohort.labileCharN * step.labileCharLoss;
  const stableN = cohort.stableCharN * stableLoss;
  cohort.labileCharC -= labileC;
  cohort.stableCharC -= stableC;
  cohort.labileCharN -= labileN;
  cohort.stableCharN -= stableN;
  cohort.respiredC += labileC + stableC;
  cohort.releasedToContactZoneN += labileN + stableN;
  state.contactZone.nitrogenG += labileN + stableN;
  step.ammoniumToContactN += labileN + stableN;
  state.postings.charCarbonRespired += labileC + stableC;
  state.postings.charToContactZone += labileN + stableN;
}

/** Sites on char fill with ammonium of the soil they touch, close slowly, and hand back what they then cannot hold. */
export function exchangeCharNitrogen(bed: Bed, step: SubStep): void {
  const { cohorts } = bed.state;
  for (let i = 0; i < cohorts.length; i++) {
    const cohort = cohorts[i];
    if (cohort.charCapacityN === 0 && cohort.charHeldN === 0) continue;
    cohort.charCapacityN *= bed.constants.charFouling;
    const spare = cohort.charCapacityN - cohort.charHeldN;
    const onSurface = isOnSurface(cohort);
    const inContact = onSurface ? 1 : cohort.shareInContactZone;
    if (spare < 0) {
      handBack(bed, step, cohort, -spare, inContact);
    } else {
      const touching = onSurface ? cohort.contactShare : 1;
      fillSites(bed, cohort, spare * bed.constants.charFilling * touching, inContact);
    }
    notePeakLock(cohort);
  }
}

function handBack({ state }: Bed, step: SubStep, cohort: Cohort, excessG: number, inContact: number): void {
  const { postings, contactZone, rootZone } = state;
  const toContact = excessG * inContact;
  const toRoot = excessG - toContact;
  cohort.charHeldN -= excessG;
  cohort.releasedToContactZoneN += toContact;
  cohort.releasedToRootZoneN += toRoot;
  contactZone.nitrogenG += toContact;
  rootZone.nitrogenG += toRoot;
  step.ammoniumToContactN += toContact;
  step.ammoniumToRootN += toRoot;
  postings.charToContactZone += toContact;
  postings.charToRootZone += toRoot;
}

function fillSites({ state, constants }: Bed, cohort: Cohort, wantedG: number, inContact: number): void {
  const { postings, contactZone, rootZone } = state;
  const contactAmmonium = state.contactAmmoniumShare * contactZone.nitrogenG;
  const rootAmmonium = state.rootAmmoniumShare * rootZone.nitrogenG;
  const fromContact = Math.min(wantedG * inContact, constants.charDraw * contactAmmonium);
  const fromRoot = Math.min(wantedG * (1 - inContact), constants.charDraw * rootAmmonium);
  cohort.charHeldN += fromContact + fromRoot;
  cohort.drawnFromContactZoneN += fromContact;
  cohort.drawnFromRootZoneN += fromRoot;
  contactZone.nitrogenG -= fromContact;
  rootZone.nitrogenG -= fromRoot;
  postings.contactZoneToChar += fromContact;
  postings.rootZoneToChar += fromRoot;
}
