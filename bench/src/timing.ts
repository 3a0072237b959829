/** Milliseconds that one call took. */
async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** The middle of some times, in ms. */
export function median(times: readonly number[]): number {
  return quantile(times, 0.5);
}

/** The time that a share `p` of the calls stayed below, in ms. */
export function quantile(times: readonly number[], p: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(p * sorted.length))] ?? 0;
}

/** Times of two pieces of work, in ms. */
export interface Pair {
  readonly first: number[];
  readonly second: number[];
}

/** Times two pieces of work turn by turn, so that both meet the same machine. */
export async function sideBySide(
  rounds: number,
  first: () => Promise<unknown>,
  second: () => Promise<unknown>,
): Promise<Pair> {
  const [a = [], b = []] = await inTurns(rounds, [first, second]);
  return { first: a, second: b };
}

/** The same of any number of pieces of work; gives the times of each. */
export async function inTurns(
  rounds: number,
  works: readonly (() => Promise<unknown>)[],
): Promise<number[][]> {
  const times = works.map((): number[] => []);
  const warmUp = Math.ceil(rounds / 10);
  for (let round = -warmUp; round < rounds; round += 1) {
    for (const [at, work] of works.entries()) {
      const ms = await timed(work);
      if (round >= 0) times[at]?.push(ms);
    }
  }
  return times;
}
