/** Where a rising function crosses a level: the place, and the bracket it is known to lie in. */
export interface Root {
  readonly at: number;
  readonly low: number;
  readonly high: number;
  readonly evaluations: number;
}

export interface RootSearch {
  readonly low: number;
  readonly high: number;
  /** The bracket is narrowed to this width. */
  readonly tolerance: number;
  readonly mostEvaluations?: number;
}

/**
 * A root of `f` between `low` and `high`, where f(low) <= 0 <= f(high), by false position that halves a stale end
 * (the Illinois method, Dowell and Jarratt 1971, from memory). Throws RangeError when the ends do not bracket one.
 */
export function bracketedRoot(f: (x: number) => number, search: RootSearch): Root {
  let { low, high } = search;
  const { tolerance, mostEvaluations = 60 } = search;
  let atLow = f(low);
  let atHigh = f(high);
  let evaluations = 2;
  if (atLow > 0 || atHigh < 0) throw new RangeError('the ends do not bracket a root');
  let stale: 'low' | 'high' | null = null;
  while (high - low > tolerance && evaluations < mostEvaluations) {
    const secant = atHigh > atLow ? high - (atHigh * (high - low)) / (atHigh - atLow) : (low + high) / 2;
    // A step onto an end would never narrow the other one.
    const at = Math.min(high - tolerance / 4, Math.max(low + tolerance / 4, secant));
    const value = f(at);
    evaluations += 1;
    if (value < 0) {
      low = at;
      atLow = value;
      if (stale === 'high') atHigh /= 2;
      stale = 'high';
    } else {
      high = at;
      atHigh = value;
      if (stale === 'low') atLow /= 2;
      stale = 'low';
    }
  }
  return { at: (low + high) / 2, low, high, evaluations };
}
