import { type WeatherSeries, smoothStep } from '../../ground/index.ts';
import type { Bed, SubStep } from './bed.ts';
import { exchangeCharNitrogen } from './processes/char.ts';
import { growCrops } from './processes/crop-uptake.ts';
import { decompose } from './processes/decomposition.ts';
import { receiveDeposition } from './processes/deposition.ts';
import { decayNativeHumus } from './processes/humus-decay.ts';
import { leachAndDenitrify } from './processes/leaching.ts';
import { stackMulch } from './processes/mulch-stack.ts';
import { nitrify } from './processes/nitrification.ts';
import { warmSoil } from './processes/soil-temperature.ts';
import { washAndVolatilize } from './processes/wash-in.ts';
import { balanceWater } from './processes/water-balance.ts';
import type { AutomaticIrrigation } from './scenario.ts';

/**
 * The order within a sub-step. Each process reads what the ones before it left: supply, warmth and water first, then
 * decay, where microbes are served before roots (short-term microbial priority, Brady and Weil, from memory), and
 * leaching takes what nobody wanted.
 */
function stepOnce(bed: Bed, step: SubStep): void {
  receiveDeposition(bed, step);
  stackMulch(bed, step);
  warmSoil(bed, step);
  balanceWater(bed, step);
  washAndVolatilize(bed, step);
  decayNativeHumus(bed, step);
  decompose(bed, step);
  exchangeCharNitrogen(bed, step);
  growCrops(bed, step);
  nitrify(bed, step);
  leachAndDenitrify(bed, step);
}

/** Water an automatic system gives today, mm. */
export function automaticWaterMm(bed: Bed, irrigation: AutomaticIrrigation, month: number): number {
  if (!irrigation.months.includes(month)) return 0;
  const { contactMaximumDeficitMm, rootMaximumDeficitMm } = bed.constants;
  const deficit = bed.state.contactDeficitMm + bed.state.rootDeficitMm;
  const largest = contactMaximumDeficitMm + rootMaximumDeficitMm;
  return deficit > irrigation.trigger * largest ? irrigation.refill * deficit : 0;
}

/** Runs one day after its events: `index` counts days of the weather series. Mutates bed.state and step. */
export function stepDay(
  bed: Bed,
  step: SubStep,
  weather: WeatherSeries,
  index: number,
  wateringMm: number,
): void {
  const steps = bed.constants.stepsPerDay;
  step.day = weather.firstDay + index;
  step.waterMm = (weather.rainMm[index] + wateringMm) / steps;
  step.evapotranspirationMm = weather.evapotranspirationMm[index] / steps;
  step.airC = weather.airC[index];
  step.surfaceC = weather.surfaceC[index];
  step.yearlySurfaceC = weather.yearlySurfaceC;
  step.surfaceWarmth = weather.surfaceModifier[index];
  step.q10Modifier = weather.q10Modifier[index];
  for (let s = 0; s < steps; s++) stepOnce(bed, step);
  judgePaleness(bed, step.day);
}

/** Unmet demand of a crop beside its demand of the last fortnight: what shows on its leaves, and may pass. */
function judgePaleness({ state: { crops, firstLiving }, constants }: Bed, day: number): void {
  const p = constants.parameters;
  for (let k = firstLiving; k < crops.length; k++) {
    const crop = crops[k];
    if (!crop.isAlive) continue;
    const demand = crop.demandN;
    const slot = day % crop.pastProgress.length;
    const earlier = crop.pastProgress[slot];
    crop.pastProgress[slot] = crop.progress;
    const recentDemand = demand * (smoothStep(crop.progress) - smoothStep(earlier));
    const isLargeEnough = crop.demandedN > p.paleFromDemandShare * demand;
    const paleness = isLargeEnough
      ? Math.min(1, crop.backlogN / Math.max(recentDemand, p.paleLeastShare * demand))
      : 0;
    crop.paleness = paleness;
    crop.palestSoFar = Math.max(crop.palestSoFar, paleness);
    if (paleness > p.visiblyPale) {
      crop.paleDays += 1;
      crop.firstPaleDay ??= day;
    }
  }
}
