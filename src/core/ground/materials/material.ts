import type { CharTemperature } from '../../../records/vocabulary.ts';
export const PARTICLE_SIZES = ['fine', 'chip', 'coarse', 'log'] as const;
export type ParticleSize = (typeof PARTICLE_SIZES)[number];

/** Char share of the carbon above which a material holds nitrogen as char does (set here). */
export const CHAR_MAJORITY_SHARE = 0.5;

export const MATERIAL_KINDS = [
  'wood',
  'residue',
  'leaf',
  'green',
  'manure',
  'compost',
  'paper',
  'fertiliser',
  'char',
  'none',
] as const;
export type MaterialKind = (typeof MATERIAL_KINDS)[number];

/** What else has to be minded of a material; a material of one's own has those of what it is like. */
export const MATERIAL_TRAITS = [
  /** What it was fed or grown with may have been sprayed with weedkillers that outlast composting. */
  'mayCarryWeedkiller',
  /** Copper, zinc, lead, cadmium or arsenic in amounts that add up. */
  'mayHoldMetals',
  /** Shreds of glass and plastic. */
  'mayHoldPlastic',
  'isSalty',
  /** Raises pH so far that ammonium leaves as ammonia. */
  'drivesOffAmmonia',
  'isUrine',
  'isWoodAsh',
  /** Rotted through: its nitrogen is bound, it smells of earth, and ash does it no harm. */
  'isMature',
] as const;
export type MaterialTrait = (typeof MATERIAL_TRAITS)[number];

/** What lies on top for cover and can be pulled off again. */
export const MULCH_KINDS: ReadonlySet<MaterialKind> = new Set(['wood', 'residue', 'leaf']);

/** Shares of the carbon of a material; they add up to 1. */
export interface CarbonPools {
  readonly quick: number;
  readonly structural: number;
  readonly woody: number;
  readonly microbial: number;
  readonly humus: number;
  readonly char: number;
}

/** What a material is, as far as the books need to know. All shares are fractions from 0 to 1. */
export interface Material {
  readonly kind: MaterialKind;
  readonly moistureFractionWetBasis: number;
  readonly carbonFractionDryBasis: number;
  readonly nitrogenFractionDryBasis: number;
  /** Share of the nitrogen that arrives as ammonium or urea. */
  readonly ammoniumShareOfNitrogen: number;
  /** Loose, as received. */
  readonly bulkDensityKgPerM3: number;
  readonly pools: CarbonPools;
  readonly particleSize: ParticleSize;
  /** Decay relative to the reference material of the same particle size. */
  readonly decayFactor: number;
  /** How freely its ammonium escapes as ammonia, 0 to 1. */
  readonly ammoniaExposure: number;
  /** Share of vapor and wash-through stopped by an intact sheet, 0 to 1. */
  readonly vaporBarrier: number;
  readonly charTemperature: CharTemperature;
  /** Ammonium a char can hold, g N per kg dry mass; the model default when absent. */
  readonly charCapacityGPerKg?: number;
  readonly isCharged: boolean;
  /** Minerals of the dry mass, 0 to 1; when absent, what its organic matter leaves over. */
  readonly ashFractionDryBasis?: number;
  /** Share of its organic nitrogen tied to lignin or tannin, 0 to 1; none when absent. */
  readonly boundNitrogenShare?: number;
  /** Factor on the share of it that becomes humus; 1 when absent. */
  readonly humificationFactor?: number;
  readonly traits?: readonly MaterialTrait[];
  /** Library material whose minerals it has, when it is none itself. */
  readonly mineralsLike?: string;
}

/** Whether a material has a trait; one that is not known has none. */
export const hasTrait = (material: Pick<Material, 'traits'> | undefined, trait: MaterialTrait): boolean =>
  material?.traits?.includes(trait) ?? false;

/** A material of the seed library, with its ranges and where its values come from. */
export interface LibraryMaterial extends Material {
  readonly id: string;
  readonly name: string;
  /** What else it is called. */
  readonly synonyms: readonly string[];
  readonly moistureRange: readonly [low: number, high: number];
  /** Null for a material without carbon. */
  readonly carbonToNitrogenRange: readonly [low: number, high: number] | null;
  readonly source: string;
}

/** What a material description may leave out. */
export const MATERIAL_DEFAULTS = {
  kind: 'none',
  ammoniumShareOfNitrogen: 0,
  particleSize: 'fine',
  decayFactor: 1,
  ammoniaExposure: 0,
  vaporBarrier: 0,
  charTemperature: 'medium',
  isCharged: false,
} as const satisfies Partial<Material>;

/**
 * Carbon to nitrogen ratio by mass; Infinity for carbon without nitrogen, 0 for nitrogen without carbon.
 *
 * @example
 * carbonToNitrogenRatio(findLibraryMaterial('sawdust_hardwood')) // 445
 */
export function carbonToNitrogenRatio(material: Material): number {
  if (material.carbonFractionDryBasis === 0) return 0;
  return material.carbonFractionDryBasis / material.nitrogenFractionDryBasis;
}
