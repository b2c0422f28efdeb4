import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bracketedRoot } from './bracketed-root.ts';

describe('a bracketed root', () => {
  it('of any rising cubic lies in its bracket, as narrow as was asked', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -9, max: 9, noNaN: true }),
        fc.double({ min: 0.01, max: 50, noNaN: true }),
        (root, steep) => {
          const f = (x: number) => steep * ((x - root) ** 3 + 0.1 * (x - root));
          const { low, high } = bracketedRoot(f, { low: -10, high: 10, tolerance: 1e-7 });
          expect(high - low).toBeLessThanOrEqual(1e-7);
          expect(low - 1e-7).toBeLessThanOrEqual(root);
          expect(high + 1e-7).toBeGreaterThanOrEqual(root);
        },
      ),
    );
  });
  it('takes fewer looks than halving would', () => {
    const { evaluations } = bracketedRoot((x) => 1 - Math.exp(-x) - 0.5, {
      low: 0,
      high: 20,
      tolerance: 1e-6,
    });
    expect(evaluations).toBeLessThan(Math.log2(20 / 1e-6));
  });
  it('refuses ends that bracket none', () => {
    expect(() => bracketedRoot((x) => x, { low: 1, high: 2, tolerance: 0.1 })).toThrow(RangeError);
  });
});
