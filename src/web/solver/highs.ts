import type { Highs } from 'highs';
import { type SolveLinearProgram, linearProgramText } from '../../core/ground/index.ts';

/** The HiGHS solver behind the core's idea of one. */
export const solverOver =
  (highs: Pick<Highs, 'solve'>): SolveLinearProgram =>
  (program) => {
    const solution = highs.solve(linearProgramText(program), {
      presolve: 'on',
      ...(program.nearEnoughShare === undefined ? {} : { mip_rel_gap: program.nearEnoughShare }),
    });
    switch (solution.Status) {
      case 'Optimal':
        return {
          status: 'optimal',
          cost: solution.ObjectiveValue,
          values: Object.fromEntries(
            Object.entries(solution.Columns).map(([name, { Primal }]) => [name, Primal]),
          ),
        };
      case 'Infeasible':
      case 'Primal infeasible or unbounded':
        return { status: 'infeasible' };
      default:
        return { status: 'failed', reason: solution.Status };
    }
  };
