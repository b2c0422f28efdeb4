import { expose } from 'comlink';
import highsLoader from 'highs';
import wasmUrl from 'highs/runtime?url';
import { InputError } from '../../core/input-error.ts';
import { solveMix, type MixAnswer, type MixProblem } from '../../core/mixing/solve-mix.ts';
import { solverOver } from './highs.ts';

export type SolvedMix =
  | { readonly ok: true; readonly answer: MixAnswer }
  | { readonly ok: false; readonly field: string; readonly sentence: string };

const loaded = highsLoader({ locateFile: () => wasmUrl });

/** Solves a mix; what makes no sense comes back as a sentence. */
async function solve(problem: MixProblem): Promise<SolvedMix> {
  const solver = solverOver(await loaded);
  try {
    return { ok: true, answer: solveMix(problem, solver) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const field = error.path.join('.');
    return { ok: false, field, sentence: `${field} ${error.requirement}.` };
  }
}

const solverWorker = { solve };
export type SolverWorker = typeof solverWorker;

expose(solverWorker);
