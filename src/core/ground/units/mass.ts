/** International avoirdupois pound, exact (1959). */
export const KILOGRAMS_PER_POUND = 0.45359237;
export const GRAMS_PER_KILOGRAM = 1000;
export const GRAMS_PER_OUNCE = (KILOGRAMS_PER_POUND * GRAMS_PER_KILOGRAM) / 16;

/**
 * Pounds of kilograms.
 *
 * @example
 * poundsFromKilograms(20) // 44.1
 */
export const poundsFromKilograms = (kilograms: number): number => kilograms / KILOGRAMS_PER_POUND;
/**
 * Ounces of grams.
 *
 * @example
 * ouncesFromGrams(190) // 6.7
 */
export const ouncesFromGrams = (grams: number): number => grams / GRAMS_PER_OUNCE;
