/**
 * `value` limited to the closed interval [low, high].
 *
 * @example
 * clamp(12, 0, 10) // 10
 */
export const clamp = (value: number, low: number, high: number): number =>
  value < low ? low : value > high ? high : value;

/**
 * Cubic S-curve from 0 at x <= 0 to 1 at x >= 1: x^2 (3 - 2x).
 *
 * @example
 * smoothStep(0.25) // 0.156
 */
export const smoothStep = (x: number): number => {
  const t = clamp(x, 0, 1);
  return t * t * (3 - 2 * t);
};
