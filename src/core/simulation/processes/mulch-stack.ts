import { clamp } from '../../numerics/interpolation.ts';
import type { Bed } from '../bed.ts';
import { humusOnTop, isOnSurface, livingCarbon, type CohortTable } from '../cohort-table.ts';

/** Thickness of a surface cohort as it lies today, cm: its matter at loose density, settled by age. */
export function layerThicknessCm(cohorts: CohortTable, i: number, settlingShare: number): number {
  const carbonG =
    livingCarbon(cohorts, i) + cohorts.labileCharC[i] + cohorts.stableCharC[i] + humusOnTop(cohorts, i);
  return carbonG * cohorts.thicknessCmPerG[i] * (1 - settlingShare * (1 - cohorts.unsettledShare[i]));
}

const VANISHED_CM = 1e-9;

/** Finds how thick every layer is, how much of it touches the soil and what lies on top of it. */
export function stackMulch({ state, constants }: Bed, step: { mulchCm: number }): void {
  const { cohorts } = state;
  const { contactDepthCm, settlingShare } = constants.parameters;
  let heightCm = 0;
  for (let i = 0; i < cohorts.count; i++) {
    if (!isOnSurface(cohorts, i)) continue;
    const thicknessCm = layerThicknessCm(cohorts, i, settlingShare);
    cohorts.thicknessCm[i] = thicknessCm;
    cohorts.contactShare[i] =
      thicknessCm > VANISHED_CM
        ? clamp((contactDepthCm - heightCm) / thicknessCm, 0, 1)
        : heightCm < contactDepthCm
          ? 1
          : 0;
    heightCm += thicknessCm;
    cohorts.coverCm[i] = -heightCm;
  }
  for (let i = 0; i < cohorts.count; i++) {
    if (isOnSurface(cohorts, i)) cohorts.coverCm[i] += heightCm;
  }
  step.mulchCm = heightCm;
}
