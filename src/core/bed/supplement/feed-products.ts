import { LITRES_PER_CUBIC_METRE, findLibraryMaterial } from '../../ground/index.ts';
import type { Bed } from '../../../records/bed.ts';
import { firstSeasonAvailability, nitrogenGPerKgFresh, productMassFreshKg } from './product.ts';

/** A nitrogen carrier a gardener can reach for. */
export interface FeedProduct {
  readonly materialId: string;
  /** Most nitrogen in one go on medium ground, g/m2 (common practice, no source). */
  readonly largestDoseGPerM2: number;
  /** Quick nitrogen leaches: on sand it goes in half doses (common practice, no source). */
  readonly isQuick: boolean;
  /** Parts of water to one part of it; 0 when it is not poured. */
  readonly dilution: number;
}

export const FEED_PRODUCTS: readonly FeedProduct[] = [
  { materialId: 'feather_meal', largestDoseGPerM2: 12, isQuick: false, dilution: 0 },
  { materialId: 'blood_meal', largestDoseGPerM2: 8, isQuick: true, dilution: 0 },
  { materialId: 'poultry_pellets', largestDoseGPerM2: 8, isQuick: false, dilution: 0 },
  { materialId: 'alfalfa_meal', largestDoseGPerM2: 12, isQuick: false, dilution: 0 },
  { materialId: 'fish_emulsion', largestDoseGPerM2: 3, isQuick: true, dilution: 100 },
  { materialId: 'urine', largestDoseGPerM2: 5, isQuick: true, dilution: 10 },
  { materialId: 'compost_manure', largestDoseGPerM2: 10, isQuick: false, dilution: 0 },
  { materialId: 'worm_castings', largestDoseGPerM2: 10, isQuick: false, dilution: 0 },
  { materialId: 'calcium_ammonium_nitrate', largestDoseGPerM2: 5, isQuick: true, dilution: 0 },
  { materialId: 'urea', largestDoseGPerM2: 4, isQuick: true, dilution: 0 },
];

export const DEFAULT_FEED = FEED_PRODUCTS[0];

/** What a need is met with that is too near for a slow product. */
export const QUICK_FEED = FEED_PRODUCTS.find(({ isQuick }) => isQuick)!;

export const findFeedProduct = (materialId: string): FeedProduct =>
  FEED_PRODUCTS.find((product) => product.materialId === materialId) ?? DEFAULT_FEED;

const SANDY_BELOW_CLAY_PCT = 15;

/** A pot gives salts nowhere to go: most nitrogen in one go for each liter of its mix, g (common practice, no source). */
const POT_BEARS_G_PER_L = 0.1;
const LITRES_PER_M2_AND_CM = 10;

/** What decides how much a bed bears at once. */
export type FedGround = Pick<Bed, 'kind' | 'clayPct' | 'rootZoneCm'>;

/** Most nitrogen of a product in one go on this ground, g/m2. */
export function largestDoseOf(product: FeedProduct, { kind, clayPct, rootZoneCm }: FedGround): number {
  const halved = product.isQuick && clayPct < SANDY_BELOW_CLAY_PCT ? 0.5 : 1;
  const potBearsG = kind === 'container' ? POT_BEARS_G_PER_L * LITRES_PER_M2_AND_CM * rootZoneCm : Infinity;
  return Math.min(product.largestDoseGPerM2 * halved, potBearsG);
}

/** How much of a product one dose comes to, and in how many parts it is given. */
export interface ProductDose {
  readonly materialId: string;
  /** Share of its nitrogen that acts in the first season. */
  readonly availability: number;
  /** Of the product as it is bought. */
  readonly nitrogenGPerKg: number;
  /** All parts together, for the whole bed. */
  readonly massFreshKg: number;
  readonly volumeL: number;
  /** Water to dilute it with, all parts together. */
  readonly waterL: number;
  /** More than one when the whole would burn or leach. */
  readonly parts: number;
}

/** Shares of nitrogen that act in the first season, by the product. */
export type FeedAvailability = Readonly<Record<string, number>>;

const acting = new Map<string, number>();

/** The share of a product's nitrogen that acts in its first season: a run of the model, once for each product. */
export function actingShareOf(materialId: string): number {
  const share = acting.get(materialId) ?? firstSeasonAvailability(findLibraryMaterial(materialId)!);
  acting.set(materialId, share);
  return share;
}

/** The same of all products. */
export const feedAvailability = (): FeedAvailability =>
  Object.fromEntries(FEED_PRODUCTS.map(({ materialId }) => [materialId, actingShareOf(materialId)]));

/**
 * One dose of acting nitrogen as a product, for a bed of `areaM2`. Null for a product that gives less than it
 * takes in its first season.
 */
export function asProduct({
  nitrogenGPerM2,
  product,
  bed,
  availabilities,
}: {
  readonly nitrogenGPerM2: number;
  readonly product: FeedProduct;
  readonly bed: FedGround & { readonly areaM2: number };
  readonly availabilities: FeedAvailability;
}): ProductDose | null {
  const material = findLibraryMaterial(product.materialId);
  if (!material) return null;
  const availability = availabilities[product.materialId] ?? 0;
  if (!(availability > 0)) return null;
  const massFreshKg = productMassFreshKg(nitrogenGPerM2 * bed.areaM2, material, availability);
  const volumeL = (massFreshKg / material.bulkDensityKgPerM3) * LITRES_PER_CUBIC_METRE;
  return {
    materialId: product.materialId,
    availability,
    nitrogenGPerKg: nitrogenGPerKgFresh(material),
    massFreshKg,
    volumeL,
    waterL: volumeL * product.dilution,
    parts: Math.max(1, Math.ceil(nitrogenGPerM2 / largestDoseOf(product, bed) - 1e-9)),
  };
}
