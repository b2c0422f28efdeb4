import { describe, expect, it } from 'vitest';
import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { areaOfShape, litresOfPot, type BedShape } from './bed-area.ts';

describe('the area of a bed by its shape', () => {
  it.each<[string, BedShape, number]>([
    ['a rectangle', { type: 'rectangle', lengthCm: 250, widthCm: 120 }, 3],
    ['a circle', { type: 'circle', diameterCm: 200 }, Math.PI],
    ['a ring', { type: 'ring', outerDiameterCm: 200, innerDiameterCm: 100 }, Math.PI * 0.75],
    ['uneven, but even', { type: 'uneven', lengthCm: 300, widthsCm: [100, 100, 100, 100] }, 3],
    ['a triangle', { type: 'uneven', lengthCm: 300, widthsCm: [0, 200] }, 3],
    ['a hexagon', { type: 'uneven', lengthCm: 200, widthsCm: [100, 200, 100] }, 3],
    ['pots', { type: 'pots', count: 12, volumeL: 10, depthCm: 25 }, 0.48],
  ])('%s', (_, shape, areaM2) => {
    expect(areaOfShape(shape)).toBeCloseTo(areaM2, 12);
  });
  it.each<[string, BedShape, RegExp]>([
    ['no width', { type: 'rectangle', lengthCm: 250, widthCm: 0 }, /widthCm must be greater than 0/],
    [
      'a trunk wider than its ring',
      { type: 'ring', outerDiameterCm: 100, innerDiameterCm: 100 },
      /innerDiameterCm must be smaller/,
    ],
    ['one width', { type: 'uneven', lengthCm: 250, widthsCm: [100] }, /widthsCm must be two or more/],
    [
      'no width anywhere',
      { type: 'uneven', lengthCm: 250, widthsCm: [0, 0] },
      /widthsCm must be two or more/,
    ],
    ['half a pot', { type: 'pots', count: 0.5, volumeL: 10, depthCm: 25 }, /count must be/],
  ])('is refused of %s', (_, shape, sentence) => {
    expect(refusalOf(() => areaOfShape(shape))).toMatch(sentence);
  });
  it('comes back as the size of each pot', () => {
    const areaM2 = areaOfShape({ type: 'pots', count: 12, volumeL: 15, depthCm: 30 });
    expect(litresOfPot({ areaM2, rootZoneCm: 30, potCount: 12 })).toBeCloseTo(15, 12);
  });
});
