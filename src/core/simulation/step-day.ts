import type { WeatherSeries } from '../climate/weather.ts';
import { smoothStep } from '../numerics/interpolation.ts';
import type { Bed, SubStep } from './bed.ts';
import { age } from './processes/ageing.ts';
import { decayChar, exchangeCharNitrogen } from './processes/char.ts';
import { growCrops } from './processes/crop-uptake.ts';
import { decompose } from './processes/decomposition.ts';
import { receiveDeposition } from './processes/deposition.ts';
import { decayLaidHumus, decayNativeHumus } from './processes/humus-decay.ts';
import { leachAndDenitrify } from './processes/leaching.ts';
import { stackMulch } from './processes/mulch-stack.ts';
import { washAndVolatilize } from './processes/wash-in.ts';
import { balanceWater } from './processes/water-balance.ts';
import type { AutomaticIrrigation } from './scenario.ts';

/**
 * The order within a sub-step. Each process reads what the ones before it left: supply and water first,
 * then decay, where microbes are served before roots (short-term microbial priority, Brady and Weil, from
 * memory), and leaching takes what nobody wanted.
 */
function stepOnce(bed: Bed, step: SubStep): void {
  receiveDeposition(bed);
  stackMulch(bed, step);
  balanceWater(bed, step);
  washAndVolatilize(bed, step);
  decayNativeHumus(bed, step);
  decayLaidHumus(bed, step);
  decayChar(bed);
  decompose(bed, step);
  exchangeCharNitrogen(bed);
  age(bed);
  growCrops(bed);
  leachAndDenitrify(bed, step);
}

/** Days over which unmet demand is compared with demand (S8.9 of the model, set here). */
const PALENESS_WINDOW_DAYS = 14;
/** Seedlings below this share of their demand are too small to judge. */
const PALENESS_FROM_DEMAND_SHARE = 0.03;
const VISIBLY_PALE = 0.25;

/** Water an automatic system gives today, mm. */
export function automaticWaterMm(bed: Bed, irrigation: AutomaticIrrigation, month: number): number {
  if (!irrigation.months.includes(month)) return 0;
  const { maximumDeficitMm } = bed.constants;
  const deficit = bed.state.contactDeficitMm + bed.state.rootDeficitMm;
  const largest = maximumDeficitMm[0] + maximumDeficitMm[1];
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
  step.temperatureModifier = weather.temperatureModifier[index]!;
  step.q10Modifier = weather.q10Modifier[index]!;
  for (let s = 0; s < steps; s++) stepOnce(bed, step);
  judgePaleness(bed, step.day);
}

function judgePaleness({ state: { crops } }: Bed, day: number): void {
  for (let k = crops.firstLiving; k < crops.count; k++) {
    if (!crops.isAlive[k]) continue;
    const demand = crops.demandAtHarvest[k];
    const now = crops.progress[k];
    const earlier = smoothStep(now - PALENESS_WINDOW_DAYS / crops.lengthDays[k]);
    const recentDemand = demand * (smoothStep(now) - earlier);
    const isLargeEnough = crops.demandedN[k] > PALENESS_FROM_DEMAND_SHARE * demand;
    const paleness = isLargeEnough && recentDemand > 0 ? Math.min(1, crops.backlogN[k] / recentDemand) : 0;
    crops.paleness[k] = paleness;
    crops.palestSoFar[k] = Math.max(crops.palestSoFar[k], paleness);
    if (paleness > VISIBLY_PALE) {
      crops.paleDays[k] += 1;
      if (crops.firstPaleDay[k] === 0) crops.firstPaleDay[k] = day;
    }
  }
}
