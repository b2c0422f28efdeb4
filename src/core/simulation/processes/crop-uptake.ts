import { lostShare } from '../../numerics/exponential-loss.ts';
import { clamp, smoothStep } from '../../numerics/interpolation.ts';
import { FLOW } from '../../ledger/flows.ts';
import { CONTACT_ZONE, ROOT_ZONE, type Bed } from '../bed.ts';
import type { CropTable } from '../crop-table.ts';
import { CONTACT_ZONE_CM } from '../scenario.ts';

/** Share of the growing time after which roots are at full depth (set here). */
export const ROOTS_FULL_AT = 0.6;
/** Less than this missing is rounding, g/m2. */
const NEGLIGIBLE_G = 1e-12;

/** Depth of the roots at a progress of 0 to 1, cm. */
export function rootDepthCm(fullDepthCm: number, progress: number, isPerennial: boolean): number {
  const full = Math.max(CONTACT_ZONE_CM, fullDepthCm);
  return isPerennial
    ? full
    : CONTACT_ZONE_CM + (full - CONTACT_ZONE_CM) * Math.min(1, progress / ROOTS_FULL_AT);
}

/** Crops grow a sub-step and take what they want from the zones their roots reach; crops share pro rata. */
export function growCrops(bed: Bed): void {
  const { crops } = bed.state;
  let living = 0;
  let largestReach = 0;
  for (let k = crops.firstLiving; k < crops.count; k++) {
    if (!crops.isAlive[k]) continue;
    living += 1;
    advance(bed, k);
    largestReach = Math.max(largestReach, crops.reachInRootZone[k]);
  }
  if (living === 0) return;
  for (const round of [0, 1] as const) {
    takeUp(bed, CONTACT_ZONE, round, 1);
    takeUp(bed, ROOT_ZONE, round, largestReach);
  }
  for (let k = crops.firstLiving; k < crops.count; k++) {
    if (crops.isAlive[k]) settle(bed, k);
  }
}

/** Growth of the sub-step: what the crop wants, what it fixes or lifts, how deep its roots are. */
function advance({ state, constants }: Bed, k: number): void {
  const { crops, flows } = state;
  const before = crops.progress[k];
  const now = Math.min(1, before + constants.dtDays / crops.lengthDays[k]);
  crops.progress[k] = now;
  let wanted = crops.demandAtHarvest[k] * (smoothStep(now) - smoothStep(before));
  crops.demandedN[k] += wanted;

  if (crops.isPerennial[k]) {
    const lifted = wanted * crops.deepShare[k];
    crops.subsoilN[k] += lifted;
    crops.standingN[k] += lifted;
    flows[FLOW.liftedFromSubsoil] += lifted;
    wanted -= lifted;
  }
  if (crops.isLegume[k]) {
    const fixed = wanted * crops.fixedShare[k];
    fix(crops, flows, k, fixed);
    wanted -= fixed;
  }
  const depth = rootDepthCm(crops.rootDepthCm[k], now, crops.isPerennial[k] === 1);
  const reached = Math.min(depth, constants.rootZoneCm);
  crops.contactWeight[k] = CONTACT_ZONE_CM / reached;
  crops.reachInRootZone[k] = clamp(
    (reached - CONTACT_ZONE_CM) / (constants.rootZoneCm - CONTACT_ZONE_CM),
    0,
    1,
  );
  crops.wanted[k] = wanted + crops.backlogN[k];
  crops.got[k] = 0;
}

function fix(crops: CropTable, flows: Float64Array, k: number, nitrogenG: number): void {
  crops.fixedN[k] += nitrogenG;
  crops.standingN[k] += nitrogenG;
  flows[FLOW.fixed] += nitrogenG;
}

/**
 * What crop k asks of a zone: in round 0 by the share of its roots there, in round 1 whatever is still
 * missing; never more than its roots can draw in a sub-step.
 */
function ask(crops: CropTable, k: number, zone: number, round: 0 | 1, content: number, draw: number): number {
  if (!crops.isAlive[k]) return 0;
  const reach = zone === CONTACT_ZONE ? 1 : crops.reachInRootZone[k];
  const missing = crops.wanted[k] - crops.got[k];
  const weight = zone === CONTACT_ZONE ? crops.contactWeight[k] : 1 - crops.contactWeight[k];
  const limit = round === 0 ? Math.min(crops.wanted[k] * weight, missing) : missing;
  return Math.max(0, Math.min(limit, draw * reach * content));
}

function takeUp({ state, constants }: Bed, zone: number, round: 0 | 1, largestReach: number): void {
  const { crops, mineralN, flows } = state;
  const content = mineralN[zone];
  const draw = constants.cropDraw;
  let total = 0;
  for (let k = crops.firstLiving; k < crops.count; k++) total += ask(crops, k, zone, round, content, draw);
  if (total <= 0) return;
  const limit = draw * largestReach * content;
  const scale = total <= limit ? 1 : limit / total;
  let paid = 0;
  for (let k = crops.firstLiving; k < crops.count; k++) {
    const amount = ask(crops, k, zone, round, content, draw) * scale;
    crops.got[k] += amount;
    paid += amount;
  }
  mineralN[zone] = Math.max(0, content - paid);
  flows[zone === CONTACT_ZONE ? FLOW.contactZoneToCrops : FLOW.rootZoneToCrops] += paid;
}

/** Books what was taken, fixes the rest for a legume, and carries or loses what is still missing. */
function settle({ state, constants }: Bed, k: number): void {
  const { crops, flows } = state;
  const got = crops.got[k];
  crops.takenN[k] += got;
  crops.standingN[k] += got;
  let missing = crops.wanted[k] - got;
  if (missing < NEGLIGIBLE_G) missing = 0;
  if (crops.isLegume[k]) {
    fix(crops, flows, k, missing);
    missing = 0;
  }
  const lost = missing * lostShare(constants.dtDays / constants.parameters.backlogDays);
  crops.shortN[k] += lost;
  crops.backlogN[k] = missing - lost;
}
