import { CHAR_TEMPERATURES } from '../../../records/vocabulary.ts';
import { InputError, requireNumber, requireOneOf, type FieldPath } from '../../../refusals/input-error.ts';
import {
  CHAR_MAJORITY_SHARE,
  MATERIAL_KINDS,
  MATERIAL_TRAITS,
  PARTICLE_SIZES,
  type CarbonPools,
  type Material,
} from './material.ts';

const SHARE = { min: 0, max: 1 } as const;
const WETTEST = 0.999;
const POOL_SUM_TOLERANCE = 1e-6;

/** Throws InputError naming the field unless `material` describes something that can exist. */
export function checkMaterial(material: Material, path: FieldPath): void {
  const at = (name: string) => [...path, name];
  requireOneOf(material.kind, at('kind'), MATERIAL_KINDS);
  requireNumber(material.moistureFractionWetBasis, at('moistureFractionWetBasis'), { min: 0, max: WETTEST });
  requireNumber(material.carbonFractionDryBasis, at('carbonFractionDryBasis'), SHARE);
  requireNumber(material.nitrogenFractionDryBasis, at('nitrogenFractionDryBasis'), SHARE);
  requireNumber(material.ammoniumShareOfNitrogen, at('ammoniumShareOfNitrogen'), SHARE);
  requireNumber(material.bulkDensityKgPerM3, at('bulkDensityKgPerM3'), { above: 0 });
  requireOneOf(material.particleSize, at('particleSize'), PARTICLE_SIZES);
  requireNumber(material.decayFactor, at('decayFactor'), { min: 0 });
  requireNumber(material.ammoniaExposure, at('ammoniaExposure'), SHARE);
  requireNumber(material.vaporBarrier, at('vaporBarrier'), SHARE);
  material.traits?.forEach((trait, i) => requireOneOf(trait, [...at('traits'), i], MATERIAL_TRAITS));
  requireOneOf(material.charTemperature, at('charTemperature'), CHAR_TEMPERATURES);
  if (material.charCapacityGPerKg !== undefined) {
    requireNumber(material.charCapacityGPerKg, at('charCapacityGPerKg'), { min: 0 });
  }
  if (material.ashFractionDryBasis !== undefined) {
    requireNumber(material.ashFractionDryBasis, at('ashFractionDryBasis'), SHARE);
  }
  if (material.boundNitrogenShare !== undefined) {
    requireNumber(material.boundNitrogenShare, at('boundNitrogenShare'), SHARE);
  }
  if (material.humificationFactor !== undefined) {
    requireNumber(material.humificationFactor, at('humificationFactor'), { min: 0, max: 10 });
  }
  checkPools(material.pools, at('pools'));
  refuseForeign(material, at);
}

/** Fields that mean something only for char, or only for what holds nitrogen in wood, are refused on anything else. */
function refuseForeign(material: Material, at: (name: string) => FieldPath): void {
  const { pools, charCapacityGPerKg, isCharged, boundNitrogenShare = 0 } = material;
  if (pools.char <= CHAR_MAJORITY_SHARE && charCapacityGPerKg !== undefined) {
    throw new InputError(at('charCapacityGPerKg'), 'belongsToChar');
  }
  if (pools.char <= CHAR_MAJORITY_SHARE && isCharged) {
    throw new InputError(at('isCharged'), 'belongsToChar');
  }
  if (boundNitrogenShare > 0 && pools.woody === 0) {
    throw new InputError(at('boundNitrogenShare'), 'bindsToWood');
  }
}

function checkPools(pools: CarbonPools, path: FieldPath): void {
  const names = ['quick', 'structural', 'woody', 'microbial', 'humus', 'char'] as const;
  const sum = names.reduce((total, name) => total + requireNumber(pools[name], [...path, name], SHARE), 0);
  if (Math.abs(sum - 1) > POOL_SUM_TOLERANCE) {
    throw new InputError(path, 'sharesDoNotAddUp', { sum });
  }
}
