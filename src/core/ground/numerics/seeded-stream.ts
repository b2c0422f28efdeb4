/** A repeatable stream of numbers from 0 to 1 (mulberry32, public domain, from memory). */
export function seededStream(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * A draw from a triangular distribution by its inverse, from `u` between 0 and 1; low <= mode <= high.
 *
 * @example
 * triangular(0.5, 0, 1, 4) // 1.55
 */
export function triangular(u: number, low: number, mode: number, high: number): number {
  if (!(high > low)) return mode;
  const rising = (mode - low) / (high - low);
  return u < rising
    ? low + Math.sqrt(u * (high - low) * (mode - low))
    : high - Math.sqrt((1 - u) * (high - low) * (high - mode));
}
