/**
 * Weighted least squares under a falling order: the non-increasing sequence
 * closest to `values` (pool adjacent violators; Barlow, Bartholomew, Bremner
 * and Brunk 1972).
 * @param values n numbers
 * @param weights n positive numbers
 * @returns n numbers, each no larger than the one before
 */
export function fallingFit(values: readonly number[], weights: readonly number[]): number[] {
  const pools: { mean: number; weight: number; count: number }[] = [];
  values.forEach((value, i) => {
    let pool = { mean: value, weight: weights[i] ?? 1, count: 1 };
    for (let last = pools.at(-1); last && last.mean < pool.mean; last = pools.at(-1)) {
      pools.pop();
      const weight = last.weight + pool.weight;
      pool = {
        mean: (last.mean * last.weight + pool.mean * pool.weight) / weight,
        weight,
        count: last.count + pool.count,
      };
    }
    pools.push(pool);
  });
  return pools.flatMap(({ mean, count }) => Array.from({ length: count }, () => mean));
}
