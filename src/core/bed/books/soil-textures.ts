/** Texture by feel, with the clay it stands for: middle of the class (common practice, no source). */
export const SOIL_TEXTURES = [
  { id: 'sand', clayPct: 6 },
  { id: 'sandyLoam', clayPct: 14 },
  { id: 'loam', clayPct: 20 },
  { id: 'clayLoam', clayPct: 30 },
  { id: 'clay', clayPct: 45 },
] as const;
export type SoilTexture = (typeof SOIL_TEXTURES)[number]['id'];

/**
 * Bulk density that goes with a clay content, g/cm3 (textbook order of magnitude, from memory).
 *
 * @example
 * bulkDensityOfClay(20) // 1.3
 */
export const bulkDensityOfClay = (clayPct: number): number => (clayPct < 10 ? 1.4 : clayPct < 25 ? 1.3 : 1.2);
