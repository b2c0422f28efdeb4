import { moistureModifier } from '../../climate/modifiers.ts';
import { smoothStep } from '../../numerics/interpolation.ts';
import type { Bed, SubStep } from '../bed.ts';
import type { CropTable } from '../crop-table.ts';

const FULL_COVER_MULCH_CM = 5;

/** Share of the ground the crops shade, 0 to 1. */
function groundCover(crops: CropTable): number {
  let cover = 0;
  for (let k = crops.firstLiving; k < crops.count; k++) {
    if (crops.isAlive[k]) cover = Math.max(cover, smoothStep(crops.progress[k]));
  }
  return cover;
}

/** Fills and drains the two zones, dries them, and sets their moisture modifiers. */
export function balanceWater({ state, constants }: Bed, step: SubStep): void {
  const { parameters: p, maximumDeficitMm } = constants;
  const contact = state.contactDeficitMm - step.waterMm;
  step.contactDrainMm = Math.max(0, -contact);
  const root = state.rootDeficitMm - step.contactDrainMm;
  step.rootDrainMm = Math.max(0, -root);

  const cover = groundCover(state.crops);
  const mulchCut = p.mulchEvaporationCut * Math.min(1, step.mulchCm / FULL_COVER_MULCH_CM);
  const evaporationMm =
    step.evapotranspirationMm * (cover + p.bareSoilEvaporation * (1 - cover) * (1 - mulchCut));
  const fromContactMm = p.contactZoneEvaporationShare * evaporationMm;
  const contactDeficit = Math.max(0, contact);
  const rootDeficit = Math.max(0, root);
  state.contactDeficitMm = contactDeficit + Math.min(fromContactMm, maximumDeficitMm[0] - contactDeficit);
  state.rootDeficitMm =
    rootDeficit +
    Math.min((1 - p.contactZoneEvaporationShare) * evaporationMm, maximumDeficitMm[1] - rootDeficit);

  state.drainedMm += step.rootDrainMm;
  step.contactMoisture = moistureModifier(state.contactDeficitMm, maximumDeficitMm[0]);
  step.rootMoisture = moistureModifier(state.rootDeficitMm, maximumDeficitMm[1]);
}
