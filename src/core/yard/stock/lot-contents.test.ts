import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findLibraryMaterial, MATERIAL_LIBRARY } from '../../ground/materials/library.ts';
import { defaultParameters } from '../../model/simulation/parameters.ts';
import {
  atAnalysis,
  atBulkDensity,
  atMoisture,
  carbonG,
  contentsOfMaterial,
  dryG,
  freshKg,
  isEmpty,
  nitrogenG,
  NOTHING,
  scaleContents,
  mixContents,
  volumeL,
} from './lot-contents.ts';
import { figuresOf, kindOf, materialOfContents, openingOfContents } from './lot-figures.ts';
import { nearestMaterialId } from './nearest-material.ts';

const of = (id: string, dry = 1000) =>
  contentsOfMaterial({ materialId: id, material: findLibraryMaterial(id)!, dryG: dry, p: defaultParameters });
const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

describe('contents of a lot', () => {
  it.each(MATERIAL_LIBRARY.map(({ id }) => id))('of %s weigh, fill and analyze as the library says', (id) => {
    const material = findLibraryMaterial(id)!;
    const contents = of(id);
    const figures = figuresOf(contents);
    expect(figures.dryKg).toBeCloseTo(1, 12);
    expect(figures.moistureFractionWetBasis).toBeCloseTo(material.moistureFractionWetBasis, 12);
    expect(figures.bulkDensityKgPerM3).toBeCloseTo(material.bulkDensityKgPerM3, 8);
    expect(figures.nitrogenFractionDryBasis).toBeCloseTo(material.nitrogenFractionDryBasis, 12);
    expect(carbonG(contents)).toBeCloseTo(1000 * material.carbonFractionDryBasis, 9);
    expect(kindOf(contents)).toBe(material.kind);
    expect(nearestMaterialId(contents)).toBe(
      id === 'biochar_raw' || id !== 'biochar_charged' ? id : 'biochar_charged',
    );
  });

  it('add up and part again without a gram lost', () => {
    const some = fc.array(
      fc.constantFrom('chips_mixed', 'grass_clippings', 'layer_manure', 'biochar_raw', 'wood_ash'),
      {
        minLength: 1,
        maxLength: 5,
      },
    );
    fc.assert(
      fc.property(some, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (ids, share) => {
        const all = mixContents(ids.map((id) => of(id)));
        const parts = [scaleContents(all, share), scaleContents(all, 1 - share)];
        for (const measure of [dryG, carbonG, nitrogenG, volumeL, freshKg]) {
          expect(sum(parts.map(measure))).toBeCloseTo(measure(all), 9);
        }
        const opening = openingOfContents(all, defaultParameters);
        expect(sum(opening.carbonG)).toBeCloseTo(carbonG(all), 9);
        expect(sum(opening.nitrogenG) + opening.ammoniumG + opening.charHeldG).toBeCloseTo(nitrogenG(all), 9);
      }),
    );
  });

  it('take on what was measured, and only that', () => {
    const chips = of('horse_bedding');
    expect(figuresOf(atMoisture(chips, 0.3)).moistureFractionWetBasis).toBeCloseTo(0.3, 12);
    expect(figuresOf(atBulkDensity(chips, 400)).bulkDensityKgPerM3).toBeCloseTo(400, 9);
    const analyzed = atAnalysis(chips, { carbonFractionDryBasis: 0.4, nitrogenFractionDryBasis: 0.02 });
    expect(carbonG(analyzed)).toBeCloseTo(400, 9);
    expect(nitrogenG(analyzed)).toBeCloseTo(20, 9);
    expect(dryG(analyzed)).toBeCloseTo(1000, 9);
    expect(atAnalysis(chips, {}).cohorts[0].carbonG).toEqual(chips.cohorts[0].carbonG);
  });

  it('are a material for the bench, with shares that add up', () => {
    const { pools, ammoniumShareOfNitrogen, isCharged } = materialOfContents(
      mixContents([of('chips_mixed'), of('dairy_fresh')]),
    );
    expect(sum(Object.values(pools))).toBeCloseTo(1, 12);
    expect(ammoniumShareOfNitrogen).toBeGreaterThan(0);
    expect(isCharged).toBe(false);
    expect(materialOfContents(of('biochar_charged')).isCharged).toBe(true);
  });

  it('are nothing when there is nothing', () => {
    expect(isEmpty(NOTHING)).toBe(true);
    expect(figuresOf(NOTHING)).toMatchObject({ freshKg: 0, volumeL: 0, carbonToNitrogen: null });
  });

  it('are compost only when they are ripe, whatever a char or a feed among them', () => {
    const young = mixContents([of('compost_garden', 3000), of('dairy_fresh', 10)]);
    const lain = (days: number) => ({
      ...young,
      cohorts: young.cohorts.map((one) => ({
        ...one,
        ageDays: days,
        carbonG: one.carbonG.map((c, k) => (k < 3 ? c * 0.1 : c)),
      })),
    });
    expect(kindOf(lain(89))).toBe('residue');
    expect(kindOf(lain(90))).toBe('compost');
    expect(kindOf(mixContents([of('compost_garden', 3000), of('urine', 1)]))).toBe('compost');
  });

  it('are called by what they have become', () => {
    expect(kindOf(mixContents([of('chips_mixed'), of('dairy_fresh')]))).toBe('residue');
    expect(kindOf(mixContents([of('compost_garden', 3000), of('biochar_raw')]))).toBe('compost');
    expect(nearestMaterialId(mixContents([of('compost_garden', 3000), of('biochar_raw', 100)]))).toBe(
      'compost_garden',
    );
    expect(nearestMaterialId(mixContents([of('wood_ash', 10), of('garden_lime', 100)]))).toBe('garden_lime');
  });
});
