import { wrap } from 'comlink';
import type { MixProblem } from '../../core/yard/index.ts';
import type { ShareAnswer, ShareProblem } from '../../core/long-run/index.ts';
import type { Solved, SolvedMix, SolverWorker } from './solver-worker.ts';

let remote: ReturnType<typeof wrap<SolverWorker>> | undefined;

/** The solver, which is loaded when it is first asked. */
const solver = () =>
  (remote ??= wrap<SolverWorker>(
    new Worker(new URL('./solver-worker.ts', import.meta.url), { type: 'module' }),
  ));

export const solveOnThread = (problem: MixProblem): Promise<SolvedMix> => solver().solve(problem);

export const shareOnThread = (problem: ShareProblem): Promise<Solved<ShareAnswer>> => solver().share(problem);
