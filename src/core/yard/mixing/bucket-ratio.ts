import { LITRES_PER_CUBIC_METRE, type LibraryMaterial, type Material, total } from '../../ground/index.ts';
import { blend, carbonPerFreshKg, nitrogenPerFreshKg, type Blend } from './blend.ts';

/** So many buckets of a material. */
export interface Buckets {
  readonly material: Material;
  readonly buckets: number;
}

/** What a ratio by the bucket truly is. */
export interface BucketRatio {
  readonly blend: Blend;
  /** The same ratio with the materials at the ends of their usual ranges; null where no range is known. */
  readonly likely: readonly [low: number, high: number] | null;
  /** Share of each part in the carbon, the nitrogen, the dry mass and the volume of the mix. */
  readonly shares: readonly {
    readonly volume: number;
    readonly dryMass: number;
    readonly carbon: number;
    readonly nitrogen: number;
  }[];
}

const ONE_BUCKET_L = 10;

const kgOf = ({ material, buckets }: Buckets): number =>
  (buckets * ONE_BUCKET_L * material.bulkDensityKgPerM3) / LITRES_PER_CUBIC_METRE;

const hasRange = (material: Material): material is LibraryMaterial =>
  'carbonToNitrogenRange' in material && material.carbonToNitrogenRange !== null;

const atRatio = (material: Material, ratio: number): Material => ({
  ...material,
  nitrogenFractionDryBasis: material.carbonFractionDryBasis / ratio,
});

function likelyRatio(parts: readonly Buckets[]): [number, number] | null {
  if (!parts.every(({ material }) => hasRange(material))) return null;
  const at = (end: 0 | 1) =>
    blend(
      parts.map((part) => {
        const range = (part.material as LibraryMaterial).carbonToNitrogenRange!;
        return { material: atRatio(part.material, range[end]), massFreshKg: kgOf(part) };
      }),
    ).carbonToNitrogen!;
  return [at(0), at(1)];
}

/**
 * What so many buckets of each really come to: a bucket of something light and dry holds a fraction of the carbon or
 * nitrogen that a bucket of something dense and rich does.
 */
export function bucketRatio(parts: readonly Buckets[]): BucketRatio {
  const mix = blend(parts.map((part) => ({ material: part.material, massFreshKg: kgOf(part) })));
  const buckets = total(parts.map((part) => part.buckets));
  return {
    blend: mix,
    likely: likelyRatio(parts),
    shares: parts.map((part) => {
      const kg = kgOf(part);
      return {
        volume: buckets > 0 ? part.buckets / buckets : 0,
        dryMass: (kg * (1 - part.material.moistureFractionWetBasis)) / mix.dryKg,
        carbon: mix.carbonG > 0 ? (kg * carbonPerFreshKg(part.material)) / mix.carbonG : 0,
        nitrogen: mix.nitrogenG > 0 ? (kg * nitrogenPerFreshKg(part.material)) / mix.nitrogenG : 0,
      };
    }),
  };
}

/** What a bucket of so many liters holds of a material, loose. */
export function bucketHolds(
  material: Material,
  bucketL: number,
): { readonly dryKg: number; readonly nitrogenG: number } {
  const massFreshKg = (material.bulkDensityKgPerM3 * bucketL) / LITRES_PER_CUBIC_METRE;
  return {
    dryKg: massFreshKg * (1 - material.moistureFractionWetBasis),
    nitrogenG: massFreshKg * nitrogenPerFreshKg(material),
  };
}
