/** Exact by definition of the Fahrenheit scale: water freezes at 32, and 1.8 of its degrees are one of Celsius. */
const FREEZING_F = 32;
const FAHRENHEIT_PER_CELSIUS = 1.8;

/**
 * Degrees Fahrenheit of degrees Celsius (exact by definition).
 *
 * @example
 * fahrenheitFromCelsius(20) // 68
 */
export const fahrenheitFromCelsius = (celsius: number): number =>
  celsius * FAHRENHEIT_PER_CELSIUS + FREEZING_F;
/**
 * Degrees Celsius of degrees Fahrenheit (exact by definition).
 *
 * @example
 * celsiusFromFahrenheit(77) // 25
 */
export const celsiusFromFahrenheit = (fahrenheit: number): number =>
  (fahrenheit - FREEZING_F) / FAHRENHEIT_PER_CELSIUS;
