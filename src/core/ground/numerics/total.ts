/**
 * Sum of finite numbers, in order.
 *
 * @example
 * total([1, 2, 3]) // 6
 */
export function total(values: Iterable<number>): number {
  let sum = 0;
  for (const value of values) sum += value;
  return sum;
}
