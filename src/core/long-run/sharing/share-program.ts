import type { LinearProgram, LinearRow, LinearVariable } from '../../ground/index.ts';
import { LOAD_COST_M2, valueOfWant } from './measure.ts';
import type { Pair } from './share-pairs.ts';
import { PURPOSES, SHARE_SEASONS, seasonsUntil, type ShareProblem } from './share-problem.ts';

/** Nobody sees a hundredth of what could be met, and the last of it takes the longest to find (set here). */
const NEAR_ENOUGH_SHARE = 0.01;

/** Sharing out as a linear programme: the loads of each pair, what is there, what each bed bears, what each want gets. */
export function programOf(pairs: readonly Pair[], problem: ShareProblem, isWhole: boolean): LinearProgram {
  const wants = wantRows(pairs, problem);
  const loads = pairs.map(({ loads, most, isFixed, loadL }): LinearVariable => {
    const trips = isFixed ? loadL / problem.carrier.barrowL : 1;
    return { name: loads, low: isFixed ? 1 : 0, high: most, cost: LOAD_COST_M2 * trips, isWhole };
  });
  return {
    variables: [...loads, ...wants.variables],
    rows: [...ceilingRows(pairs, problem), ...wants.rows],
    nearEnoughShare: NEAR_ENOUGH_SHARE,
  };
}

const sumOf = (pairs: readonly Pair[], perL: (pair: Pair) => number): Record<string, number> =>
  Object.fromEntries(pairs.map((pair) => [pair.loads, pair.loadL * perL(pair)]));

/** What is there by each season, and what each bed bears: sums of loads that stay below something. */
export function ceilingRows(pairs: readonly Pair[], { piles, beds }: ShareProblem): LinearRow[] {
  const low = -Infinity;
  const there = piles.flatMap((pile, p) =>
    SHARE_SEASONS.map((season, s): LinearRow => {
      const until = seasonsUntil(season);
      const own = pairs.filter((pair) => pair.pile === pile && until.includes(pair.season));
      return {
        name: `there_${p}_${s}`,
        coefficients: sumOf(own, (pair) => 1 / pile.keptShare[pair.season]),
        low,
        high: pile.thereL[season],
      };
    }),
  );
  const borne = beds.flatMap((bed, b) =>
    bed.bounds.map(({ code, seasons, roomG }, i): LinearRow => {
      const own = pairs.filter((pair) => pair.bed === bed && seasons.includes(pair.season));
      const coefficients = sumOf(own, ({ gain }) => gain.usesGPerL[code]);
      return { name: `bound_${b}_${i}`, coefficients, low, high: roomG };
    }),
  );
  return [...there, ...borne].filter(({ coefficients }) => Object.values(coefficients).some((g) => g > 0));
}

/** Each want as a share of itself that is met, so that all numbers are of one size. */
function wantRows(pairs: readonly Pair[], { beds }: ShareProblem): LinearProgram {
  const variables: LinearVariable[] = [];
  const rows: LinearRow[] = [];
  beds.forEach((bed, b) => {
    SHARE_SEASONS.forEach((season, s) => {
      const own = pairs.filter((pair) => pair.bed === bed && pair.season === season);
      if (own.length === 0) return;
      PURPOSES.forEach((purpose, q) => {
        const wanted = bed.wants[season][purpose];
        if (wanted <= 0) return;
        const name = `m${b}_${s}_${q}`;
        const supply = sumOf(own, ({ gain }) => Math.max(0, gain.perL[purpose]) / wanted);
        variables.push({ name, low: 0, high: 1, cost: -valueOfWant(bed, purpose), isWhole: false });
        rows.push({
          name: `met_${b}_${s}_${q}`,
          coefficients: { ...supply, [name]: -1 },
          low: 0,
          high: Infinity,
        });
      });
    });
  });
  return { variables, rows };
}
