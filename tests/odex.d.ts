/** The package's entry is compiled JavaScript of this shape; the TypeScript beside it is another, newer one. */
export type Derivative = (x: number, y: number[]) => number[];
export class Solver {
  constructor(n: number);
  absoluteTolerance: number;
  relativeTolerance: number;
  maxSteps: number;
  solve(f: Derivative, x0: number, y0: number[], xEnd: number): { y: number[]; nEval: number; nStep: number };
}
