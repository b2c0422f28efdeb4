import { requireNumber } from '../../../refusals/input-error.ts';
import type { CharTemperature } from '../../../records/vocabulary.ts';

/**
 * Share of char carbon left after 100 years and its 95 % half-width, by firing: 350-450, 450-600, above 600 C
 * (IPCC 2019 Refinement, volume 4, appendix 4, table 4AP.2, from memory).
 */
export const CARBON_LEFT_AFTER_100_YEARS: Readonly<
  Record<CharTemperature, { readonly share: number; readonly plusMinus: number }>
> = {
  low: { share: 0.65, plusMinus: 0.15 },
  medium: { share: 0.8, plusMinus: 0.11 },
  high: { share: 0.89, plusMinus: 0.13 },
};

/** Least share of the carbon of a char left after 100 years, by the atoms of hydrogen to each of organic carbon. */
const LEAST_LEFT_BY_HYDROGEN = [
  { hydrogenToCarbonUpTo: 0.4, leastShare: 0.7 },
  { hydrogenToCarbonUpTo: 0.7, leastShare: 0.5 },
] as const;

/**
 * What at least outlasts a century of a char whose H:C a laboratory measured (Budai et al. 2013 for the International Biochar
 * Initiative, from memory); null above 0.7, where nothing is vouched for: it is little more than toasted wood.
 *
 * @example
 * leastLeftByHydrogen(0.35) // 0.7
 */
export function leastLeftByHydrogen(hydrogenToCarbon: number): number | null {
  requireNumber(hydrogenToCarbon, ['hydrogenToCarbon'], { min: 0, max: 2 });
  return (
    LEAST_LEFT_BY_HYDROGEN.find((one) => hydrogenToCarbon <= one.hydrogenToCarbonUpTo)?.leastShare ?? null
  );
}

/** Molar mass of carbon dioxide over that of carbon. */
const CO2_PER_CARBON = 44.009 / 12.011;

export interface LastingCarbon {
  readonly carbonKg: number;
  /** Still there in 100 years: least, likely, most. */
  readonly lastingKg: readonly [low: number, likely: number, high: number];
  /** The same as carbon dioxide not in the air. Not a credit: smoke, methane and the wood's other fate are left out. */
  readonly co2Kg: readonly [low: number, likely: number, high: number];
}

/** Carbon of a char that outlasts a century. `carbonKg` at least 0. */
export function lastingCarbon(carbonKg: number, charTemperature: CharTemperature): LastingCarbon {
  requireNumber(carbonKg, ['carbonKg'], { min: 0 });
  const { share, plusMinus } = CARBON_LEFT_AFTER_100_YEARS[charTemperature];
  const shares = [share - plusMinus, share, Math.min(1, share + plusMinus)] as const;
  const lasting = shares.map((one) => one * carbonKg) as [number, number, number];
  return {
    carbonKg,
    lastingKg: lasting,
    co2Kg: lasting.map((kg) => kg * CO2_PER_CARBON) as [number, number, number],
  };
}
