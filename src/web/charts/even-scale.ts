import { nice, ticks } from 'd3-array';

const STEPS = 4;
/** Below this values do not differ: no figure on any chart is that fine. */
const FINEST = 1e-9;

/**
 * Round figures, evenly apart, around all values; from zero on, or, when `isAbout` a level far from zero, from just
 * below the lowest. At least one value.
 */
export function evenScale(values: readonly number[], isAbout: boolean): readonly number[] {
  const lowest = Math.min(...values);
  const from = isAbout ? lowest : Math.min(0, lowest);
  const highest = Math.max(...values);
  const [low, high] = nice(from, highest - from > FINEST ? highest : from + 1, STEPS);
  return ticks(low, high, STEPS);
}
