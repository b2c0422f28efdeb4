/** Square of the international foot, exact. */
export const SQUARE_METRES_PER_SQUARE_FOOT = 0.3048 ** 2;

export const squareMetresFromSquareFeet = (squareFeet: number): number =>
  squareFeet * SQUARE_METRES_PER_SQUARE_FOOT;
export const squareFeetFromSquareMetres = (squareMetres: number): number =>
  squareMetres / SQUARE_METRES_PER_SQUARE_FOOT;
