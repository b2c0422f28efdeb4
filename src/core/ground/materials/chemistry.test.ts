import { describe, expect, it } from 'vitest';
import { NAMED_CHEMISTRY, chemistryOf } from './chemistry.ts';
import { MATERIAL_LIBRARY, findLibraryMaterial } from './library.ts';
import { hasTrait } from './material.ts';
import { ownMaterial } from './own-material.ts';

const of = (id: string) => chemistryOf(id, findLibraryMaterial(id)!);

describe('what materials bring besides nitrogen, phosphorus and potassium', () => {
  it('is named of materials of the library only', () => {
    for (const id of NAMED_CHEMISTRY) expect([id, findLibraryMaterial(id)?.id]).toEqual([id, id]);
  });
  it.each(MATERIAL_LIBRARY)('$name lies where such figures lie', ({ id, ...material }) => {
    const { calcium, magnesium, saltsDSPerM, ph } = chemistryOf(id, material);
    expect((calcium ?? 0) + (magnesium ?? 0)).toBeLessThan(0.5);
    expect(saltsDSPerM ?? 1).toBeGreaterThan(0);
    expect(saltsDSPerM ?? 1).toBeLessThanOrEqual(25);
    expect(ph ?? 7).toBeGreaterThanOrEqual(3);
    expect(ph ?? 7).toBeLessThanOrEqual(12);
    // Minerals and carbon share one dry mass; what is told as elements is carbonate or phosphate in it.
    expect(material.carbonFractionDryBasis + (calcium ?? 0)).toBeLessThanOrEqual(1);
    // What burns seedlings by its salts is salty by this figure too.
    const isSaltyByFigure = saltsDSPerM === null || saltsDSPerM >= 4;
    if (hasTrait(material, 'isSalty')) expect([id, isSaltyByFigure]).toEqual([id, true]);
  });
  it('keeps the order that tables have', () => {
    const ph = (id: string) => of(id).ph!;
    const sourToLime = ['sulphur', 'peat_moss', 'pine_needles', 'leaf_mould', 'compost_yard', 'wood_ash'];
    sourToLime.slice(1).forEach((id, i) => expect(ph(id)).toBeGreaterThan(ph(sourToLime[i])));
    expect(of('garden_lime').calcium).toBeGreaterThan(of('dolomite_lime').calcium!);
    expect(of('dolomite_lime').magnesium).toBeGreaterThan(of('garden_lime').magnesium!);
    expect(of('layer_manure').calcium).toBeGreaterThan(of('cattle_fym').calcium!);
    expect(of('seaweed_kelp').saltsDSPerM).toBeGreaterThan(of('grass_clippings').saltsDSPerM!);
  });
  it('of one’s own is that of what it is like', () => {
    const own = ownMaterial({
      type: 'figures',
      likeMaterialId: 'peat_moss',
      moistureFractionWetBasis: 0.5,
      carbonFractionDryBasis: 0.5,
      nitrogenFractionDryBasis: 0.01,
      bulkDensityKgPerM3: 150,
    });
    expect(chemistryOf('own', own)).toEqual(of('peat_moss'));
  });
});
