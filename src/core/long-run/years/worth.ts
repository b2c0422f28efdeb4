import { effortFor } from '../../bed/index.ts';
import { InputError, requireNumber } from '../../../refusals/input-error.ts';
import {
  type FindMaterial,
  LITRES_PER_CUBIC_METRE,
  phosphorusFractionDryBasis,
  potassiumFractionDryBasis,
} from '../../ground/index.ts';
import type { Bed } from '../../../records/bed.ts';
import type { GardenPrices } from '../../../records/garden.ts';
import type { Habit, LayAct } from '../../../records/habit.ts';
import { massOfLay, yearsOfAct } from './habit.ts';
import { nutrientsHeldMol, waterHeldMm, type MoreHeld } from './held-more.ts';
import type { YearPoint } from './run-years.ts';

export const NO_PRICES: GardenPrices = {
  nitrogenPerKg: null,
  phosphorusPerKg: null,
  potassiumPerKg: null,
  hour: null,
  boughtInPerM3: null,
};

/** Throws InputError naming the field for a price below nothing. */
export function checkPrices(prices: GardenPrices): void {
  for (const [field, price] of Object.entries(prices)) {
    if (price === null) continue;
    if (typeof price === 'number' && price < 0) {
      throw new InputError([field], 'negativePrice', { price });
    }
    requireNumber(price, [field], { min: 0, max: 1e6 });
  }
}

/** What a habit is worth on one bed over the years, for the whole bed. */
export interface Worth {
  readonly years: number;
  /** Set free for roots over the years beyond what the same bed gives with nothing laid. */
  readonly nitrogenGivenKg: number;
  readonly nitrogenBoughtKg: number;
  /** Bought feed the bed no longer wants: what crops would have missed with nothing laid, less what they miss now. */
  readonly feedAvoidedNitrogenKg: number;
  readonly phosphorusKg: number;
  readonly potassiumKg: number;
  readonly trips: number;
  readonly hours: number;
  /** Feed avoided and minerals returned less feed bought and hours, in the gardener's money; null without a price. */
  readonly money: number | null;
  /** In the soil and the layers beyond the same bed with nothing laid, carbon. */
  readonly humusCarbonKg: number;
  readonly lastingCharKg: readonly [low: number, likely: number, high: number];
  /** Plant-available water after a soaking, liters for the whole bed. */
  readonly waterL: MoreHeld;
  readonly nutrientsMol: MoreHeld;
}

export interface WorthSetting {
  readonly bed: Bed;
  readonly findMaterial: FindMaterial;
  readonly prices: GardenPrices;
  /** Depth that the organic matter percentage refers to, cm. */
  readonly depthCm: number;
}

const GRAMS_PER_KG = 1000;

/** `points` of the habit and `bare` of the same bed with nothing laid, over the same years. */
export function worthOf({
  habit,
  points,
  bare,
  setting,
}: {
  readonly habit: Habit;
  readonly points: readonly YearPoint[];
  readonly bare: readonly YearPoint[];
  readonly setting: WorthSetting;
}): Worth {
  checkPrices(setting.prices);
  const { bed, prices } = setting;
  const years = points.length - 1;
  const kg = (gPerM2: number) => (gPerM2 * bed.areaM2) / GRAMS_PER_KG;
  const over = (run: readonly YearPoint[], read: (point: YearPoint) => number) =>
    run.reduce((sum, point) => sum + read(point), 0);
  const more = (read: (point: YearPoint) => number) => over(points, read) - over(bare, read);
  const laid = laidOver(habit, years, setting);
  const [now, then] = [points.at(-1)!, bare.at(-1)!];
  const gain = {
    organicMatterPct: now.organicMatterPct - then.organicMatterPct,
    charCarbonG: now.charCarbonG - then.charCarbonG,
    clayPct: bed.clayPct,
    bulkDensityGPerCm3: bed.bulkDensityGPerCm3,
    depthCm: setting.depthCm,
  };
  const nitrogenBoughtKg = kg(over(points, (point) => point.nitrogenBoughtG));
  const feedAvoidedNitrogenKg = -kg(more((point) => point.cropMissedG));
  const waterMm = waterHeldMm(gain);
  const mol = nutrientsHeldMol(gain);
  return {
    years,
    nitrogenGivenKg: kg(more((point) => point.nitrogenGivenG)),
    nitrogenBoughtKg,
    feedAvoidedNitrogenKg,
    ...laid,
    money: moneyOf(prices, { nitrogenKg: feedAvoidedNitrogenKg - nitrogenBoughtKg, ...laid }),
    humusCarbonKg: kg(now.humusCarbonG - then.humusCarbonG),
    lastingCharKg: now.lastingCharG.map((g, i) => kg(g - then.lastingCharG[i])) as [number, number, number],
    waterL: { low: waterMm.low * bed.areaM2, high: waterMm.high * bed.areaM2 },
    nutrientsMol: { low: mol.low * bed.areaM2, high: mol.high * bed.areaM2 },
  };
}

/** What a habit is worth on several beds together, over the same years; at least one bed. */
export function worthTogether(beds: readonly Worth[]): Worth {
  const sum = (read: (one: Worth) => number) => beds.reduce((all, one) => all + read(one), 0);
  const held = (read: (one: Worth) => MoreHeld): MoreHeld => ({
    low: sum((one) => read(one).low),
    high: sum((one) => read(one).high),
  });
  return {
    years: beds[0].years,
    nitrogenGivenKg: sum((one) => one.nitrogenGivenKg),
    nitrogenBoughtKg: sum((one) => one.nitrogenBoughtKg),
    feedAvoidedNitrogenKg: sum((one) => one.feedAvoidedNitrogenKg),
    phosphorusKg: sum((one) => one.phosphorusKg),
    potassiumKg: sum((one) => one.potassiumKg),
    trips: sum((one) => one.trips),
    hours: sum((one) => one.hours),
    money: beds.some(({ money }) => money === null) ? null : sum((one) => one.money!),
    humusCarbonKg: sum((one) => one.humusCarbonKg),
    lastingCharKg: [
      sum((one) => one.lastingCharKg[0]),
      sum((one) => one.lastingCharKg[1]),
      sum((one) => one.lastingCharKg[2]),
    ],
    waterL: held(({ waterL }) => waterL),
    nutrientsMol: held(({ nutrientsMol }) => nutrientsMol),
  };
}

function laidOver(habit: Habit, years: number, { bed, findMaterial }: WorthSetting) {
  const sum = { phosphorusKg: 0, potassiumKg: 0, trips: 0, hours: 0 };
  for (const act of habit.acts) {
    if (act.type !== 'lay') continue;
    const times = yearsOfAct(act, years).length;
    const one = oneTime(act, bed, findMaterial);
    sum.phosphorusKg += times * one.phosphorusKg;
    sum.potassiumKg += times * one.potassiumKg;
    sum.trips += times * one.trips;
    sum.hours += times * one.hours;
  }
  return sum;
}

function oneTime(act: LayAct, { areaM2 }: Bed, findMaterial: FindMaterial) {
  const material = findMaterial(act.materialId)!;
  const massFreshKg = massOfLay(act, findMaterial) * areaM2;
  const volumeL = (massFreshKg / material.bulkDensityKgPerM3) * LITRES_PER_CUBIC_METRE;
  const dryKg = massFreshKg * (1 - material.moistureFractionWetBasis);
  const { trips, hours } = effortFor({ massFreshKg, volumeL, dugDepthCm: act.dugDepthCm }, areaM2);
  return {
    phosphorusKg: dryKg * phosphorusFractionDryBasis(act.materialId, material),
    potassiumKg: dryKg * potassiumFractionDryBasis(act.materialId, material),
    trips,
    hours,
  };
}

function moneyOf(
  prices: GardenPrices,
  {
    nitrogenKg,
    phosphorusKg,
    potassiumKg,
    hours,
  }: Record<'nitrogenKg' | 'phosphorusKg' | 'potassiumKg' | 'hours', number>,
): number | null {
  const parts = [
    [prices.nitrogenPerKg, nitrogenKg],
    [prices.phosphorusPerKg, phosphorusKg],
    [prices.potassiumPerKg, potassiumKg],
    [prices.hour, -hours],
  ] as const;
  const told = parts.filter(([price]) => price !== null);
  return told.length === 0 ? null : told.reduce((sum, [price, amount]) => sum + price! * amount, 0);
}
