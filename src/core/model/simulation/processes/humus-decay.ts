import { lostShare } from '../../../ground/index.ts';
import type { Bed, SubStep } from '../bed.ts';

/** Native organic matter, active then slow, decays in both zones, the contact zone first, and gives its nitrogen there. */
export function decayNativeHumus(bed: Bed, step: SubStep): void {
  const { state, constants } = bed;
  const { postings } = state;
  const { activeHumusDecayPerYear, humusDecayPerYear } = constants.parameters;
  const share = constants.contactHumusShare;
  const years = constants.dtDays / 365;
  const contactYears = step.modifiers.contactZone * years;
  const rootYears = step.modifiers.rootZone * years;
  const contactLoss = lostShare(humusDecayPerYear * contactYears);
  const rootLoss = lostShare(humusDecayPerYear * rootYears);
  step.contactHumusLoss = contactLoss;
  step.rootHumusLoss = rootLoss;

  const activeContact = share * lostShare(activeHumusDecayPerYear * contactYears);
  const activeRoot = (1 - activeContact) * (1 - share) * lostShare(activeHumusDecayPerYear * rootYears);
  const slowContact = share * contactLoss;
  const slowRoot = (1 - slowContact) * (1 - share) * rootLoss;
  const toContact = activeContact * state.activeHumusN + slowContact * state.slowHumusN;
  const toRoot = activeRoot * state.activeHumusN + slowRoot * state.slowHumusN;
  const activeC = (activeContact + activeRoot) * state.activeHumusC;
  const slowC = (slowContact + slowRoot) * state.slowHumusC;
  state.activeHumusN -= (activeContact + activeRoot) * state.activeHumusN;
  state.slowHumusN -= (slowContact + slowRoot) * state.slowHumusN;
  state.activeHumusC -= activeC;
  state.slowHumusC -= slowC;
  state.contactZone.nitrogenG += toContact;
  state.rootZone.nitrogenG += toRoot;
  step.ammoniumToContactN += toContact;
  step.ammoniumToRootN += toRoot;
  postings.nativeHumusCarbonRespired += activeC + slowC;
  postings.nativeHumusToContactZone += toContact;
  postings.nativeHumusToRootZone += toRoot;
}
