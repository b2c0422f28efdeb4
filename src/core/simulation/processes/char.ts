import { lostShare } from '../../numerics/exponential-loss.ts';
import { FLOW } from '../../ledger/flows.ts';
import { CONTACT_ZONE, ROOT_ZONE, type Bed } from '../bed.ts';
import { isOnSurface } from '../cohort-table.ts';

/** Char decays at its published residence times, blind to warmth and moisture; its nitrogen goes to the contact zone. */
export function decayChar({ state, constants }: Bed): void {
  const { cohorts, mineralN, flows } = state;
  for (let i = 0; i < cohorts.count; i++) {
    const stableC = cohorts.stableCharC[i];
    if (stableC === 0) continue;
    const stableLoss = lostShare(constants.dtDays / cohorts.stableCharResidenceDays[i]);
    const labileC = cohorts.labileCharC[i];
    const lostLabileC = labileC * constants.labileCharLoss;
    const lostStableC = stableC * stableLoss;
    const lostLabileN = cohorts.labileCharN[i] * constants.labileCharLoss;
    const lostStableN = cohorts.stableCharN[i] * stableLoss;
    cohorts.labileCharC[i] -= lostLabileC;
    cohorts.stableCharC[i] -= lostStableC;
    cohorts.labileCharN[i] -= lostLabileN;
    cohorts.stableCharN[i] -= lostStableN;
    cohorts.respiredC[i] += lostLabileC + lostStableC;
    cohorts.releasedToContactZoneN[i] += lostLabileN + lostStableN;
    mineralN[CONTACT_ZONE] += lostLabileN + lostStableN;
    flows[FLOW.charCarbonRespired] += lostLabileC + lostStableC;
    flows[FLOW.charToContactZone] += lostLabileN + lostStableN;
  }
}

/** Sites on char fill from the soil they touch, close slowly, and hand back what they then cannot hold. */
export function exchangeCharNitrogen(bed: Bed): void {
  const { cohorts } = bed.state;
  for (let i = 0; i < cohorts.count; i++) {
    if (cohorts.charCapacityN[i] === 0) continue;
    cohorts.charCapacityN[i] *= bed.constants.charFouling;
    const spare = cohorts.charCapacityN[i] - cohorts.charHeldN[i];
    const onSurface = isOnSurface(cohorts, i);
    const inContact = onSurface ? 1 : cohorts.shareInContactZone[i];
    if (spare < 0) {
      handBack(bed, i, -spare, inContact);
    } else {
      const touching = onSurface ? cohorts.contactShare[i] : 1;
      fillSites(bed, i, spare * bed.constants.charFilling * touching, inContact);
    }
  }
}

function handBack({ state }: Bed, i: number, excessG: number, inContact: number): void {
  const { cohorts, mineralN, flows } = state;
  const toContact = excessG * inContact;
  const toRoot = excessG - toContact;
  cohorts.charHeldN[i] -= excessG;
  cohorts.releasedToContactZoneN[i] += toContact;
  cohorts.releasedToRootZoneN[i] += toRoot;
  mineralN[CONTACT_ZONE] += toContact;
  mineralN[ROOT_ZONE] += toRoot;
  flows[FLOW.charToContactZone] += toContact;
  flows[FLOW.charToRootZone] += toRoot;
}

function fillSites({ state, constants }: Bed, i: number, wantedG: number, inContact: number): void {
  const { cohorts, mineralN, flows } = state;
  const fromContact = Math.min(wantedG * inContact, constants.charLargestDraw * mineralN[CONTACT_ZONE]);
  const fromRoot = Math.min(wantedG * (1 - inContact), constants.charLargestDraw * mineralN[ROOT_ZONE]);
  cohorts.charHeldN[i] += fromContact + fromRoot;
  cohorts.drawnFromContactZoneN[i] += fromContact;
  cohorts.drawnFromRootZoneN[i] += fromRoot;
  mineralN[CONTACT_ZONE] -= fromContact;
  mineralN[ROOT_ZONE] -= fromRoot;
  flows[FLOW.contactZoneToChar] += fromContact;
  flows[FLOW.rootZoneToChar] += fromRoot;
}
