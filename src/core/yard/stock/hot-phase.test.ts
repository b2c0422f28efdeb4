import { describe, expect, it } from 'vitest';
import { hotPhase } from './hot-phase.ts';

const readings = (...pairs: [number, number][]) =>
  pairs.map(([day, temperatureC]) => ({ day, temperatureC }));

describe('the hot phase of a heap', () => {
  it('counts days between two hot readings, not across a gap or a cool one', () => {
    expect(hotPhase(readings([1, 40], [3, 60], [5, 58], [6, 50], [20, 57]), []).hotDays).toBe(4);
    expect(hotPhase(readings([1, 60], [10, 60]), []).hotDays).toBe(2);
  });
  it('holds them against the commonly cited rules', () => {
    const days = Array.from({ length: 16 }, (_, day): [number, number] => [day + 1, 58]);
    const still = hotPhase(readings(...days), []);
    expect(still).toMatchObject({ hotDays: 16, meetsVessel: true, meetsWindrow: false, hottestC: 58 });
    expect(hotPhase(readings(...days), [2, 5, 8, 11, 14]).meetsWindrow).toBe(true);
    expect(hotPhase(readings([1, 72], [2, 70]), []).isTooHot).toBe(false);
    expect(hotPhase(readings([2, 72], [1, 60]), []).isTooHot).toBe(true);
    expect(hotPhase([], [])).toMatchObject({
      hotDays: 0,
      isTooHot: false,
      hottestC: null,
      turningsWhileHot: 0,
      meetsVessel: false,
    });
  });
});
