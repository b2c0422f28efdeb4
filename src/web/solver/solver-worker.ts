import { expose } from 'comlink';
import highsLoader from 'highs';
import wasmUrl from 'highs/runtime?url';
import { InputError } from '../../refusals/input-error.ts';
import { toldError } from '../../words/refusal-words.ts';
import { type MixAnswer, type MixProblem, solveMix } from '../../core/yard/index.ts';
import type { SolveLinearProgram } from '../../core/ground/index.ts';
import { type ShareAnswer, type ShareProblem, shareOut } from '../../core/long-run/index.ts';
import { solverOver } from './highs.ts';

export type Solved<Answer> =
  | { readonly ok: true; readonly answer: Answer }
  | { readonly ok: false; readonly field: string; readonly sentence: string };

export type SolvedMix = Solved<MixAnswer>;

const loaded = highsLoader({ locateFile: () => wasmUrl });

/** Runs `work` with the solver; what makes no sense comes back as a sentence. */
async function solved<Answer>(work: (solver: SolveLinearProgram) => Answer): Promise<Solved<Answer>> {
  const solver = solverOver(await loaded);
  try {
    return { ok: true, answer: work(solver) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const { field, sentence } = toldError(error);
    return { ok: false, field, sentence };
  }
}

const solve = (problem: MixProblem): Promise<SolvedMix> => solved((solver) => solveMix(problem, solver));
const share = (problem: ShareProblem): Promise<Solved<ShareAnswer>> =>
  solved((solver) => shareOut(problem, solver));

const solverWorker = { solve, share };
export type SolverWorker = typeof solverWorker;

expose(solverWorker);
