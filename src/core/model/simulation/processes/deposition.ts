import type { Bed, SubStep } from '../bed.ts';
import { FEED_AMMONIUM_SHARE } from '../scenario.ts';
import { addToContactZone } from '../soil-zones.ts';

/** Nitrogen from the air, into the contact zone; what comes to the zones from here on is mixed in at the end. */
export function receiveDeposition({ state, constants }: Bed, step: SubStep): void {
  const nitrogenG = (constants.depositionGPerM2Year / 365) * constants.dtDays;
  addToContactZone(state, nitrogenG, FEED_AMMONIUM_SHARE);
  state.postings.deposited += nitrogenG;
  step.contactBeforeN = state.contactZone.nitrogenG;
  step.rootBeforeN = state.rootZone.nitrogenG;
  step.ammoniumToContactN = 0;
  step.ammoniumToRootN = 0;
  step.washedToContactN = 0;
  step.nitrateToContactN = 0;
}
