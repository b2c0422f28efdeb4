/** Logistic curve that comes close to the normal distribution (within 0.01, from memory). */
const NORMAL_BY_LOGISTIC = 1.702;

/** A draw that is near enough standard normal: twelve even draws added up, less 6. */
export function normalDraw(next: () => number): number {
  let sum = 0;
  for (let i = 0; i < 12; i++) sum += next();
  return sum - 6;
}

/**
 * Share of a standard normal distribution that lies below `z`, to about 0.01.
 *
 * @example
 * shareBelow(1) // 0.846
 */
export const shareBelow = (z: number): number => 1 / (1 + Math.exp(-NORMAL_BY_LOGISTIC * z));

/**
 * The factor that a standard normal `z` makes of a lognormal spread with mean 1 and this coefficient of variation.
 *
 * @example
 * lognormalFactor(1, 0.3) // 1.28
 */
export function lognormalFactor(z: number, coefficientOfVariation: number): number {
  const s = Math.sqrt(Math.log(1 + coefficientOfVariation ** 2));
  return Math.exp(z * s - (s * s) / 2);
}
