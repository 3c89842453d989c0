/** One figure of a benchmark. */
export interface Figure {
  readonly what: string;
  readonly value: number;
  readonly unit: string;
  /** what the issue or the plan asks for, in words */
  readonly goal?: string;
  readonly met?: boolean;
}

export interface Table {
  readonly title: string;
  readonly figures: readonly Figure[];
}

/** The middle of a list of numbers; of an even one the mean of the two in the middle. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return ((sorted[Math.ceil(half) - 1] ?? NaN) + (sorted[Math.floor(half)] ?? NaN)) / 2;
}

/** The value below which the share `p` of a list lies. */
export function percentile(values: readonly number[], p: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(p * sorted.length))] ?? NaN;
}

/**
 * How often a second something can be done: the median of `rounds` rounds.
 * @param work does it `times` times
 * @param clock milliseconds, rising
 */
export function perSecond(work: (times: number) => void, times: number, clock: () => number, rounds = 9): number {
  work(Math.ceil(times / 10));
  const rates = Array.from({ length: rounds }, () => {
    const start = clock();
    work(times);
    return (times * 1000) / (clock() - start);
  });
  return median(rates);
}
