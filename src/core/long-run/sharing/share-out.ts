import { requireNumber } from '../../../refusals/input-error.ts';
import {
  LITRES_PER_METRIC_BARROW,
  type LinearProgram,
  type LinearRow,
  type LinearVariable,
  type SolveLinearProgram,
} from '../../ground/index.ts';
import { reasonOf, unmetOf, type ExplainedShare, type SharedPair, type UnmetWant } from './explain.ts';
import {
  BARROW_COST_M2,
  evenSplit,
  gainKey,
  gainsByPair,
  LEAST_L,
  measureOf,
  valueOfWant,
  type Share,
  type ShareMeasure,
} from './measure.ts';
import {
  mostOnBedL,
  PURPOSES,
  SHARE_SEASONS,
  whyUnsuited,
  type FixedShare,
  type ShareProblem,
  type ShareSeason,
} from './share-problem.ts';

export type ShareConflict =
  | {
      readonly type: 'beyondStock';
      readonly pileId: string;
      readonly fixedL: number;
      readonly thereL: number;
    }
  | {
      readonly type: 'beyondLockUp';
      readonly bedId: string;
      readonly lockedG: number;
      readonly limitG: number;
    }
  | { readonly type: 'beyondDepth'; readonly pileId: string; readonly bedId: string; readonly mostL: number }
  | { readonly type: 'unsuited'; readonly pileId: string; readonly bedId: string };

export type ShareAnswer =
  | {
      readonly status: 'solved';
      readonly shares: readonly ExplainedShare[];
      readonly unmet: readonly UnmetWant[];
      readonly measure: ShareMeasure;
      readonly even: ShareMeasure;
    }
  | { readonly status: 'infeasible'; readonly conflicts: readonly ShareConflict[] };

/** A pair as the programme names it. */
interface Pair extends SharedPair {
  readonly litres: string;
  readonly isUsed: string;
  readonly fixedL: number | null;
}

/** With more pairs than this, halves of barrows are no longer kept apart from none: it would take too long. */
const MOST_WHOLE_PAIRS = 160;
const NEAR_ENOUGH = 1e-6;

/**
 * Who gets what: the shares that meet most of what the beds want for the least carrying, within what is there, the
 * depth of a layer and the lock-up each bed can bear. Stated as a mixed-integer programme. Choices in `fixed` are kept;
 * when they cannot be, the answer says which. Throws InputError for a fixed amount that is none.
 */
export function shareOut(problem: ShareProblem, solve: SolveLinearProgram): ShareAnswer {
  problem.fixed.forEach(({ litres }, i) => requireNumber(litres, ['fixed', i, 'litres'], { min: 0 }));
  const conflicts = conflictsOf(problem);
  if (conflicts.length > 0) return { status: 'infeasible', conflicts };
  const pairs = pairsOf(problem);
  const even = measureOf(evenSplit(problem), problem);
  if (pairs.length === 0) {
    return {
      status: 'solved',
      shares: [],
      unmet: unmetOf([], problem),
      measure: measureOf([], problem),
      even,
    };
  }
  const outcome = solve(programOf(pairs, problem));
  if (outcome.status === 'infeasible') return { status: 'infeasible', conflicts: [] };
  if (outcome.status === 'failed') throw new Error(`the solver failed: ${outcome.reason}`);
  const used = pairs.flatMap((pair) => {
    const litres = outcome.values[pair.litres] ?? 0;
    return litres > NEAR_ENOUGH ? [{ pair, litres }] : [];
  });
  const shares = used.map(({ pair, litres }): Share => ({
    pileId: pair.pile.id,
    bedId: pair.bed.id,
    season: pair.season,
    litres,
  }));
  return {
    status: 'solved',
    shares: used.map(({ pair }, i) => ({
      ...shares[i],
      ...reasonOf({ pair, litres: shares[i].litres, isFixed: pair.fixedL !== null, problem }),
    })),
    unmet: unmetOf(shares, problem),
    measure: measureOf(shares, problem),
    even,
  };
}

function pairsOf({ piles, beds, gains, fixed }: ShareProblem): Pair[] {
  const byPair = gainsByPair(gains);
  return piles.flatMap((pile, p) =>
    beds.flatMap((bed, b) =>
      SHARE_SEASONS.flatMap((season, s): Pair[] => {
        const gain = byPair.get(gainKey(pile.id, bed.id));
        const own = fixedShare({ fixed, pileId: pile.id, bedId: bed.id, season });
        if (!gain || (whyUnsuited(pile, bed) !== null && !own)) return [];
        if (!own && PURPOSES.every((purpose) => gain.perL[purpose] <= 0 || bed.wants[season][purpose] <= 0))
          return [];
        const name = `${p}_${b}_${s}`;
        return [
          {
            pile,
            bed,
            season,
            gain,
            litres: `x${name}`,
            isUsed: `u${name}`,
            fixedL: own ? own.litres : null,
          },
        ];
      }),
    ),
  );
}

const fixedShare = ({
  fixed,
  pileId,
  bedId,
  season,
}: {
  readonly fixed: readonly FixedShare[];
  readonly pileId: string;
  readonly bedId: string;
  readonly season: ShareSeason;
}): FixedShare | undefined =>
  fixed.find((one) => one.pileId === pileId && one.bedId === bedId && one.season === season);

function programOf(pairs: readonly Pair[], { piles, beds }: ShareProblem): LinearProgram {
  const keepsHalves = pairs.length <= MOST_WHOLE_PAIRS;
  const variables: LinearVariable[] = pairs.flatMap((pair) => {
    const most = mostOnBedL(pair.pile, pair.bed);
    const [low, high] = pair.fixedL === null ? [0, most] : [pair.fixedL, pair.fixedL];
    const litres = {
      name: pair.litres,
      low,
      high,
      cost: BARROW_COST_M2 / LITRES_PER_METRIC_BARROW,
      isWhole: false,
    };
    const isUsed = { name: pair.isUsed, low: 0, high: 1, cost: 0, isWhole: true };
    return keepsHalves && pair.fixedL === null ? [litres, isUsed] : [litres];
  });
  const rows: LinearRow[] = [];
  const row = ({
    name,
    coefficients,
    low,
    high,
  }: {
    readonly name: string;
    readonly coefficients: Record<string, number>;
    readonly low: number;
    readonly high: number;
  }) => rows.push({ name, coefficients, low, high });
  if (keepsHalves) {
    for (const pair of pairs) {
      if (pair.fixedL !== null) continue;
      const most = mostOnBedL(pair.pile, pair.bed);
      row({
        name: `least_${pair.litres}`,
        coefficients: { [pair.litres]: 1, [pair.isUsed]: -Math.min(LEAST_L, most) },
        low: 0,
        high: Infinity,
      });
      row({
        name: `most_${pair.litres}`,
        coefficients: { [pair.litres]: 1, [pair.isUsed]: -most },
        low: -Infinity,
        high: 0,
      });
    }
  }
  const sum = (those: readonly Pair[], read: (pair: Pair) => number) =>
    Object.fromEntries(those.map((pair) => [pair.litres, read(pair)]));
  piles.forEach((pile, p) => {
    const own = pairs.filter((pair) => pair.pile === pile);
    const now = own.filter(({ season }) => season === 'now');
    if (now.length > 0)
      row({ name: `free_${p}`, coefficients: sum(now, () => 1), low: -Infinity, high: pile.freeL });
    if (own.length > 0)
      row({
        name: `all_${p}`,
        coefficients: sum(own, () => 1),
        low: -Infinity,
        high: pile.freeL + pile.comingL,
      });
  });
  beds.forEach((bed, b) => {
    SHARE_SEASONS.forEach((season, s) => {
      const own = pairs.filter((pair) => pair.bed === bed && pair.season === season);
      if (own.length === 0) return;
      row({
        name: `lock_${b}_${s}`,
        coefficients: sum(own, ({ gain }) => Math.max(0, gain.lockedGPerL)),
        low: -Infinity,
        high: bed.lockLimitG,
      });
      PURPOSES.forEach((purpose, q) => {
        const wanted = bed.wants[season][purpose];
        if (wanted <= 0) return;
        const met = `m${b}_${s}_${q}`;
        // As a share of what is wanted, so that all numbers are of one size.
        variables.push({ name: met, low: 0, high: 1, cost: -valueOfWant(bed, purpose), isWhole: false });
        const supply = sum(own, ({ gain }) => Math.max(0, gain.perL[purpose]) / wanted);
        row({ name: `met_${b}_${s}_${q}`, coefficients: { ...supply, [met]: -1 }, low: 0, high: Infinity });
      });
    });
  });
  return { variables, rows };
}

/** What the own choices ask that cannot be. */
function conflictsOf({ piles, beds, gains, fixed }: ShareProblem): ShareConflict[] {
  const byPair = gainsByPair(gains);
  const beyondStock = piles.flatMap((pile): ShareConflict[] => {
    const own = fixed.filter(({ pileId }) => pileId === pile.id);
    const litres = (those: readonly FixedShare[]) => those.reduce((sum, one) => sum + one.litres, 0);
    const now = litres(own.filter(({ season }) => season === 'now'));
    const all = litres(own);
    const [fixedL, thereL] = now > pile.freeL ? [now, pile.freeL] : [all, pile.freeL + pile.comingL];
    return fixedL > thereL + NEAR_ENOUGH ? [{ type: 'beyondStock', pileId: pile.id, fixedL, thereL }] : [];
  });
  const onBeds = fixed.flatMap((one): ShareConflict[] => {
    const pile = piles.find(({ id }) => id === one.pileId);
    const bed = beds.find(({ id }) => id === one.bedId);
    if (!pile || !bed || one.litres === 0) return [];
    const at = { pileId: pile.id, bedId: bed.id };
    if (whyUnsuited(pile, bed) !== null) return [{ type: 'unsuited', ...at }];
    const mostL = mostOnBedL(pile, bed);
    return one.litres > mostL + NEAR_ENOUGH ? [{ type: 'beyondDepth', ...at, mostL }] : [];
  });
  const beyondLockUp = beds.flatMap((bed): ShareConflict[] =>
    SHARE_SEASONS.flatMap((season): ShareConflict[] => {
      const lockedG = fixed
        .filter((one) => one.bedId === bed.id && one.season === season)
        .reduce(
          (sum, one) =>
            sum + one.litres * Math.max(0, byPair.get(gainKey(one.pileId, bed.id))?.lockedGPerL ?? 0),
          0,
        );
      return lockedG > bed.lockLimitG + NEAR_ENOUGH
        ? [{ type: 'beyondLockUp', bedId: bed.id, lockedG, limitG: bed.lockLimitG }]
        : [];
    }),
  );
  return [...beyondStock, ...onBeds, ...beyondLockUp];
}
