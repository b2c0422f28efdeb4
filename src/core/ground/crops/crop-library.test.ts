import { describe, expect, it } from 'vitest';
import { findLibraryMaterial } from '../materials/library.ts';
import {
  CROP_GROUPS,
  CROP_LIBRARY,
  SALT_TOLERANCES,
  DEEPEST_COVER_CM,
  demandRange,
  findLibraryCrop,
  PLANT_FORMS,
  SEED_SIZES,
} from './crop-library.ts';
import { WARMTHS } from '../../../records/vocabulary.ts';

describe('the crop library', () => {
  it('has crops of every kind and climate, each found by its own id', () => {
    expect(CROP_LIBRARY.length).toBeGreaterThanOrEqual(180);
    expect(new Set(CROP_LIBRARY.map(({ group }) => group))).toEqual(new Set(CROP_GROUPS));
    expect(new Set(CROP_LIBRARY.map(({ name }) => name)).size).toBe(CROP_LIBRARY.length);
    expect(new Set(CROP_LIBRARY.map(({ id }) => id)).size).toBe(CROP_LIBRARY.length);
    for (const crop of CROP_LIBRARY) expect(findLibraryCrop(crop.id)).toBe(crop);
    expect(findLibraryCrop('dandelion')).toBeUndefined();
  });

  it.each(CROP_LIBRARY)('$name can be planted: its figures lie where crops lie', (crop) => {
    expect(crop.nitrogenDemandGPerM2).toBeGreaterThanOrEqual(5);
    expect(crop.nitrogenDemandGPerM2).toBeLessThanOrEqual(30);
    expect(crop.rootDepthCm).toBeGreaterThanOrEqual(30);
    expect(crop.rootDepthCm).toBeLessThanOrEqual(150);
    expect(crop.isPerennial).toBe(crop.daysInGround === 365);
    expect(PLANT_FORMS).toContain(crop.form);
    expect(SEED_SIZES).toContain(crop.seedSize);
    expect(WARMTHS).toContain(crop.warmth);
    expect(crop.source).toMatch(/demand: .*from memory.*roots: .*from memory/);
  });

  it.each(CROP_LIBRARY)('$name has a harvest, room and soil as crops have them', (crop) => {
    const { yieldKgPerM2, harvest, spacingCm, phRange, saltTolerance, isCoverCrop } = crop;
    expect(yieldKgPerM2 > 0).toBe(!isCoverCrop);
    expect(harvest.nitrogenGPerKg > 0).toBe(!isCoverCrop);
    expect(harvest.phosphorusGPerKg).toBeLessThanOrEqual(harvest.nitrogenGPerKg / 3 + 0.2);
    expect(spacingCm.rows).toBeGreaterThanOrEqual(spacingCm.plants);
    expect(phRange.from).toBeGreaterThanOrEqual(4);
    expect(phRange.to - phRange.from).toBeGreaterThanOrEqual(0.9);
    expect(phRange.to).toBeLessThanOrEqual(8.5);
    expect(SALT_TOLERANCES).toContain(saltTolerance);
    expect(crop.synonyms.every((one) => one !== '' && one !== crop.name)).toBe(true);
  });

  it.each(CROP_LIBRARY.filter(({ isCoverCrop }) => !isCoverCrop))(
    'the harvest of $name takes off no more than the crop took up and does not leave',
    ({ yieldKgPerM2, harvest, nitrogenDemandGPerM2, residueShare, isPerennial }) => {
      const takenG = yieldKgPerM2 * harvest.nitrogenGPerKg;
      const atMostG = nitrogenDemandGPerM2 * (1 - residueShare) * 1.2;
      expect(takenG).toBeLessThanOrEqual(atMostG);
      // What grows for a year and is dug up or cut is mostly harvest; trees and borders keep most of what they take up.
      if (!isPerennial) expect(takenG).toBeGreaterThan(0.02 * atMostG);
    },
  );

  it('keeps the order and the ratios of fertilizer tables', () => {
    const demand = (id: string) => findLibraryCrop(id)!.nitrogenDemandGPerM2;
    const ascending = ['radish', 'lettuce', 'carrot', 'beetroot', 'leek', 'celery', 'cabbage', 'cauliflower'];
    ascending.slice(1).forEach((id, i) => expect(demand(id)).toBeGreaterThan(demand(ascending[i])));
    // RB209 and the German tables: cauliflower takes about twice what carrots do, cabbage over twice what lettuce does.
    expect(demand('cauliflower') / demand('carrot')).toBeGreaterThan(1.7);
    expect(demand('cauliflower') / demand('carrot')).toBeLessThan(2.5);
    expect(demand('cabbage') / demand('lettuce')).toBeGreaterThan(2);
    expect(demand('blueberry')).toBeLessThan(demand('raspberry'));
    expect(demand('apple')).toBeLessThan(demand('orange'));
    const vegetables = CROP_LIBRARY.filter(({ group }) =>
      ['leaf', 'brassica', 'root', 'fruit', 'allium'].includes(group),
    );
    const mean = vegetables.reduce((sum, one) => sum + one.nitrogenDemandGPerM2, 0) / vegetables.length;
    expect(mean).toBeGreaterThan(12);
    expect(mean).toBeLessThan(18);
  });

  it('tells from where to where a demand goes', () => {
    const [low, high] = demandRange(findLibraryCrop('tomato')!);
    expect([low, high]).toEqual([14, 26]);
  });

  it.each(CROP_LIBRARY)('what $name leaves on the bed is a material with nitrogen in it', (crop) => {
    expect(crop.residueShare).toBeGreaterThan(0);
    expect(crop.residueShare).toBeLessThanOrEqual(1);
    const left = findLibraryMaterial(crop.residueMaterialId!);
    expect(left?.nitrogenFractionDryBasis).toBeGreaterThan(0);
  });

  it('tells what is grown for the soil from what is eaten', () => {
    for (const crop of CROP_LIBRARY.filter(({ isCoverCrop }) => isCoverCrop)) {
      expect(crop.residueShare).toBe(1);
      expect(crop.isEatenFromSoil || crop.isLeafEaten).toBe(false);
      expect(crop.source).toMatch(/cover-crop handbooks/);
    }
    expect(CROP_LIBRARY.filter(({ isLivingMulch }) => isLivingMulch).every((one) => one.isCoverCrop)).toBe(
      true,
    );
    expect(findLibraryCrop('french_bean')!.source).toMatch(/vegetable/);
    expect(findLibraryCrop('quince')!.source).toMatch(/fruit/);
  });

  it('lets a larger seed come up through more', () => {
    const depths = SEED_SIZES.map((size) => DEEPEST_COVER_CM[size]);
    expect([...depths].sort((a, b) => a - b)).toEqual(depths);
  });
});
