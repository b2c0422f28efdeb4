import type { ClimateNormals } from '../../../records/garden.ts';
import {
  type MaterialKind,
  maximumDeficitPer23Cm,
  moistureModifier,
  respiredPerKept,
  temperatureModifier,
} from '../../ground/index.ts';
import { byMonth, type OpinionSetting } from './carbon-feed.ts';

/**
 * The five-pool model of Coleman and Jenkinson (1996), RothC-26.3: parameters from memory. Decomposable and resistant
 * plant matter, biomass and humus decay month by month; inert carbon stays.
 */
export const FIVE_POOL_RATES_PER_YEAR = { dpm: 10, rpm: 0.3, bio: 0.66, hum: 0.02 } as const;
/** Of what is kept, the part that becomes biomass; the rest becomes humus. */
export const BIOMASS_OF_KEPT = 0.46;
/** Decay is slower under plants. */
export const PLANT_COVER = { planted: 0.6, bare: 1 } as const;

/** Shares of fresh carbon by what it comes from: decomposable, resistant, humus. */
export type PlantShares = readonly [dpm: number, rpm: number, hum: number];
export const CROP_SHARES: PlantShares = [0.59, 0.41, 0];
export const WOODY_SHARES: PlantShares = [0.2, 0.8, 0];
export const MANURE_SHARES: PlantShares = [0.49, 0.49, 0.02];

const WOODY: ReadonlySet<MaterialKind> = new Set(['wood', 'paper']);
const MANURES: ReadonlySet<MaterialKind> = new Set(['manure', 'compost']);

export const plantSharesOf = (kind: MaterialKind): PlantShares =>
  WOODY.has(kind) ? WOODY_SHARES : MANURES.has(kind) ? MANURE_SHARES : CROP_SHARES;

/**
 * Share of decayed carbon that is kept as biomass and humus, at so much clay.
 *
 * @example
 * keptShare(20) // 0.215
 */
export const keptShare = (clayPct: number): number => 1 / (1 + respiredPerKept(clayPct));

export interface FivePools {
  readonly dpm: number;
  readonly rpm: number;
  readonly bio: number;
  readonly hum: number;
}

/** The pools after so many years at one rate modifier (a times b times c). */
export function decayFivePools({
  pools,
  rateModifier,
  years,
  clayPct,
}: {
  readonly pools: FivePools;
  readonly rateModifier: number;
  readonly years: number;
  readonly clayPct: number;
}): FivePools {
  const left = (pool: keyof FivePools) => Math.exp(-FIVE_POOL_RATES_PER_YEAR[pool] * rateModifier * years);
  const dpm = pools.dpm * left('dpm');
  const rpm = pools.rpm * left('rpm');
  const bio = pools.bio * left('bio');
  const hum = pools.hum * left('hum');
  const decayed = pools.dpm - dpm + (pools.rpm - rpm) + (pools.bio - bio) + (pools.hum - hum);
  const kept = decayed * keptShare(clayPct);
  return { dpm, rpm, bio: bio + kept * BIOMASS_OF_KEPT, hum: hum + kept * (1 - BIOMASS_OF_KEPT) };
}

/** Air temperature at or below which nothing decays, and the cap on the modifier, as elsewhere in the books. */
const FROZEN_C = -5;
const LARGEST_MODIFIER = 6;

/** Bare soil dries to no more than this share of the largest deficit under plants (1 / 1.8, from memory). */
const BARE_DEFICIT_SHARE = 1 / 1.8;
const ALL_YEAR: ReadonlySet<number> = new Set([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);

/**
 * Temperature times moisture modifier of every month, January first. The topsoil deficit grows by evaporation less rain
 * (three quarters of what an open pan loses is what a green cover loses), less far where the soil is bare, and runs on
 * through two years.
 */
export function monthlyRateModifiers(
  { temperatureC, rainMm, evapotranspirationMm }: ClimateNormals,
  clayPct: number,
  plantedMonths: ReadonlySet<number> = ALL_YEAR,
): number[] {
  const largest = maximumDeficitPer23Cm(clayPct);
  let deficit = 0;
  let moisture: number[] = [];
  for (let year = 0; year < 2; year++) {
    moisture = rainMm.map((rain, m) => {
      // What plants have dried out further stays dry until it rains.
      const limit = plantedMonths.has(m + 1) ? largest : Math.max(deficit, largest * BARE_DEFICIT_SHARE);
      deficit = Math.min(limit, Math.max(0, deficit + evapotranspirationMm[m] - rain));
      return moistureModifier(deficit, largest);
    });
  }
  return moisture.map((b, m) => temperatureModifier(temperatureC[m], FROZEN_C, LARGEST_MODIFIER) * b);
}

/**
 * Carbon of biomass, humus and inert matter on the days asked for, g/m2: what compares with the humus of the books.
 * All opening carbon beyond the inert starts as humus with the biomass that lives on it.
 */
export function fivePoolOpinion(setting: OpinionSetting): number[] {
  const { climate, clayPct, openingCarbonG, inertCarbonG, startDay, inputs, plantedMonths, lookDays } =
    setting;
  const modifiers = monthlyRateModifiers(climate, clayPct, plantedMonths);
  const active = openingCarbonG - inertCarbonG;
  const bioShare = biomassBesideHumus(clayPct);
  let pools: FivePools = { dpm: 0, rpm: 0, bio: active * bioShare, hum: active * (1 - bioShare) };
  let from = startDay;
  const looks: number[] = [];
  const advance = (untilDay: number, month: number) => {
    const cover = plantedMonths.has(month) ? PLANT_COVER.planted : PLANT_COVER.bare;
    pools = decayFivePools({
      pools,
      rateModifier: modifiers[month - 1] * cover,
      years: (untilDay - from) / 365.25,
      clayPct,
    });
    from = untilDay;
  };
  for (const { month, untilDay, inputs: fed } of byMonth(startDay, lookDays.at(-1)! + 1, inputs)) {
    for (const look of lookDays) {
      if (look < from || look >= untilDay) continue;
      advance(look, month);
      looks.push(pools.bio + pools.hum + inertCarbonG);
    }
    advance(untilDay, month);
    for (const { kind, carbonG } of fed) {
      const [dpm, rpm, hum] = plantSharesOf(kind);
      pools = {
        ...pools,
        dpm: pools.dpm + carbonG * dpm,
        rpm: pools.rpm + carbonG * rpm,
        hum: pools.hum + carbonG * hum,
      };
    }
  }
  return looks;
}

/** Share of biomass in biomass and humus once the two keep pace. */
export function biomassBesideHumus(clayPct: number): number {
  const { bio, hum } = FIVE_POOL_RATES_PER_YEAR;
  const made = keptShare(clayPct) * BIOMASS_OF_KEPT;
  const perHumus = (made * hum) / (bio * (1 - made));
  return perHumus / (1 + perHumus);
}
