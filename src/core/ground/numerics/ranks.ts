/**
 * The value below which a share of `sorted` lies, by straight lines between neighbors; sorted ascending, not empty.
 *
 * @example
 * quantileSorted([1, 2, 3, 4], 0.5) // 2.5
 */
export function quantileSorted(sorted: ArrayLike<number>, share: number): number {
  const at = share * (sorted.length - 1);
  const low = Math.floor(at);
  const high = Math.min(low + 1, sorted.length - 1);
  return sorted[low] + (sorted[high] - sorted[low]) * (at - low);
}

/** Bands hold this share of what may come. */
const HELD = 0.8;

/**
 * Where in `draws` sorted values the low end, the middle and the high end of a band lie: a little further out than the shares themselves, because of what comes next less falls between two of a few
 * values than lies between their shares (Hyndman and Fan 1996, their sixth definition; from memory).
 */
export function bandShares(draws: number): [number, number, number] {
  const half = draws > 1 ? Math.min(0.5, ((HELD / 2) * (draws + 1)) / (draws - 1)) : 0.5;
  return [0.5 - half, 0.5, 0.5 + half];
}

/** Ranks from 0, equal values sharing the mean of theirs. */
export function ranksOf(values: readonly number[]): number[] {
  const order = values.map((_, i) => i).sort((a, b) => values[a] - values[b]);
  const ranks = new Array<number>(values.length).fill(0);
  for (let i = 0; i < order.length;) {
    let end = i;
    while (end + 1 < order.length && values[order[end + 1]] === values[order[i]]) end += 1;
    for (let k = i; k <= end; k++) ranks[order[k]] = (i + end) / 2;
    i = end + 1;
  }
  return ranks;
}

/**
 * Spearman's rank correlation of two lists of equal length, -1 to 1; 0 when either does not vary.
 *
 * @example
 * rankCorrelation([1, 2, 3], [10, 30, 20]) // 0.5
 */
export const rankCorrelation = (a: readonly number[], b: readonly number[]): number =>
  correlationOfRanks(ranksOf(a), ranksOf(b));

/** The same of ranks that are known already. */
export function correlationOfRanks(ra: readonly number[], rb: readonly number[]): number {
  const mean = (ra.length - 1) / 2;
  let both = 0;
  let aa = 0;
  let bb = 0;
  for (let i = 0; i < ra.length; i++) {
    const da = ra[i] - mean;
    const db = rb[i] - mean;
    both += da * db;
    aa += da * da;
    bb += db * db;
  }
  return aa > 0 && bb > 0 ? both / Math.sqrt(aa * bb) : 0;
}
