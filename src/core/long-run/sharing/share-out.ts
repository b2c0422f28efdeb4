import { requireNumber } from '../../../refusals/input-error.ts';
import type { SolveLinearProgram } from '../../ground/index.ts';
import { idleOf, reasonOf, unmetOf, type ExplainedShare, type IdlePile, type UnmetWant } from './explain.ts';
import { evenSplit, measureOf, type ShareMeasure } from './measure.ts';
import { conflictsOf, type ShareConflict } from './share-conflicts.ts';
import { pairsOf, type Pair } from './share-pairs.ts';
import type { Share, ShareProblem } from './share-problem.ts';
import { ceilingRows, programOf } from './share-program.ts';
import { wholeLoads } from './whole-loads.ts';

export type ShareAnswer =
  | {
      readonly status: 'solved';
      readonly shares: readonly ExplainedShare[];
      readonly unmet: readonly UnmetWant[];
      readonly idle: readonly IdlePile[];
      readonly measure: ShareMeasure;
      /** The same stock spread over all beds alike. */
      readonly even: ShareMeasure;
      /** One's own choices and nothing else. */
      readonly own: ShareMeasure;
    }
  | { readonly status: 'infeasible'; readonly conflicts: readonly ShareConflict[] };

/** With more pairs than this, whole loads are not sought together but rounded to: it would take too long. */
const MOST_WHOLE_PAIRS = 240;

/**
 * Who gets what, in whole loads: the shares that meet most of what the beds want for the least carrying, within what is there,
 * the depth of a layer and what each bed bears. Stated as a mixed-integer programme. Choices in `fixed` are kept; when they
 * cannot be, the answer says which. Throws InputError for a fixed amount that is none.
 */
export function shareOut(problem: ShareProblem, solve: SolveLinearProgram): ShareAnswer {
  problem.fixed.forEach(({ litres }, i) => requireNumber(litres, ['fixed', i, 'litres'], { min: 0 }));
  const conflicts = conflictsOf(problem);
  if (conflicts.length > 0) return { status: 'infeasible', conflicts };
  const pairs = pairsOf(problem);
  const loads = loadsOf(pairs, problem, solve);
  const given = pairs.flatMap((pair) => {
    const litres = Math.round(loads[pair.loads] ?? 0) * pair.loadL;
    return litres > 0 ? [{ pair, litres }] : [];
  });
  const shares = given.map(({ pair, litres }): Share => ({
    pileId: pair.pile.id,
    bedId: pair.bed.id,
    season: pair.season,
    litres,
  }));
  return {
    status: 'solved',
    shares: given.map(({ pair, litres }, i) => ({
      ...shares[i],
      ...reasonOf({ pair, litres, isFixed: pair.isFixed, problem }),
    })),
    unmet: unmetOf(shares, problem),
    idle: idleOf(shares, problem),
    measure: measureOf(shares, problem),
    even: measureOf(evenSplit(problem), problem),
    own: measureOf(problem.fixed, problem),
  };
}

/** How many loads each pair gets, by its name. */
function loadsOf(
  pairs: readonly Pair[],
  problem: ShareProblem,
  solve: SolveLinearProgram,
): Readonly<Record<string, number>> {
  if (pairs.length === 0) return {};
  const isWhole = pairs.length <= MOST_WHOLE_PAIRS;
  const outcome = solve(programOf(pairs, problem, isWhole));
  if (outcome.status === 'infeasible') throw new Error('choices that go together could not be kept');
  if (outcome.status === 'failed') throw new Error(`the solver failed: ${outcome.reason}`);
  return isWhole ? outcome.values : wholeLoads(pairs, outcome.values, ceilingRows(pairs, problem));
}
