import { describe, expect, it } from 'vitest';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import {
  asProduct,
  DEFAULT_FEED,
  FEED_PRODUCTS,
  feedAvailability,
  findFeedProduct,
} from './feed-products.ts';

const loam = { kind: 'annual' as const, rootZoneCm: 30, areaM2: 6, clayPct: 20 };
const AVAILABILITY = feedAvailability();
const dose = (materialId: string, nitrogenGPerM2: number, bed = loam) =>
  asProduct({ nitrogenGPerM2, product: findFeedProduct(materialId), bed, availabilities: AVAILABILITY })!;

describe('a dose as a product', () => {
  it.each(FEED_PRODUCTS.map(({ materialId }) => [materialId] as const))(
    '%s brings the acting nitrogen it is asked for',
    (materialId) => {
      const { massFreshKg, availability, volumeL } = dose(materialId, 3);
      const { moistureFractionWetBasis, nitrogenFractionDryBasis, bulkDensityKgPerM3 } =
        findLibraryMaterial(materialId)!;
      const actingG =
        massFreshKg * 1000 * (1 - moistureFractionWetBasis) * nitrogenFractionDryBasis * availability;
      expect(actingG).toBeCloseTo(18, 9);
      expect(volumeL).toBeCloseTo((massFreshKg / bulkDensityKgPerM3) * 1000, 9);
      expect(availability).toBeGreaterThan(0);
      expect(availability).toBeLessThanOrEqual(1.0001);
    },
  );
  it('acts as extension tables say: meals and manures within their bands (from memory)', () => {
    expect(dose('feather_meal', 3).availability).toBeGreaterThan(0.6);
    expect(dose('blood_meal', 3).availability).toBeGreaterThan(0.65);
    expect(dose('blood_meal', 3).availability).toBeLessThan(0.9);
    expect(dose('poultry_pellets', 3).availability).toBeGreaterThan(0.4);
    expect(dose('poultry_pellets', 3).availability).toBeLessThan(0.8);
    expect(dose('fish_emulsion', 3).availability).toBeGreaterThan(0.6);
    expect(dose('calcium_ammonium_nitrate', 3).availability).toBeGreaterThan(0.95);
    expect(dose('compost_manure', 3).availability).toBeLessThan(0.15);
  });
  it('is split where the whole would burn or leach, sooner on sand when it is quick', () => {
    expect(dose('calcium_ammonium_nitrate', 5).parts).toBe(1);
    expect(dose('calcium_ammonium_nitrate', 5.5).parts).toBe(2);
    expect(dose('calcium_ammonium_nitrate', 5, { ...loam, clayPct: 6 }).parts).toBe(2);
    expect(dose('feather_meal', 10, { ...loam, clayPct: 6 }).parts).toBe(1);
  });
  it('comes with its water where it is poured', () => {
    const { volumeL, waterL } = dose('urine', 3);
    expect(waterL).toBeCloseTo(10 * volumeL, 9);
    expect(dose('feather_meal', 3).waterL).toBe(0);
  });
  it('is feather meal for a product nobody knows', () => {
    expect(findFeedProduct('moondust')).toBe(DEFAULT_FEED);
  });
});
