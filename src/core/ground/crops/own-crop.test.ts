import { describe, expect, it } from 'vitest';
import { ownCropOf } from '../../../../tests/fixtures/books.ts';
import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { CROP_LIBRARY, findLibraryCrop } from './crop-library.ts';
import { findCrop, ownCrop } from './own-crop.ts';

const LEEK = findLibraryCrop('leek')!;

describe('a crop of one’s own', () => {
  it('has the figures of the one it is like wherever it states none', () => {
    const { id, name, synonyms, source, ...figures } = ownCrop(ownCropOf());
    expect(figures).toEqual(
      Object.fromEntries(
        Object.entries(LEEK).filter(([key]) => !['id', 'name', 'synonyms', 'source'].includes(key)),
      ),
    );
    expect([id, name]).toEqual(['own', 'Winter giant']);
    expect(source).toMatch(/^your own figures; .* Leek: demand: /);
  });
  it('has its own where it states them, and no other days than a year where it stays', () => {
    const own = ownCropOf({
      nitrogenDemandGPerM2: 30,
      rootDepthCm: 80,
      daysInGround: 250,
      startsAs: 'seed',
      warmth: 'hardy',
      yieldKgPerM2: 6,
    });
    expect(ownCrop(own)).toMatchObject({
      nitrogenDemandGPerM2: 30,
      rootDepthCm: 80,
      daysInGround: 250,
      startsAs: 'seed',
      warmth: 'hardy',
      yieldKgPerM2: 6,
    });
    expect(ownCrop(ownCropOf({ likeCropId: 'quince', daysInGround: 250 })).daysInGround).toBe(365);
  });
  it.each(CROP_LIBRARY)('can be made like $name', ({ id }) => {
    expect(ownCrop(ownCropOf({ likeCropId: id })).residueMaterialId).toBe(
      findLibraryCrop(id)!.residueMaterialId,
    );
  });
  it('is refused when it is like nothing that is known, or yields more nitrogen than it takes up', () => {
    expect(refusalOf(() => ownCrop(ownCropOf({ likeCropId: 'dandelion' })))).toMatch(
      /likeCropId names no crop/,
    );
    expect(refusalOf(() => ownCrop(ownCropOf({ yieldKgPerM2: 40 })))).toMatch(
      /yieldKgPerM2 would take off more nitrogen .* than the crop takes up .*: at most .* of harvest/,
    );
  });
  it('is found beside those of the library, which keep their ids', () => {
    const crops = [ownCropOf(), ownCropOf({ id: 'leek', name: 'Not this one' })];
    expect(findCrop('own', crops)?.name).toBe('Winter giant');
    expect(findCrop('leek', crops)).toBe(LEEK);
    expect(findCrop('own', [])).toBeUndefined();
  });
});
