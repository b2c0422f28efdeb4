import type { CharTemperature } from '../../../records/vocabulary.ts';
import { type Material, type MaterialKind, clamp, total } from '../../ground/index.ts';
import type { ModelParameters } from './parameters.ts';

/** What one application brings, g/m2 in a bed and g in a pile. Seven pools in the order of POOL_NAMES. */
export interface CohortOpening {
  readonly kind: MaterialKind;
  readonly carbonG: readonly number[];
  readonly nitrogenG: readonly number[];
  readonly ammoniumG: number;
  /** Mineral nitrogen that has turned into nitrate before it was laid; none in a material or a pile of a scenario. */
  readonly nitrateG: number;
  readonly charHeldG: number;
  readonly charCapacityG: number;
  readonly microbialCn: number;
  readonly decayRateFactor: number;
  readonly ammoniaExposure: number;
  readonly vaporBarrier: number;
  readonly charTemperature: CharTemperature;
  readonly dryMassG: number;
  /** Minerals in it. */
  readonly ashG: number;
  readonly dryDensityKgPerM3: number;
  readonly isLiquid: boolean;
  /** Share of unrotted pieces that pass the sieve of a laboratory, 0 to 1. */
  readonly sievedShare: number;
  /** Factor on the share of it that becomes humus. */
  readonly humificationFactor: number;
}

const GRAMS_PER_KILOGRAM = 1000;
/** Dry mass over carbon: organic matter of plants is half carbon, of char five sixths (textbooks, from memory). */
const PLANT_MASS_PER_CARBON = 2;
const CHAR_MASS_PER_CARBON = 1.2;

/** C:N of what decomposers eat: quick, structural and woody matter. So high that nothing is lacking is 1e9. */
export function feedCarbonToNitrogen({
  carbonG: [quickC, structuralC, woodyC],
  nitrogenG: [quickN, structuralN, woodyN],
}: Pick<CohortOpening, 'carbonG' | 'nitrogenG'>): number {
  const nitrogenG = quickN + structuralN + woodyN;
  return nitrogenG > 0 ? (quickC + structuralC + woodyC) / nitrogenG : 1e9;
}

/**
 * C:N of the biomass that grows on a feed (rising curve after Nicolardot et al. 2001, from memory).
 *
 * @example
 * microbialCnForFeed(60, defaultParameters) // 8.44
 */
export const microbialCnForFeed = (feedCn: number, p: ModelParameters): number =>
  clamp(p.biomassCnLow + p.biomassCnSlope * (feedCn - p.biomassCnOnset), p.biomassCnLow, p.biomassCnHigh);

/** Ammonia-prone share of what a cohort sets free on the surface, 0 to 1: only rich matter smells. */
export const ammoniaProneShare = (opening: CohortOpening, p: ModelParameters): number =>
  opening.ammoniaExposure *
  clamp((p.ammoniaFreeFeedCn - feedCarbonToNitrogen(opening)) / p.ammoniaFeedCnSpan, 0, 1);

/**
 * Shares organic nitrogen among the pools by weighted carbon; a bound share goes to the woody pool, the rounding
 * residue to the largest.
 */
function shareOrganicNitrogen(
  carbonG: readonly number[],
  organicG: number,
  boundShare: number,
  p: ModelParameters,
): number[] {
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
  const sum = weighted.reduce((all, w) => all + w, 0);
  const bound = carbonG[WOODY] > 0 ? boundShare : 0;
  const shares = weighted.map((w) => ((organicG * w) / sum) * (1 - bound));
  shares[WOODY] += organicG * bound;
  const largest = shares.indexOf(Math.max(...shares));
  shares[largest] += organicG - shares.reduce((all, share) => all + share, 0);
  return shares;
}

const WOODY = 2;

/** Minerals of a dry mass, where the material does not state them: what its organic matter leaves over, g. */
function ashLeftOver(dryG: number, carbonG: number, charShare: number): number {
  const massPerCarbon = PLANT_MASS_PER_CARBON - (PLANT_MASS_PER_CARBON - CHAR_MASS_PER_CARBON) * charShare;
  return Math.max(0, dryG - carbonG * massPerCarbon);
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
  const poolsN = allAmmonium
    ? pools.map(() => 0)
    : shareOrganicNitrogen(pools, nitrogenG - arrivingG, material.boundNitrogenShare ?? 0, p);
  const capacityG =
    char > p.charMajorityShare
      ? (dryG / GRAMS_PER_KILOGRAM) * (material.charCapacityGPerKg ?? p.charCapacityGPerKg)
      : 0;
  const heldG = material.isCharged ? Math.min(capacityG, arrivingG) : 0;
  return {
    kind: material.kind,
    carbonG: pools,
    nitrogenG: poolsN,
    ammoniumG: arrivingG - heldG,
    nitrateG: 0,
    charHeldG: heldG,
    charCapacityG: capacityG,
    microbialCn: microbialCnForFeed(feedCarbonToNitrogen({ carbonG: pools, nitrogenG: poolsN }), p),
    decayRateFactor: p.particleFactor[material.particleSize] * material.decayFactor,
    ammoniaExposure: material.ammoniaExposure,
    vaporBarrier: material.vaporBarrier,
    charTemperature: material.charTemperature,
    dryMassG: dryG,
    ashG:
      material.ashFractionDryBasis === undefined
        ? ashLeftOver(dryG, carbonG, char)
        : dryG * material.ashFractionDryBasis,
    dryDensityKgPerM3: material.bulkDensityKgPerM3 * (1 - material.moistureFractionWetBasis),
    isLiquid: material.moistureFractionWetBasis >= p.liquidMoisture,
    sievedShare: p.sievedShare[material.particleSize],
    humificationFactor: material.humificationFactor ?? 1,
  };
}

/** Thickness of a fresh layer per gram of its carbon and per gram of its minerals, cm; 0 for what it has none of. */
export function thicknessPerGram(
  opening: CohortOpening,
  p: ModelParameters,
): { readonly carbonCm: number; readonly ashCm: number } {
  const carbonG = total(opening.carbonG);
  const freshCm = (opening.dryMassG / GRAMS_PER_KILOGRAM / opening.dryDensityKgPerM3) * 100;
  const mineralCm = opening.ashG / (p.ashDensityGPerCm3 * SQUARE_CM_PER_M2);
  const mineralShare = freshCm > 0 ? Math.min(p.largestAshVolume, mineralCm / freshCm) : 0;
  return {
    carbonCm: carbonG > 0 ? (freshCm * (1 - mineralShare)) / carbonG : 0,
    ashCm: opening.ashG > 0 ? (freshCm * mineralShare) / opening.ashG : 0,
  };
}

const SQUARE_CM_PER_M2 = 10_000;

/**
 * Mean residence time of stable char at the reference temperature, days, from the share left after 100 years (IPCC 2019 form, from memory).
 *
 * @example
 * stableCharResidenceDays('high', defaultParameters) // 424051
 */
export function stableCharResidenceDays(temperature: CharTemperature, p: ModelParameters): number {
  const left = p.charLeftAfter100Years[temperature];
  return (100 / Math.log((1 - p.labileCharShare) / left)) * 365;
}
