import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { quantileSorted } from '../../ground/numerics/ranks.ts';
import { drawWeights, weightedMean, weightedQuantiles } from './weights.ts';

describe('weights of draws', () => {
  it('are equal when the draws explain equally well', () => {
    const { weights, effectiveDraws, evidenceUsed } = drawWeights([-2, -2, -2, -2]);
    expect(weights).toEqual([0.25, 0.25, 0.25, 0.25]);
    expect([effectiveDraws, evidenceUsed]).toEqual([4, 1]);
  });
  it('go by the likelihood: one twice as likely counts twice', () => {
    const { weights } = drawWeights([Math.log(2), 0, 0, 0]);
    expect(weights[0] / weights[1]).toBeCloseTo(2, 12);
  });
  it('are weakened until enough draws still count, and say so', () => {
    const sharp = Array.from({ length: 200 }, (_, i) => -i);
    const { effectiveDraws, evidenceUsed } = drawWeights(sharp);
    expect(evidenceUsed).toBeLessThan(0.2);
    expect(effectiveDraws).toBeGreaterThanOrEqual(30 - 1e-6);
    expect(effectiveDraws).toBeLessThan(31);
  });
  it('always add up to one and keep the order of the likelihoods', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -500, max: 0, noNaN: true }), { minLength: 1, maxLength: 60 }),
        (logs) => {
          const { weights, effectiveDraws } = drawWeights(logs);
          expect(weights.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
          expect(effectiveDraws).toBeLessThanOrEqual(logs.length + 1e-9);
          logs.forEach((log, i) => {
            if (i > 0 && log > logs[i - 1]) expect(weights[i]).toBeGreaterThanOrEqual(weights[i - 1]);
          });
        },
      ),
    );
  });
});

describe('a weighted quantile', () => {
  it('with equal weights is the usual one', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1e3, max: 1e3, noNaN: true }), { minLength: 2, maxLength: 40 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (values, share) => {
          const weights = values.map(() => 1 / values.length);
          const usual = quantileSorted(
            values.toSorted((a, b) => a - b),
            share,
          );
          expect(weightedQuantiles(values, weights, [share])[0]).toBeCloseTo(usual, 6);
        },
      ),
    );
  });
  it('follows the weight', () => {
    const values = Array.from({ length: 100 }, (_, i) => i);
    const weights = values.map((value) => (value >= 90 ? 0.099 : 0.01 / 90));
    expect(weightedQuantiles(values, weights, [0.5])[0]).toBeGreaterThan(92);
    expect(weightedQuantiles(values, weights, [0.5])[0]).toBeLessThan(97);
    expect(weightedMean([1, 3], [3, 1])).toBe(1.5);
  });
});
