import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { outlineAreaM2, type Corner } from './outline.ts';

const RADIUS_M = 6_371_008.8;
const square = (longitude: number, latitude: number, degrees: number): Corner[] => [
  [longitude, latitude],
  [longitude + degrees, latitude],
  [longitude + degrees, latitude + degrees],
  [longitude, latitude + degrees],
];

describe('the area inside an outline', () => {
  it('is that of a spherical zone: one degree by one at the equator', () => {
    const zone = RADIUS_M ** 2 * (Math.PI / 180) * Math.sin(Math.PI / 180);
    expect(outlineAreaM2(square(10, 0, 1)) / zone).toBeCloseTo(1, 9);
  });

  it('of a garden bed is what a tape would measure, anywhere on earth', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -179.9, max: 179.9, noNaN: true }),
        fc.double({ min: -70, max: 70, noNaN: true }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        (longitude, latitude, sideM) => {
          const up = (sideM / RADIUS_M) * (180 / Math.PI);
          const across = up / Math.cos((latitude * Math.PI) / 180);
          const corners: Corner[] = [
            [longitude, latitude],
            [longitude + across, latitude],
            [longitude + across, latitude + up],
            [longitude, latitude + up],
          ];
          expect(Math.abs(outlineAreaM2(corners) / sideM ** 2 - 1)).toBeLessThan(1e-4);
          expect(outlineAreaM2([...corners].reverse())).toBeCloseTo(outlineAreaM2(corners), 6);
        },
      ),
    );
  });

  it('does not break where the count of longitudes begins anew', () => {
    const over: Corner[] = [
      [179.9999, 10],
      [-179.9999, 10],
      [-179.9999, 10.0002],
      [179.9999, 10.0002],
    ];
    expect(outlineAreaM2(over) / outlineAreaM2(square(20, 10, 0.0002))).toBeCloseTo(1, 6);
  });

  it('is nothing when all corners are one', () => {
    expect(
      outlineAreaM2([
        [5, 5],
        [5, 5],
        [5, 5],
      ]),
    ).toBe(0);
  });
});
