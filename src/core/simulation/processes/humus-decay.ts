import { lostShare } from '../../numerics/exponential-loss.ts';
import { FLOW } from '../../ledger/flows.ts';
import { CONTACT_ZONE, ROOT_ZONE, type Bed, type SubStep } from '../bed.ts';
import { isOnSurface } from '../cohort-table.ts';

/** Native humus decays in both zones, the contact zone first, and gives its nitrogen there. */
export function decayNativeHumus(bed: Bed, step: SubStep): void {
  const { constants } = bed;
  const years = (constants.parameters.humusDecayPerYear * step.temperatureModifier * constants.dtDays) / 365;
  step.contactHumusLoss = lostShare(years * step.contactMoisture);
  step.rootHumusLoss = lostShare(years * step.rootMoisture);
  const share = constants.contactHumusShare;
  loseNativeHumus(bed, share * step.contactHumusLoss, CONTACT_ZONE, FLOW.nativeHumusToContactZone);
  loseNativeHumus(bed, (1 - share) * step.rootHumusLoss, ROOT_ZONE, FLOW.nativeHumusToRootZone);
}

function loseNativeHumus({ state }: Bed, loss: number, zone: number, flow: number): void {
  const carbonG = loss * state.nativeHumusC;
  const nitrogenG = loss * state.nativeHumusN;
  state.nativeHumusC -= carbonG;
  state.nativeHumusN -= nitrogenG;
  state.mineralN[zone] += nitrogenG;
  state.flows[FLOW.nativeHumusCarbonRespired] += carbonG;
  state.flows[flow] += nitrogenG;
}

/** Humus brought or made by a cohort decays where the cohort lies, at the pace of the native humus. */
export function decayLaidHumus(bed: Bed, step: SubStep): void {
  const { cohorts, mineralN, flows } = bed.state;
  const { contactHumusLoss: contactLoss, rootHumusLoss: rootLoss } = step;
  for (let i = 0; i < cohorts.count; i++) {
    const carbonG = cohorts.humusC[i];
    if (carbonG === 0) continue;
    const inContact = isOnSurface(cohorts, i) ? 1 : cohorts.shareInContactZone[i];
    const fromContact = inContact * contactLoss;
    const fromRoot = (1 - inContact) * rootLoss;
    const nitrogenG = cohorts.humusN[i];
    const lostC = carbonG * (fromContact + fromRoot);
    const toContact = nitrogenG * fromContact;
    const toRoot = nitrogenG * fromRoot;
    cohorts.humusC[i] = carbonG - lostC;
    cohorts.humusN[i] = nitrogenG - toContact - toRoot;
    cohorts.respiredC[i] += lostC;
    cohorts.releasedToContactZoneN[i] += toContact;
    cohorts.releasedToRootZoneN[i] += toRoot;
    mineralN[CONTACT_ZONE] += toContact;
    mineralN[ROOT_ZONE] += toRoot;
    flows[FLOW.laidHumusCarbonRespired] += lostC;
    flows[FLOW.laidHumusToContactZone] += toContact;
    flows[FLOW.laidHumusToRootZone] += toRoot;
  }
}
