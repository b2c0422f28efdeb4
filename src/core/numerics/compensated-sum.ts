/** Neumaier's compensated sum of finite numbers: the error does not grow with the count (Neumaier 1974, from memory). */
export function compensatedSum(values: ArrayLike<number>): number {
  let sum = 0;
  let compensation = 0;
  for (let i = 0; i < values.length; i++) {
    const value = values[i];
    const next = sum + value;
    compensation += Math.abs(sum) >= Math.abs(value) ? sum - next + value : value - next + sum;
    sum = next;
  }
  return sum + compensation;
}
