import { moistureModifier, smoothStep } from '../../../ground/index.ts';
import type { Bed, BedState, SubStep } from '../bed.ts';

/** Share of the ground the crops shade, 0 to 1. */
function groundCover({ crops, firstLiving }: BedState): number {
  let cover = 0;
  for (let k = firstLiving; k < crops.length; k++) {
    if (crops[k].isAlive) cover = Math.max(cover, smoothStep(crops[k].progress));
  }
  return cover;
}

/** Fills and drains the two zones, dries them, and sets their moisture modifiers. Bare soil dries less deep. */
export function balanceWater({ state, constants }: Bed, step: SubStep): void {
  const { parameters: p, contactMaximumDeficitMm, rootMaximumDeficitMm } = constants;
  const contact = state.contactDeficitMm - step.waterMm;
  step.contactDrainMm = Math.max(0, -contact);
  const root = state.rootDeficitMm - step.contactDrainMm;
  step.rootDrainMm = Math.max(0, -root);

  const cover = groundCover(state);
  const mulchCut = p.mulchEvaporationCut * Math.min(1, step.mulchCm / p.fullCoverMulchCm);
  const evaporationMm =
    step.evapotranspirationMm * (cover + p.bareSoilEvaporation * (1 - cover) * (1 - mulchCut));
  const contactDeficit = Math.max(0, contact);
  const rootDeficit = Math.max(0, root);
  const driestRootMm = (p.bareSoilDryness + (1 - p.bareSoilDryness) * cover) * rootMaximumDeficitMm;
  state.contactDeficitMm =
    contactDeficit +
    Math.min(p.contactZoneEvaporationShare * evaporationMm, contactMaximumDeficitMm - contactDeficit);
  state.rootDeficitMm =
    rootDeficit +
    Math.max(0, Math.min((1 - p.contactZoneEvaporationShare) * evaporationMm, driestRootMm - rootDeficit));

  state.drainedMm += step.rootDrainMm;
  step.contactMoisture = moistureModifier(state.contactDeficitMm, contactMaximumDeficitMm);
  step.rootMoisture = moistureModifier(state.rootDeficitMm, rootMaximumDeficitMm);
  step.modifiers.contactZone = step.contactWarmth * step.contactMoisture;
  step.modifiers.rootZone = step.rootWarmth * step.rootMoisture;
  step.modifiers.surface = step.surfaceWarmth * step.contactMoisture;
}
