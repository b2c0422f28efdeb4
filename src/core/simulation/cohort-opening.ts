import { clamp } from '../numerics/interpolation.ts';
import type { CharTemperature, Material, MaterialKind } from '../materials/material.ts';
import type { ModelParameters } from './parameters.ts';

/** What one application brings, g/m2 in a bed and g in a pile. Seven pools in the order of POOL_NAMES. */
export interface CohortOpening {
  readonly kind: MaterialKind;
  readonly carbonG: readonly number[];
  readonly nitrogenG: readonly number[];
  readonly ammoniumG: number;
  readonly charHeldG: number;
  readonly charCapacityG: number;
  readonly microbialCn: number;
  readonly decayRateFactor: number;
  readonly ammoniaExposure: number;
  readonly vaporBarrier: number;
  readonly charTemperature: CharTemperature;
  readonly dryMassG: number;
  readonly carbonPerDryMass: number;
  readonly dryDensityKgPerM3: number;
  readonly isLiquid: boolean;
}

const GRAMS_PER_KILOGRAM = 1000;
/** Wetter than this it flows and soaks in (S6 of the model, set here). */
const LIQUID_MOISTURE = 0.9;
const CHAR_MAJORITY = 0.5;

/** C:N of the biomass that grows on a feed (rising curve after Nicolardot et al. 2001, from memory). */
export function microbialCnForFeed(feedCarbonG: number, feedNitrogenG: number, p: ModelParameters): number {
  const feedCn = feedNitrogenG > 0 ? feedCarbonG / feedNitrogenG : 1e9;
  return clamp(
    p.biomassCnLow + p.biomassCnSlope * (feedCn - p.biomassCnOnset),
    p.biomassCnLow,
    p.biomassCnHigh,
  );
}

/** Shares organic nitrogen among the pools by weighted carbon; the rounding residue goes to the largest. */
function shareOrganicNitrogen(carbonG: readonly number[], organicG: number, p: ModelParameters): number[] {
  const weights = [
    p.quickNitrogenWeight,
    p.structuralNitrogenWeight,
    p.woodyNitrogenWeight,
    p.quickNitrogenWeight,
    p.humusNitrogenWeight,
    p.charNitrogenWeight,
    p.charNitrogenWeight,
  ];
  const weighted = carbonG.map((c, i) => c * weights[i]);
  const total = weighted.reduce((sum, w) => sum + w, 0);
  const shares = weighted.map((w) => (organicG * w) / total);
  const largest = shares.indexOf(Math.max(...shares));
  shares[largest] += organicG - shares.reduce((sum, s) => sum + s, 0);
  return shares;
}

/** Opening balances of a material, from its fresh mass in kg (per m2 in a bed). */
export const openingFromFreshMass = (
  material: Material,
  massFreshKg: number,
  p: ModelParameters,
): CohortOpening =>
  openingFromDryMass(material, GRAMS_PER_KILOGRAM * massFreshKg * (1 - material.moistureFractionWetBasis), p);

/** Opening balances of a material, from its dry mass in g (per m2 in a bed). */
export function openingFromDryMass(material: Material, dryG: number, p: ModelParameters): CohortOpening {
  const carbonG = dryG * material.carbonFractionDryBasis;
  const nitrogenG = dryG * material.nitrogenFractionDryBasis;
  const { quick, structural, woody, microbial, humus, char } = material.pools;
  const pools = [
    quick,
    structural,
    woody,
    microbial,
    humus,
    char * p.labileCharShare,
    char * (1 - p.labileCharShare),
  ].map((share) => share * carbonG);
  const allAmmonium = carbonG === 0;
  const arrivingG = allAmmonium ? nitrogenG : nitrogenG * material.ammoniumShareOfNitrogen;
  const poolsN = allAmmonium ? pools.map(() => 0) : shareOrganicNitrogen(pools, nitrogenG - arrivingG, p);
  const capacityG =
    char > CHAR_MAJORITY
      ? (dryG / GRAMS_PER_KILOGRAM) * (material.charCapacityGPerKg ?? p.charCapacityGPerKg)
      : 0;
  const heldG = material.isCharged ? Math.min(capacityG, arrivingG) : 0;
  return {
    kind: material.kind,
    carbonG: pools,
    nitrogenG: poolsN,
    ammoniumG: arrivingG - heldG,
    charHeldG: heldG,
    charCapacityG: capacityG,
    microbialCn: microbialCnForFeed(pools[0] + pools[1] + pools[2], poolsN[0] + poolsN[1] + poolsN[2], p),
    decayRateFactor: p.particleFactor[material.particleSize] * material.decayFactor,
    ammoniaExposure: material.ammoniaExposure,
    vaporBarrier: material.vaporBarrier,
    charTemperature: material.charTemperature,
    dryMassG: dryG,
    carbonPerDryMass: material.carbonFractionDryBasis,
    dryDensityKgPerM3: material.bulkDensityKgPerM3 * (1 - material.moistureFractionWetBasis),
    isLiquid: material.moistureFractionWetBasis >= LIQUID_MOISTURE,
  };
}

/** Layer thickness per gram of carbon per m2, cm; 0 for a material without carbon. */
export const thicknessCmPerGramCarbon = (opening: CohortOpening): number =>
  opening.carbonPerDryMass > 0
    ? 100 / (opening.carbonPerDryMass * GRAMS_PER_KILOGRAM * opening.dryDensityKgPerM3)
    : 0;

/** Mean residence time of stable char, days, from the share left after 100 years (IPCC 2019 form, from memory). */
export function stableCharResidenceDays(temperature: CharTemperature, p: ModelParameters): number {
  const left = p.charLeftAfter100Years[temperature];
  return (100 / Math.log((1 - p.labileCharShare) / left)) * 365;
}
