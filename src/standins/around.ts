/** Roughly normal around 0 with a spread of 1: the sum of twelve draws (Irwin-Hall). */
export const drawAround = (next: () => number): number =>
  Array.from({ length: 12 }, next).reduce((sum, one) => sum + one, -6);
