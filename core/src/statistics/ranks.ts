/** Values by rank, from 1; equal values share the mean of their ranks. */
export interface Ranks {
  readonly of: readonly number[];
  /** How many values share each rank that is shared by two or more. */
  readonly ties: readonly number[];
}

/** Ranks values, ties by the mean of their places (midranks). */
export function ranksOf(values: readonly number[]): Ranks {
  const order = values.map((_, index) => index).sort((a, b) => at(values, a) - at(values, b));
  const of = new Array<number>(values.length).fill(0);
  const ties: number[] = [];
  for (let start = 0; start < order.length;) {
    let end = start + 1;
    while (end < order.length && at(values, order[end]) === at(values, order[start])) end += 1;
    const rank = (start + 1 + end) / 2;
    for (let place = start; place < end; place += 1) of[order[place] as number] = rank;
    if (end - start > 1) ties.push(end - start);
    start = end;
  }
  return { of, ties };
}

/** Σ (t³ − t) over the ties, which every rank test corrects by. */
export function tieSum(ties: readonly number[]): number {
  return ties.reduce((sum, count) => sum + count ** 3 - count, 0);
}

function at(values: readonly number[], index: number | undefined): number {
  return values[index ?? 0] as number;
}
