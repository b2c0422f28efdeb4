import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evenScale } from './even-scale.ts';

describe('a scale of round figures', () => {
  it('starts at nothing for amounts, and just below for a level', () => {
    expect(evenScale([0.4, 17.2], false)).toEqual([0, 5, 10, 15, 20]);
    expect(evenScale([3.6, 7.6], true)).toEqual([3, 4, 5, 6, 7, 8]);
    expect(evenScale([-3, 8], false)).toEqual([-4, -2, 0, 2, 4, 6, 8]);
  });
  it('holds every value between its ends, in few even steps, whatever the values', () => {
    const value = fc.double({ min: 0, max: 1e6, noNaN: true });
    fc.assert(
      fc.property(fc.array(value, { minLength: 1, maxLength: 20 }), fc.boolean(), (values, isAbout) => {
        const scale = evenScale(values, isAbout);
        const [low, high] = [scale[0], scale.at(-1)!];
        const slack = 1e-9 * Math.max(1, high);
        expect(low).toBeLessThanOrEqual(Math.min(...values) + slack);
        expect(high).toBeGreaterThanOrEqual(Math.max(...values) - slack);
        expect(scale.length).toBeLessThanOrEqual(8);
        const step = scale[1] - low;
        scale.forEach((figure, i) =>
          expect(Math.abs(figure - low - i * step)).toBeLessThan(slack + 1e-9 * step),
        );
      }),
    );
  });
  it('has two figures at least when all values are the same', () => {
    expect(evenScale([0], false).length).toBeGreaterThan(1);
    expect(evenScale([4.2, 4.2], true).length).toBeGreaterThan(1);
    expect(evenScale([Number.MIN_VALUE], false).length).toBeGreaterThan(1);
  });
});
