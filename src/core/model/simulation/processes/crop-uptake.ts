import { clamp, lostShare, smoothStep } from '../../../ground/index.ts';
import type { Bed, SubStep } from '../bed.ts';
import type { Crop } from '../crop.ts';
import { dayDegrees, rootDepthCm } from '../crop-growth.ts';
import { growRoots } from '../root-litter.ts';
import { CONTACT_ZONE_CM } from '../scenario.ts';

/** Less than this missing is rounding, g/m2. */
const NEGLIGIBLE_G = 1e-12;

/** Crops grow a sub-step and take what they want from where their roots reach; crops share pro rata. */
export function growCrops(bed: Bed, step: SubStep): void {
  const { crops, firstLiving } = bed.state;
  if (firstLiving === crops.length) return;
  for (let k = firstLiving; k < crops.length; k++) if (crops[k].isAlive) advance(bed, step, crops[k]);
  takeFromContactZone(bed, true);
  takeFromRootZone(bed, true);
  takeFromContactZone(bed, false);
  takeFromRootZone(bed, false);
  takeFromUpperSubsoil(bed);
  takeFromLowerSubsoil(bed);
  let livingDemand = 0;
  let living = 0;
  for (let k = firstLiving; k < crops.length; k++) {
    if (!crops[k].isAlive) continue;
    living += 1;
    livingDemand += crops[k].demandN;
  }
  for (let k = firstLiving; k < crops.length; k++) {
    const crop = crops[k];
    if (!crop.isAlive) continue;
    const share = livingDemand > 0 ? crop.demandN / livingDemand : 1 / living;
    settle(bed, crop, share);
  }
}

/** Growth of the sub-step: what the crop wants, what it fixes or lifts, how deep its roots are. */
function advance({ state, constants }: Bed, step: SubStep, crop: Crop): void {
  const { parameters: p, dtDays, rootZoneCm, subsoilCellCm } = constants;
  const { postings } = state;
  const before = crop.progress;
  const grown = crop.isGrownByWarmth ? dayDegrees(step.airC, p) * dtDays : dtDays;
  const now = Math.min(1, before + grown / crop.growthNeeded);
  crop.progress = now;
  crop.growth = smoothStep(now) - smoothStep(before);
  let wanted = crop.demandN * crop.growth;
  crop.demandedN += wanted;
  crop.gainedOutsideN = 0;
  if (crop.isPerennial) {
    const lifted = wanted * crop.deepShare;
    crop.subsoilN += lifted;
    crop.gainedOutsideN += lifted;
    postings.liftedFromSubsoil += lifted;
    wanted -= lifted;
  }
  if (crop.isLegume) {
    const fixed = wanted * crop.fixedShare;
    crop.fixedN += fixed;
    crop.gainedOutsideN += fixed;
    postings.fixed += fixed;
    wanted -= fixed;
  }
  const depthCm = rootDepthCm(crop.fullRootDepthCm, now, crop.isPerennial, p);
  const reachedCm = Math.min(depthCm, rootZoneCm);
  crop.contactWeight = CONTACT_ZONE_CM / reachedCm;
  crop.rootZoneReach = clamp((reachedCm - CONTACT_ZONE_CM) / (rootZoneCm - CONTACT_ZONE_CM), 0, 1);
  crop.upperSubsoilReach = clamp((depthCm - rootZoneCm) / subsoilCellCm, 0, 1);
  crop.lowerSubsoilReach = clamp((depthCm - rootZoneCm - subsoilCellCm) / subsoilCellCm, 0, 1);
  crop.wantedN = wanted + crop.backlogN;
  crop.gotN = 0;
}

/** What the crops ask of the contact zone: first by the share of their roots there, then whatever is still missing. */
function takeFromContactZone({ state, constants }: Bed, byWeight: boolean): void {
  const { crops, firstLiving, contactZone, postings } = state;
  let total = 0;
  for (let k = firstLiving; k < crops.length; k++) {
    const crop = crops[k];
    total += ask(crop, byWeight ? crop.wantedN * crop.contactWeight : Infinity);
  }
  if (total <= 0) return;
  const perAsked = (constants.cropDraw * contactZone.nitrogenG) / total;
  let paid = 0;
  for (let k = firstLiving; k < crops.length; k++) paid += pay(crops[k], perAsked);
  contactZone.nitrogenG = Math.max(0, contactZone.nitrogenG - paid);
  postings.contactZoneToCrops += paid;
}

function takeFromRootZone({ state, constants }: Bed, byWeight: boolean): void {
  const { crops, firstLiving, rootZone, postings } = state;
  let total = 0;
  for (let k = firstLiving; k < crops.length; k++) {
    const crop = crops[k];
    total += ask(crop, byWeight ? crop.wantedN * (1 - crop.contactWeight) : Infinity);
  }
  if (total <= 0) return;
  const perAsked = (constants.cropDraw * rootZone.nitrogenG) / total;
  let paid = 0;
  for (let k = firstLiving; k < crops.length; k++) paid += pay(crops[k], perAsked * crops[k].rootZoneReach);
  rootZone.nitrogenG = Math.max(0, rootZone.nitrogenG - paid);
  postings.rootZoneToCrops += paid;
}

function takeFromUpperSubsoil({ state, constants }: Bed): void {
  const { crops, firstLiving, postings } = state;
  let total = 0;
  for (let k = firstLiving; k < crops.length; k++) total += ask(crops[k], Infinity);
  if (total <= 0) return;
  const perAsked = (constants.deepDraw * state.upperSubsoilN) / total;
  let paid = 0;
  for (let k = firstLiving; k < crops.length; k++)
    paid += pay(crops[k], perAsked * crops[k].upperSubsoilReach);
  state.upperSubsoilN = Math.max(0, state.upperSubsoilN - paid);
  postings.upperSubsoilToCrops += paid;
}

function takeFromLowerSubsoil({ state, constants }: Bed): void {
  const { crops, firstLiving, postings } = state;
  let total = 0;
  for (let k = firstLiving; k < crops.length; k++) total += ask(crops[k], Infinity);
  if (total <= 0) return;
  const perAsked = (constants.deepDraw * state.lowerSubsoilN) / total;
  let paid = 0;
  for (let k = firstLiving; k < crops.length; k++)
    paid += pay(crops[k], perAsked * crops[k].lowerSubsoilReach);
  state.lowerSubsoilN = Math.max(0, state.lowerSubsoilN - paid);
  postings.lowerSubsoilToCrops += paid;
}

/** Every ask is worked out before any is paid: what is missing, and at most `most`. Mutates crop. */
function ask(crop: Crop, most: number): number {
  const asked = crop.isAlive ? Math.min(most, crop.wantedN - crop.gotN) : 0;
  crop.askedN = asked > 0 ? asked : 0;
  return crop.askedN;
}

/** Pays a crop its ask, or `payable` of it when that is less than all. Mutates crop. */
function pay(crop: Crop, payable: number): number {
  const amount = crop.askedN * Math.min(1, payable);
  crop.gotN += amount;
  return amount;
}

/** Books what was taken, fixes the rest for a legume, carries or loses what is missing, and feeds the roots. */
function settle(bed: Bed, crop: Crop, rootShare: number): void {
  const { state, constants } = bed;
  const { parameters: p } = constants;
  let missingN = crop.wantedN - crop.gotN;
  if (missingN < NEGLIGIBLE_G) missingN = 0;
  if (crop.isLegume) {
    crop.fixedN += missingN;
    crop.gainedOutsideN += missingN;
    state.postings.fixed += missingN;
    missingN = 0;
  }
  const lost = missingN * lostShare(constants.dtDays / p.backlogDays);
  crop.shortN += lost;
  crop.backlogN = missingN - lost;
  crop.takenN += crop.gotN;
  const gainedN = crop.gotN + crop.gainedOutsideN;
  crop.standingN += gainedN;
  const fedShare =
    crop.demandedN > 0 ? Math.min(1, (crop.takenN + crop.fixedN + crop.subsoilN) / crop.demandedN) : 1;
  const fed = p.rootFedFloor + (1 - p.rootFedFloor) * fedShare;
  const rootC = crop.rootCarbonG * crop.growth * fed * rootShare;
  const rootN = rootC > 0 ? p.rootNitrogenShare * gainedN : 0;
  crop.inCropN += gainedN - rootN;
  if (rootC > 0) growRoots(bed, crop, rootC, rootN);
}
