import { lostShare, temperatureModifier } from '../../../ground/index.ts';
import type { Bed, SubStep } from '../bed.ts';

/**
 * The two soil zones follow the surface with a lag that cover lengthens; cover also flattens the wave of the year
 * (a first-order lag after the damping of EPIC, from memory).
 */
export function warmSoil({ state, constants }: Bed, step: SubStep): void {
  const p = constants.parameters;
  const cover = step.insulationCm;
  if (cover !== step.laggedInsulationCm) {
    const addedDays = p.mulchLagDaysPerCm * cover;
    step.laggedInsulationCm = cover;
    step.contactFollowing = lostShare(constants.dtDays / (p.contactZoneLagDays + addedDays));
    step.rootFollowing = lostShare(constants.dtDays / (p.rootZoneLagDays + addedDays));
  }
  const flattened = p.mulchDampingPerCm * cover;
  const surfaceC = step.surfaceC - flattened * (step.surfaceC - step.yearlySurfaceC);
  state.contactSoilC += (surfaceC - state.contactSoilC) * step.contactFollowing;
  state.rootSoilC += (surfaceC - state.rootSoilC) * step.rootFollowing;
  step.contactWarmth = temperatureModifier(state.contactSoilC, p.frozenC, p.temperatureModifierCap);
  step.rootWarmth = temperatureModifier(state.rootSoilC, p.frozenC, p.temperatureModifierCap);
}
