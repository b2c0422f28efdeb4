import { describe, expect, it } from 'vitest';
import { findLibraryMaterial } from '../materials/library.ts';
import {
  CROP_LIBRARY,
  DEEPEST_COVER_CM,
  findCrop,
  PLANT_FORMS,
  SEED_SIZES,
  WARMTHS,
} from './crop-library.ts';

describe('the crop library', () => {
  it('has three dozen crops, each found by its own id', () => {
    expect(CROP_LIBRARY.length).toBeGreaterThanOrEqual(36);
    expect(new Set(CROP_LIBRARY.map(({ id }) => id)).size).toBe(CROP_LIBRARY.length);
    for (const crop of CROP_LIBRARY) expect(findCrop(crop.id)).toBe(crop);
    expect(findCrop('dandelion')).toBeUndefined();
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
    expect(findCrop('french_bean')!.source).toMatch(/vegetable/);
    expect(findCrop('quince')!.source).toMatch(/fruit/);
  });

  it('lets a larger seed come up through more', () => {
    const depths = SEED_SIZES.map((size) => DEEPEST_COVER_CM[size]);
    expect([...depths].sort((a, b) => a - b)).toEqual(depths);
  });
});
