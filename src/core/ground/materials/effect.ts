import { CHAR_MAJORITY_SHARE, type Material, carbonToNitrogenRatio } from './material.ts';

/** What a material does to the nitrogen of a soil it is dug into, in the first season. */
export const MATERIAL_EFFECTS = ['feedsNow', 'feedsSlowly', 'locksUp', 'lasting', 'mineral'] as const;
export type MaterialEffect = (typeof MATERIAL_EFFECTS)[number];

/** From this share on, what comes as ammonium or urea feeds at once (set here). */
const AMMONIUM_SHARE = 0.25;
/** Below the first C:N it feeds within weeks, below the second within the season, above it locks nitrogen up (rule of composting handbooks, from memory). */
const FEEDS_NOW_BELOW = 10;
const FEEDS_BELOW = 30;
/** Hair, wool and horn chips take a season and more (set here). */
const SLOW_BELOW = 0.6;

/**
 * What a material does, by its figures alone.
 *
 * @example
 * effectOf(findLibraryMaterial('sawdust_hardwood')) // "locksUp"
 */
export function effectOf(material: Material): MaterialEffect {
  const { pools, nitrogenFractionDryBasis, ammoniumShareOfNitrogen, decayFactor } = material;
  if (pools.char > CHAR_MAJORITY_SHARE) return 'lasting';
  if (material.carbonFractionDryBasis === 0 && nitrogenFractionDryBasis === 0) return 'mineral';
  if (ammoniumShareOfNitrogen >= AMMONIUM_SHARE) return 'feedsNow';
  const ratio = carbonToNitrogenRatio(material);
  if (ratio < FEEDS_NOW_BELOW && decayFactor >= SLOW_BELOW && pools.humus === 0) return 'feedsNow';
  return ratio < FEEDS_BELOW ? 'feedsSlowly' : 'locksUp';
}
