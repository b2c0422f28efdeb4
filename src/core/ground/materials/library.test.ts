import { describe, expect, it } from 'vitest';
import { total } from '../numerics/total.ts';
import { checkMaterial } from './check-material.ts';
import { MATERIAL_LIBRARY } from './library.ts';
import { OTHER_NAMES } from './material-names.ts';
import { carbonToNitrogenRatio } from './material.ts';
import { ownMaterial } from './own-material.ts';
import { poolsByLignin } from './pools-by-lignin.ts';
import { woodChipMaterial, type WoodChipTraits } from './wood-chips.ts';

describe('the seed library', () => {
  it('holds what gardens the world over come by, each thing once', () => {
    expect(MATERIAL_LIBRARY.length).toBeGreaterThanOrEqual(160);
    expect(new Set(MATERIAL_LIBRARY.map(({ name }) => name)).size).toBe(MATERIAL_LIBRARY.length);
    expect(new Set(MATERIAL_LIBRARY.map(({ id }) => id)).size).toBe(MATERIAL_LIBRARY.length);
  });
  it.each(MATERIAL_LIBRARY.map((material) => [material.id, material] as const))(
    '%s can exist, lies in its own ranges and has a source',
    (_, material) => {
      checkMaterial(material, []);
      expect(material.source.length).toBeGreaterThan(5);
      const [dry, wet] = material.moistureRange;
      expect(material.moistureFractionWetBasis).toBeGreaterThanOrEqual(dry);
      expect(material.moistureFractionWetBasis).toBeLessThanOrEqual(wet);
      if (material.carbonToNitrogenRange) {
        const [low, high] = material.carbonToNitrogenRange;
        expect(carbonToNitrogenRatio(material)).toBeGreaterThanOrEqual(low);
        expect(carbonToNitrogenRatio(material)).toBeLessThanOrEqual(high);
      }
    },
  );
});

describe('other names', () => {
  it('are those of rows that there are', () => {
    const ids = new Set(MATERIAL_LIBRARY.map(({ id }) => id));
    expect(Object.keys(OTHER_NAMES).filter((id) => !ids.has(id))).toEqual([]);
    expect(MATERIAL_LIBRARY.flatMap(({ synonyms }) => synonyms).every((name) => name !== '')).toBe(true);
  });
});

describe('pools by lignin and nitrogen', () => {
  /** Lignin of rows whose pools were fitted, share of dry mass (feed and litter tables, from memory). */
  const LIGNIN: Readonly<Record<string, number>> = {
    straw_cereal: 0.16,
    leaves_mixed: 0.2,
    leaves_oak_conifer: 0.28,
    grass_clippings: 0.06,
    clover_cover: 0.07,
    sawdust_hardwood: 0.23,
    chips_mixed: 0.24,
    chips_branch: 0.22,
    veg_waste: 0.05,
    alfalfa_meal: 0.1,
  };
  it.each(Object.entries(LIGNIN))('come within 0.15 of those that were fitted for %s', (id, lignin) => {
    const material = MATERIAL_LIBRARY.find((one) => one.id === id)!;
    const pools = poolsByLignin({ ...material, ligninFractionDryBasis: lignin, humusShare: 0 });
    for (const pool of ['quick', 'structural', 'woody'] as const) {
      expect(Math.abs(pools[pool] - material.pools[pool]), pool).toBeLessThanOrEqual(0.15);
    }
  });
  it('add up, and are woodier with more lignin', () => {
    const figures = { carbonFractionDryBasis: 0.47, nitrogenFractionDryBasis: 0.01, humusShare: 0.2 };
    const [little, much] = [0.1, 0.3].map((ligninFractionDryBasis) =>
      poolsByLignin({ ...figures, ligninFractionDryBasis }),
    );
    expect(much.woody).toBeGreaterThan(little.woody);
    expect(much.quick).toBeLessThan(little.quick);
    for (const pools of [little, much]) {
      expect(total(Object.values(pools) as number[])).toBeCloseTo(1, 12);
      expect(pools.humus).toBe(0.2);
    }
  });
});

describe('a material that cannot exist', () => {
  const straw = MATERIAL_LIBRARY.find(({ id }) => id === 'straw_cereal')!;
  const urine = MATERIAL_LIBRARY.find(({ id }) => id === 'urine')!;
  it.each([
    ['charCapacityGPerKg', { ...straw, charCapacityGPerKg: 0.7 }],
    ['isCharged', { ...straw, isCharged: true }],
    ['boundNitrogenShare', { ...urine, boundNitrogenShare: 0.5 }],
    ['ashFractionDryBasis', { ...straw, ashFractionDryBasis: 1.2 }],
    ['humificationFactor', { ...straw, humificationFactor: -1 }],
  ])('is refused by its field %s', (field, material) => {
    expect(() => checkMaterial(material, [])).toThrow(new RegExp(`^${field} `));
  });
});

describe('own materials', () => {
  const figures = {
    type: 'figures' as const,
    likeMaterialId: 'cattle_fym',
    moistureFractionWetBasis: 0.6,
    carbonFractionDryBasis: 0.4,
    nitrogenFractionDryBasis: 0.02,
    bulkDensityKgPerM3: 500,
  };
  it('take what is stated and borrow the rest', () => {
    expect(ownMaterial(figures)).toMatchObject({
      kind: 'manure',
      bulkDensityKgPerM3: 500,
      nitrogenFractionDryBasis: 0.02,
    });
    expect(ownMaterial({ type: 'chips', branchDiameterCm: 5, leafShare: 0, coniferShare: 0 })).toMatchObject({
      kind: 'wood',
    });
  });
  it('are refused by the field that cannot be', () => {
    expect(() => ownMaterial({ ...figures, likeMaterialId: 'moon dust' })).toThrow(/^basis\.likeMaterialId /);
    expect(() => ownMaterial({ ...figures, moistureFractionWetBasis: 65 })).toThrow(
      /^basis\.moistureFractionWetBasis /,
    );
    expect(() => ownMaterial({ type: 'chips', branchDiameterCm: 0, leafShare: 0, coniferShare: 0 })).toThrow(
      /^basis\.branchDiameterCm /,
    );
  });
});

describe('chips by what is seen of them', () => {
  const ratioOf = (traits: Partial<WoodChipTraits>) =>
    carbonToNitrogenRatio(
      woodChipMaterial({ branchDiameterCm: 10, leafShare: 0, coniferShare: 0, ...traits }),
    );
  it('hold more nitrogen with more bark, and when they were cut leafless', () => {
    expect(ratioOf({ barkShare: 0.4 })).toBeLessThan(ratioOf({}));
    expect(ratioOf({ barkShare: 0 })).toBeGreaterThan(ratioOf({}));
    expect(ratioOf({ season: 'leafless' })).toBeCloseTo(ratioOf({}) / 1.1, 9);
    expect(ratioOf({ season: 'inLeaf' })).toBe(ratioOf({}));
  });
  it('never run out of nitrogen, and refuse more bark than chip', () => {
    expect(ratioOf({ branchDiameterCm: 30, barkShare: 0 })).toBeLessThan(1000);
    expect(() => ratioOf({ barkShare: 40 })).toThrow(/barkShare/);
  });
});
