/** The package ships its own TypeScript sources, which do not compile under strict settings. */
export type Derivative = (x: number, y: number[]) => number[];
export interface SolverOptions {
  absoluteTolerance?: number;
  relativeTolerance?: number;
  maxSteps?: number;
}
export class Solver {
  constructor(f: Derivative, n: number, options?: SolverOptions);
  integrate(x0: number, y0: number[]): (x: number) => number[];
  solve(x0: number, y0: number[], xEnd: number): { y: number[]; nEval: number; nStep: number };
}
