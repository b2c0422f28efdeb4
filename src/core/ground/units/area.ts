/** Square of the international foot, exact. */
export const SQUARE_METRES_PER_SQUARE_FOOT = 0.3048 ** 2;

/**
 * Square meters of square feet.
 *
 * @example
 * squareMetresFromSquareFeet(32) // 2.97
 */
export const squareMetresFromSquareFeet = (squareFeet: number): number =>
  squareFeet * SQUARE_METRES_PER_SQUARE_FOOT;
/**
 * Square feet of square meters.
 *
 * @example
 * squareFeetFromSquareMetres(10) // 108
 */
export const squareFeetFromSquareMetres = (squareMetres: number): number =>
  squareMetres / SQUARE_METRES_PER_SQUARE_FOOT;
