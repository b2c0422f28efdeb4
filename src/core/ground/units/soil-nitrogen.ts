import type { SoilNitrogenUnit } from '../../../records/vocabulary.ts';
/** 10 000 m2 in a hectare, 1000 g in a kilogram. */
export const G_PER_M2_PER_KG_PER_HA = 0.1;
/** International pound and international acre of 4046.8564224 m2, exact. */
const G_PER_M2_PER_LB_PER_ACRE = 453.59237 / 4046.8564224;
/** 1 g/cm3 over 1 cm is 10 kg of soil on a square metre. */
const SOIL_KG_PER_M2_PER_G_PER_CM3_AND_CM = 10;

/** What a sample was taken of. */
export interface SampledSoil {
  readonly sampledDepthCm: number;
  readonly bulkDensityGPerCm3: number;
}

/**
 * Mineral nitrogen of the sampled depth, g/m2, as a laboratory reported it.
 *
 * @example
 * mineralNitrogenGPerM2(50, 'kgPerHa', { sampledDepthCm: 30, bulkDensityGPerCm3: 1.3 }) // 5
 */
export function mineralNitrogenGPerM2(amount: number, unit: SoilNitrogenUnit, soil: SampledSoil): number {
  switch (unit) {
    case 'gPerM2':
      return amount;
    case 'kgPerHa':
      return amount * G_PER_M2_PER_KG_PER_HA;
    case 'lbPerAcre':
      return amount * G_PER_M2_PER_LB_PER_ACRE;
    case 'mgPerKg': {
      const soilKg = soil.bulkDensityGPerCm3 * soil.sampledDepthCm * SOIL_KG_PER_M2_PER_G_PER_CM3_AND_CM;
      return (amount * soilKg) / 1000;
    }
  }
}
