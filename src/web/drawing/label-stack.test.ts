import { describe, expect, it } from 'vitest';
import { stackLabels } from './label-stack.ts';

describe('labels beside a drawing', () => {
  it('never overlap and stay in the frame', () => {
    const heights = [20, 20, 20, 20];
    const tops = stackLabels(
      heights.map((height, i) => ({ targetY: 90 + i, height })),
      0,
      100,
    );
    tops.forEach((top, i) => {
      expect(top).toBeGreaterThanOrEqual(0);
      expect(top + 20).toBeLessThanOrEqual(100);
      if (i > 0) expect(top).toBeGreaterThanOrEqual(tops[i - 1] + 20);
    });
  });
  it('sit at what they name where there is room', () => {
    expect(stackLabels([{ targetY: 50, height: 20 }], 0, 100)).toEqual([40]);
  });
});
