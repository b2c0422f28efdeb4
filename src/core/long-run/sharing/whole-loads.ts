import type { LinearRow } from '../../ground/index.ts';
import type { Pair } from './share-pairs.ts';

const NEAR_ENOUGH = 1e-6;

/**
 * Parts of loads as whole loads: all are rounded down, then those that lost most are made whole again as long as every ceiling
 * holds. `parts` are loads by the names of the pairs; choices of one's own are whole already.
 */
export function wholeLoads(
  pairs: readonly Pair[],
  parts: Readonly<Record<string, number>>,
  ceilings: readonly LinearRow[],
): Record<string, number> {
  const partOf = ({ loads }: Pair): number => parts[loads] ?? 0;
  const whole = Object.fromEntries(pairs.map((pair) => [pair.loads, Math.floor(partOf(pair) + NEAR_ENOUGH)]));
  const rows = ceilings.map((row) => ({
    row,
    sum: Object.entries(row.coefficients).reduce((sum, [name, g]) => sum + g * (whole[name] ?? 0), 0),
  }));
  const lost = (pair: Pair): number => partOf(pair) - whole[pair.loads];
  const cutShort = pairs.filter((pair) => lost(pair) > NEAR_ENOUGH).toSorted((a, b) => lost(b) - lost(a));
  for (const { loads } of cutShort) {
    const own = rows.filter(({ row }) => (row.coefficients[loads] ?? 0) > 0);
    if (own.some(({ row, sum }) => sum + row.coefficients[loads] > row.high)) continue;
    whole[loads] += 1;
    for (const one of own) one.sum += one.row.coefficients[loads];
  }
  return whole;
}
