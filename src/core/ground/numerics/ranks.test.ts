import { describe, expect, it } from 'vitest';
import { bandShares, quantileSorted } from './ranks.ts';
import { seededStream } from './seeded-stream.ts';

describe('a band that holds 8 in 10', () => {
  it.each([9, 20, 30, 100, 400])('does so when it is read off %i draws', (draws) => {
    const next = seededStream(draws);
    const BANDS = 4000;
    let held = 0;
    for (let i = 0; i < BANDS; i++) {
      const sorted = Float64Array.from({ length: draws }, next).sort();
      const [low, , high] = bandShares(draws).map((share) => quantileSorted(sorted, share));
      const truth = next();
      if (truth >= low && truth <= high) held += 1;
    }
    // Four standard errors of a binomial of 4000 at 80 %.
    expect(Math.abs(held / BANDS - 0.8)).toBeLessThan(0.026);
  });
  it('reaches from the lowest to the highest of very few', () => {
    expect(bandShares(1)).toEqual([0, 0.5, 1]);
    expect(bandShares(8)).toEqual([0, 0.5, 1]);
  });
});
