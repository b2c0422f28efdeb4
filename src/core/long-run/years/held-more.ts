import { ORGANIC_MATTER_PER_CARBON } from '../../model/index.ts';

/**
 * What organic matter and char let a soil hold more of, as ranges: published averages from memory, wide because soils
 * differ more than any average.
 */
export interface MoreHeld {
  readonly low: number;
  readonly high: number;
}

export interface SoilGain {
  /** Rise of organic matter beneath the layers, % of the soil's weight. */
  readonly organicMatterPct: number;
  /** Char in the soil, carbon, g/m2. */
  readonly charCarbonG: number;
  readonly clayPct: number;
  readonly bulkDensityGPerCm3: number;
  /** Depth the gain lies in, cm. */
  readonly depthCm: number;
}

/**
 * Plant-available water per 100 mm of soil for 1 % more organic carbon, mm: 1.16 on average, more in sand and least in
 * clay (Minasny and McBratney 2018, from memory; the ends of each band are set here around their averages by texture).
 */
export const WATER_MM_PER_PCT_CARBON = {
  sand: { low: 1.1, high: 2.1 },
  loam: { low: 0.8, high: 1.6 },
  clay: { low: 0.4, high: 1.2 },
} as const;

const CARBON_PER_ORGANIC_MATTER = 1 / ORGANIC_MATTER_PER_CARBON;
const SANDY_BELOW_CLAY_PCT = 15;
const CLAYEY_FROM_CLAY_PCT = 35;

export type SoilTexture = keyof typeof WATER_MM_PER_PCT_CARBON;
export const textureOf = (clayPct: number): SoilTexture =>
  clayPct < SANDY_BELOW_CLAY_PCT ? 'sand' : clayPct >= CLAYEY_FROM_CLAY_PCT ? 'clay' : 'loam';

/**
 * Plant-available water per kg of char in the soil, liters: nothing to as much as half its own weight, toward the upper
 * end in sand (order of magnitude of pot and field reviews, from memory).
 */
const WATER_L_PER_KG_CHAR = {
  sand: { low: 0.1, high: 0.5 },
  loam: { low: 0, high: 0.3 },
  clay: { low: 0, high: 0.15 },
} as const;
/** Carbon in char, share of its mass (the library's chars lie near it). */
const CARBON_IN_CHAR = 0.75;

/** Plant-available water the soil holds more of after a soaking, mm. */
export function waterHeldMm(gain: SoilGain): MoreHeld {
  const texture = textureOf(gain.clayPct);
  const byCarbon = WATER_MM_PER_PCT_CARBON[texture];
  const hundreds = gain.depthCm / 10;
  const carbonPct = gain.organicMatterPct * CARBON_PER_ORGANIC_MATTER;
  const charKg = gain.charCarbonG / CARBON_IN_CHAR / 1000;
  const byChar = WATER_L_PER_KG_CHAR[texture];
  const ends = [
    carbonPct * byCarbon.low * hundreds + charKg * byChar.low,
    carbonPct * byCarbon.high * hundreds + charKg * byChar.high,
  ];
  return { low: Math.min(...ends), high: Math.max(...ends) };
}

/** Exchange capacity of organic matter and of weathered char, cmol per kg (textbook ranges, from memory). */
export const EXCHANGE_CMOL_PER_KG = {
  organicMatter: { low: 100, high: 250 },
  char: { low: 10, high: 60 },
} as const;

/** Exchangeable nutrients the soil can hold more of, mol of charge per m2. */
export function nutrientsHeldMol(gain: SoilGain): MoreHeld {
  const soilKg = gain.bulkDensityGPerCm3 * gain.depthCm * 10;
  const organicKg = (gain.organicMatterPct / 100) * soilKg;
  const charKg = gain.charCarbonG / CARBON_IN_CHAR / 1000;
  const { organicMatter, char } = EXCHANGE_CMOL_PER_KG;
  const ends = [
    (organicKg * organicMatter.low + charKg * char.low) / 100,
    (organicKg * organicMatter.high + charKg * char.high) / 100,
  ];
  return { low: Math.min(...ends), high: Math.max(...ends) };
}
