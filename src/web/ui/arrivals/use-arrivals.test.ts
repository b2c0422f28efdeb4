import { describe, expect, it } from 'vitest';
import { dueAt } from './use-arrivals.ts';

describe('what arrives bit by bit', () => {
  it('is shown at once at first, then in groups that are farther and farther apart', () => {
    const waits = [0, 1, 2, 3, 4, 5].map((taken) => dueAt({ at: 5000, taken }, false) - 5000);
    expect(waits).toEqual([0, 300, 600, 900, 1200, 1200]);
  });

  it('is shown at once when nothing is waited for any more', () => {
    expect(dueAt({ at: 5000, taken: 4 }, true)).toBeLessThanOrEqual(5000);
  });
});
