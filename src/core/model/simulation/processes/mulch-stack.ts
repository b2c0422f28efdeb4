import { clamp } from '../../../ground/index.ts';
import type { Bed, SubStep } from '../bed.ts';
import { charCarbon, humusOnTop, isOnSurface, livingCarbon, type Cohort } from '../cohort.ts';

/** Thickness of a surface cohort as it lies today, cm: its matter and minerals at loose density, settled by age. */
export function layerThicknessCm(cohort: Cohort, settlingShare: number): number {
  const body = livingCarbon(cohort) + charCarbon(cohort);
  const carbonG = (cohort.traits.countsAsSoil ? body * cohort.onTopShare : body) + humusOnTop(cohort);
  const ashG = cohort.ashG * cohort.onTopShare;
  return (
    (carbonG * cohort.thicknessCmPerCarbonG + ashG * cohort.thicknessCmPerAshG) *
    (1 - settlingShare * (1 - cohort.unsettledShare))
  );
}

const VANISHED_CM = 1e-9;

/** Finds how thick every layer is, how much of it touches the soil, what lies on top of it and how it insulates. */
export function stackMulch({ state, constants }: Bed, step: SubStep): void {
  const { contactDepthCm, settlingShare, compostInsulation, insulationCapCm } = constants.parameters;
  const { cohorts } = state;
  let heightCm = 0;
  let insulationCm = 0;
  for (let i = 0; i < cohorts.length; i++) {
    const cohort = cohorts[i];
    if (cohort.dugDepthCm !== 0) continue;
    const thicknessCm = layerThicknessCm(cohort, settlingShare);
    cohort.thicknessCm = thicknessCm;
    cohort.contactShare =
      thicknessCm > VANISHED_CM
        ? clamp((contactDepthCm - heightCm) / thicknessCm, 0, 1)
        : heightCm < contactDepthCm
          ? 1
          : 0;
    heightCm += thicknessCm;
    insulationCm += cohort.traits.countsAsSoil ? thicknessCm * compostInsulation : thicknessCm;
    cohort.coverCm = -heightCm;
  }
  if (heightCm > 0) {
    for (let i = 0; i < cohorts.length; i++) if (isOnSurface(cohorts[i])) cohorts[i].coverCm += heightCm;
  }
  step.mulchCm = heightCm;
  step.insulationCm = Math.min(insulationCm, insulationCapCm);
}
