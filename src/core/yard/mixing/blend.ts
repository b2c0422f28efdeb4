import { LITRES_PER_CUBIC_METRE, type Material, total } from '../../ground/index.ts';

/** One thing in a mix. */
export interface BlendPart {
  readonly material: Material;
  readonly massFreshKg: number;
}

/** What a mix comes to. Volumes are added up, though fine material fills the gaps of coarse: the volume is an upper bound. */
export interface Blend {
  readonly massFreshKg: number;
  readonly dryKg: number;
  /** Water in the materials and what was poured on. */
  readonly waterKg: number;
  readonly volumeL: number;
  readonly carbonG: number;
  readonly nitrogenG: number;
  /** Nitrogen that is ammonium or urea on the first day. */
  readonly ammoniumNitrogenG: number;
  /** Null where there is no nitrogen. */
  readonly carbonToNitrogen: number | null;
  readonly nitrogenFractionDryBasis: number;
  readonly moistureFractionWetBasis: number;
  readonly bulkDensityKgPerM3: number;
  /** Share of the volume that is air: a rough guide. */
  readonly freeAirShare: number;
}

/** Density of organic dry matter without its pores, kg/L (general literature, from memory). */
const SOLID_KG_PER_L = 1.5;

/**
 * Carbon in a kilogram of a material as received, g.
 *
 * @example
 * carbonPerFreshKg(findLibraryMaterial('straw_cereal')) // 396
 */
export const carbonPerFreshKg = (material: Material): number =>
  1000 * (1 - material.moistureFractionWetBasis) * material.carbonFractionDryBasis;
/**
 * Nitrogen in a kilogram of a material as received, g.
 *
 * @example
 * nitrogenPerFreshKg(findLibraryMaterial('straw_cereal')) // 5.28
 */
export const nitrogenPerFreshKg = (material: Material): number =>
  1000 * (1 - material.moistureFractionWetBasis) * material.nitrogenFractionDryBasis;

const share = (top: number, bottom: number): number => (bottom > 0 ? top / bottom : 0);

/** Adds up a mix. `waterL` is poured on as well; masses in kg as they are weighed. */
export function blend(parts: readonly BlendPart[], waterL = 0): Blend {
  const sum = (of: (material: Material) => number) =>
    total(parts.map(({ material, massFreshKg }) => of(material) * massFreshKg));
  const solidsKg = sum(() => 1);
  const dryKg = sum((material) => 1 - material.moistureFractionWetBasis);
  const volumeL = sum((material) => LITRES_PER_CUBIC_METRE / material.bulkDensityKgPerM3);
  const waterKg = solidsKg - dryKg + waterL;
  const carbonG = sum(carbonPerFreshKg);
  const nitrogenG = sum(nitrogenPerFreshKg);
  const massFreshKg = solidsKg + waterL;
  const filledL = dryKg / SOLID_KG_PER_L + waterKg;
  return {
    massFreshKg,
    dryKg,
    waterKg,
    volumeL,
    carbonG,
    nitrogenG,
    ammoniumNitrogenG: sum((material) => nitrogenPerFreshKg(material) * material.ammoniumShareOfNitrogen),
    carbonToNitrogen: nitrogenG > 0 ? carbonG / nitrogenG : null,
    nitrogenFractionDryBasis: share(nitrogenG, dryKg * 1000),
    moistureFractionWetBasis: share(waterKg, massFreshKg),
    bulkDensityKgPerM3: share(massFreshKg * LITRES_PER_CUBIC_METRE, volumeL),
    freeAirShare: Math.max(0, 1 - share(filledL, volumeL)),
  };
}

/** Nitrogen to add so that the mix comes to `ratio`, g; 0 when it has enough. */
export const nitrogenToAddG = ({ carbonG, nitrogenG }: Blend, ratio: number): number =>
  Math.max(0, carbonG / ratio - nitrogenG);
