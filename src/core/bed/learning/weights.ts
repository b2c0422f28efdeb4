/** How much each draw counts after what was measured. */
export interface DrawWeights {
  /** Adding up to 1. */
  readonly weights: readonly number[];
  /** Draws that really carry the answer. */
  readonly effectiveDraws: number;
  /** Share of the evidence that was used: below 1 it was weakened so that enough draws still count. */
  readonly evidenceUsed: number;
}

/** At least so many draws must carry a band, or a quarter of the few there are (set here). */
const FEWEST_EFFECTIVE = 30;
const FEWEST_SHARE = 0.25;
const HALVINGS = 30;

function weightsAt(logs: readonly number[], exponent: number): number[] {
  const highest = Math.max(...logs);
  const raw = logs.map((log) => Math.exp(exponent * (log - highest)));
  const all = raw.reduce((sum, one) => sum + one, 0);
  return raw.map((one) => one / all);
}

/**
 * How many draws of equal weight would carry an answer as well (Kish 1965, from memory).
 *
 * @example
 * effectiveDraws([1, 1, 1, 1]) // 4
 */
export function effectiveDraws(weights: readonly number[]): number {
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  return all ** 2 / weights.reduce((sum, weight) => sum + weight * weight, 0);
}

/**
 * Importance weights of prior draws from the logarithms of their likelihoods. When too few draws would carry all the
 * weight, the evidence is weakened (its logarithms multiplied by a share below 1) until enough do: a band from three
 * draws would look surer than it is.
 */
export function drawWeights(logLikelihoods: readonly number[]): DrawWeights {
  const wanted = Math.min(FEWEST_EFFECTIVE, logLikelihoods.length * FEWEST_SHARE);
  let used = 1;
  if (effectiveDraws(weightsAt(logLikelihoods, 1)) < wanted) {
    let low = 0;
    let high = 1;
    for (let i = 0; i < HALVINGS; i++) {
      used = (low + high) / 2;
      if (effectiveDraws(weightsAt(logLikelihoods, used)) < wanted) high = used;
      else low = used;
    }
    used = low;
  }
  const weights = weightsAt(logLikelihoods, used);
  return { weights, effectiveDraws: effectiveDraws(weights), evidenceUsed: used };
}

/**
 * The values below which each of `shares` of the weight lies. With equal weights they are the usual quantiles by
 * straight lines between neighbors.
 */
export function weightedQuantiles(
  values: readonly number[],
  weights: readonly number[],
  shares: readonly number[],
): number[] {
  const order = values.map((_, i) => i).sort((a, b) => values[a] - values[b]);
  const last = order.length - 1;
  const at: number[] = [];
  let before = 0;
  order.forEach((index, k) => {
    at.push(k * weights[index] + last * before);
    before += weights[index];
  });
  return shares.map((share) => {
    const target = share * at[last];
    let k = 0;
    while (k < last && at[k + 1] < target) k += 1;
    const next = Math.min(k + 1, last);
    const span = at[next] - at[k];
    const between = span > 0 ? Math.min(1, Math.max(0, (target - at[k]) / span)) : 0;
    return values[order[k]] + (values[order[next]] - values[order[k]]) * between;
  });
}

/**
 * Mean of values, each counted by its weight.
 *
 * @example
 * weightedMean([1, 4], [2, 1]) // 2
 */
export const weightedMean = (values: readonly number[], weights: readonly number[]): number =>
  values.reduce((sum, value, i) => sum + value * weights[i], 0) / weights.reduce((sum, one) => sum + one, 0);
