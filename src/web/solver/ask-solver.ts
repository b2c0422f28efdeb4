import { wrap } from 'comlink';
import type { MixProblem } from '../../core/mixing/solve-mix.ts';
import type { SolvedMix, SolverWorker } from './solver-worker.ts';

let remote: ReturnType<typeof wrap<SolverWorker>> | undefined;

/** Asks the solver, which is loaded when it is first asked. */
export function solveOnThread(problem: MixProblem): Promise<SolvedMix> {
  remote ??= wrap<SolverWorker>(
    new Worker(new URL('./solver-worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote.solve(problem);
}
