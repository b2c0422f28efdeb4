/** International inch, exact (1959). */
export const CENTIMETRES_PER_INCH = 2.54;
export const CENTIMETRES_PER_FOOT = 12 * CENTIMETRES_PER_INCH;
export const CENTIMETRES_PER_METRE = 100;

/**
 * Centimeters of inches.
 *
 * @example
 * centimetresFromInches(2) // 5.08
 */
export const centimetresFromInches = (inches: number): number => inches * CENTIMETRES_PER_INCH;
/**
 * Inches of centimeters.
 *
 * @example
 * inchesFromCentimetres(30) // 11.8
 */
export const inchesFromCentimetres = (centimetres: number): number => centimetres / CENTIMETRES_PER_INCH;
