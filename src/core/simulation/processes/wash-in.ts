import { lostShare } from '../../numerics/exponential-loss.ts';
import { clamp, smoothStep } from '../../numerics/interpolation.ts';
import { FLOW } from '../../ledger/flows.ts';
import { CONTACT_ZONE, layerAccount, type Bed, type BedState, type SubStep } from '../bed.ts';
import { isOnSurface, type CohortTable } from '../cohort-table.ts';

/** Mineral account of a surface cohort: finished compost counts as soil, any other layer keeps its own. */
export const accountOfLayer = (cohorts: CohortTable, i: number): number =>
  cohorts.countsAsSoil[i] === 1 ? CONTACT_ZONE : layerAccount(i);

/** The next lower surface cohort, however thin; -1 when only soil lies beneath. */
function layerBeneath(cohorts: CohortTable, i: number): number {
  let below = i - 1;
  while (below >= 0 && !isOnSurface(cohorts, below)) below -= 1;
  return below;
}

const LAYER_WASH_REFERENCE_CM = 5;

/**
 * Rain washes ammonium and mineral nitrogen of the layers down, from the top layer on, while ammonia
 * escapes; the two compete. A sheet shields what lies beneath it from both.
 */
export function washAndVolatilize({ state, constants }: Bed, step: SubStep): void {
  const { cohorts } = state;
  const p = constants.parameters;
  const warmth = step.q10Modifier * constants.dtDays;
  let shield = 1;
  for (let i = cohorts.count - 1; i >= 0; i--) {
    if (!isOnSurface(cohorts, i)) continue;
    const ammoniumG = cohorts.ammoniumN[i];
    const layerG = state.mineralN[layerAccount(i)];
    if (ammoniumG > 0 || layerG > 0) {
      const beneath = layerBeneath(cohorts, i);
      const target = beneath < 0 ? CONTACT_ZONE : accountOfLayer(cohorts, beneath);
      const wash = (shield * step.waterMm) / p.washingMm;
      const escape = shield * warmth * (1 - lostShare(cohorts.coverCm[i] / p.ammoniaCoverCm));
      washAmmonium(state, i, target, wash, p.ammoniaLossPerDay * cohorts.ammoniaExposure[i] * escape);
      const thickness = clamp(cohorts.thicknessCm[i] / LAYER_WASH_REFERENCE_CM, 0.2, 3);
      washLayer(state, i, target, wash / thickness, p.layerAmmoniaLossPerDay * escape);
    }
    const laidStructural = cohorts.openingStructuralC[i];
    if (cohorts.vaporBarrier[i] > 0 && laidStructural > 0) {
      shield *= 1 - cohorts.vaporBarrier[i] * smoothStep(cohorts.structuralC[i] / laidStructural);
    }
  }
  step.soilShield = shield;
}

function washAmmonium(state: BedState, i: number, target: number, wash: number, escape: number): void {
  const { cohorts, mineralN, flows } = state;
  const content = cohorts.ammoniumN[i];
  const rate = wash + escape;
  if (content === 0 || rate === 0) return;
  const gone = content * lostShare(rate);
  const ammonia = (gone * escape) / rate;
  const washed = gone - ammonia;
  cohorts.ammoniumN[i] = content - gone;
  cohorts.volatilizedN[i] += ammonia;
  flows[FLOW.ammoniumVolatilized] += ammonia;
  mineralN[target] += washed;
  if (target === CONTACT_ZONE) {
    cohorts.releasedToContactZoneN[i] += washed;
    flows[FLOW.ammoniumToContactZone] += washed;
  } else {
    cohorts.releasedToLayersN[i] += washed;
    flows[FLOW.ammoniumToLayers] += washed;
  }
}

function washLayer(state: BedState, i: number, target: number, wash: number, escape: number): void {
  const { cohorts, mineralN, flows } = state;
  const account = layerAccount(i);
  const content = mineralN[account];
  const rate = wash + escape;
  if (content === 0 || rate === 0) return;
  const gone = content * lostShare(rate);
  const ammonia = (gone * escape) / rate;
  const washed = gone - ammonia;
  mineralN[account] = content - gone;
  cohorts.volatilizedN[i] += ammonia;
  flows[FLOW.layersVolatilized] += ammonia;
  mineralN[target] += washed;
  if (target === CONTACT_ZONE) flows[FLOW.layersToContactZone] += washed;
}
