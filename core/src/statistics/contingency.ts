import { defined, notDefined, type Outcome } from '../shared/index.ts';
import type { Interval } from './describe.ts';
import { logGamma } from './incomplete-beta.ts';
import { chiSquareSurvival } from './incomplete-gamma.ts';
import { wilson } from './proportion.ts';

/** Counts by row and column. */
export type CountTable = readonly (readonly number[])[];

const RELATIVE_ROUNDING = 1e-7;
const MOST_WAYS = 60_000;
const SMALL_EXPECTED = 5;

/** A table of counts tested for whether rows differ. */
export interface ChiSquare {
  readonly chiSquare: number;
  readonly df: number;
  readonly p: number;
  readonly smallestExpected: number;
  /** True when an expected count is below 5, where the p value is rough. */
  readonly isRough: boolean;
}

/**
 * Pearson's chi-square test (1900), without Yates's correction (R `chisq.test(correct = FALSE)`).
 * @returns undefined with fewer than two rows or columns that hold any count
 */
export function chiSquareTest(table: CountTable): Outcome<ChiSquare> {
  const counts = filled(table);
  if (!counts) return notDefined('one_category');
  const { rows, columns, n } = marginsOf(counts);
  let [chiSquare, smallestExpected] = [0, Infinity];
  counts.forEach((row, r) =>
    row.forEach((count, c) => {
      const expected = ((rows[r] as number) * (columns[c] as number)) / n;
      chiSquare += (count - expected) ** 2 / expected;
      smallestExpected = Math.min(smallestExpected, expected);
    }),
  );
  const df = (rows.length - 1) * (columns.length - 1);
  const p = chiSquareSurvival(chiSquare, df);
  return defined({ chiSquare, df, p, smallestExpected, isRough: smallestExpected < SMALL_EXPECTED });
}

/**
 * Fisher's exact test (1934) of a table of any size, two-sided: the chance of all tables with the same margins
 * that are no likelier than the observed one (Freeman and Halton 1951; R `fisher.test`). Rows are dealt one after the
 * other; ways that leave the same columns and are equally likely so far go on as one, as in the network of Mehta and
 * Patel (1983).
 * @returns undefined with fewer than two rows or columns, or when there are too many ways to keep apart
 */
export function fisherExact(table: CountTable): Outcome<number> {
  const counts = filled(table);
  if (!counts) return notDefined('one_category');
  const upright = (counts[0]?.length ?? 0) > counts.length ? transposed(counts) : counts;
  const { rows, columns, n } = marginsOf(upright);
  const log = logFactorials(n);
  const fixed = sumOf(rows, log) + sumOf(columns, log) - (log[n] as number);
  const bound = upright.reduce((sum, row) => sum - sumOf(row, log), 0) + Math.log1p(RELATIVE_ROUNDING);
  let ways = new Map<string, Way>([['', { left: columns, log: 0, count: 1 }]]);
  let budget = MOST_WAYS;
  for (const size of rows.slice(0, -1)) {
    const next = new Map<string, Way>();
    for (const way of ways.values()) budget = deal(way, size, log, next, budget);
    if (budget <= 0) return notDefined('table_too_large');
    ways = next;
  }
  let p = 0;
  for (const { left, log: sofar, count } of ways.values()) {
    const chance = sofar - sumOf(left, log);
    if (chance <= bound) p += count * Math.exp(chance + fixed);
  }
  return defined(Math.min(1, p));
}

/** What is left of each column after some rows, how likely that is so far, and in how many ways it comes about. */
interface Way {
  readonly left: readonly number[];
  readonly log: number;
  readonly count: number;
}

/**
 * Deals a row of a size to the columns in every way there is. Columns of one size are alike, so they are kept in order.
 * @returns how many more ways there is time for
 */
function deal(
  way: Way,
  size: number,
  log: readonly number[],
  into: Map<string, Way>,
  budget: number,
): number {
  let rest = budget;
  const place = (column: number, toPlace: number, left: number[], sofar: number): void => {
    if (column === left.length - 1) {
      if (toPlace > (left[column] as number)) return;
      rest -= 1;
      const after = [...left];
      after[column] = (after[column] as number) - toPlace;
      const total = sofar - (log[toPlace] as number);
      const sorted = after.sort((a, b) => a - b);
      const key = `${sorted.join(' ')} ${total.toFixed(9)}`;
      const known = into.get(key);
      into.set(key, { left: sorted, log: total, count: (known?.count ?? 0) + way.count });
      return;
    }
    for (let count = 0; count <= Math.min(toPlace, left[column] as number) && rest > 0; count += 1) {
      const after = [...left];
      after[column] = (after[column] as number) - count;
      place(column + 1, toPlace - count, after, sofar - (log[count] as number));
    }
  };
  place(0, size, [...way.left], way.log);
  return rest;
}

function transposed(counts: CountTable): number[][] {
  return (counts[0] ?? []).map((_, column) => counts.map((row) => row[column] as number));
}

/** A difference of two proportions with its 95 % interval. */
export interface ShareDifference extends Interval {
  readonly difference: number;
}

/**
 * Difference of two proportions, second minus first, with its 95 % interval from the two Wilson intervals
 * (Newcombe 1998, method 10). Undefined when either has no tries.
 */
export function proportionDifference(
  first: { readonly count: number; readonly of: number },
  second: { readonly count: number; readonly of: number },
): Outcome<ShareDifference> {
  const [a, b] = [wilson(first.count, first.of), wilson(second.count, second.of)];
  if (!a.defined || !b.defined) return notDefined('no_values');
  const difference = b.value.share - a.value.share;
  const low = Math.hypot(b.value.share - b.value.low, a.value.high - a.value.share);
  const high = Math.hypot(b.value.high - b.value.share, a.value.share - a.value.low);
  return defined({ difference, low: difference - low, high: difference + high });
}

/**
 * The exact binomial test, two-sided: the chance of all counts no likelier than the observed one
 * (R `binom.test`). Undefined for no tries.
 * @param rate expected proportion, 0–1
 */
export function binomialTest(count: number, of: number, rate: number): Outcome<number> {
  if (of < 1) return notDefined('no_values');
  if (rate <= 0 || rate >= 1) return defined(count === Math.round(of * rate) ? 1 : 0);
  const log = logFactorials(of);
  const chanceOf = (k: number): number =>
    Math.exp(
      (log[of] as number) -
        (log[k] as number) -
        (log[of - k] as number) +
        k * Math.log(rate) +
        (of - k) * Math.log1p(-rate),
    );
  const bound = chanceOf(count) * (1 + RELATIVE_ROUNDING);
  let p = 0;
  for (let k = 0; k <= of; k += 1) {
    const chance = chanceOf(k);
    if (chance <= bound) p += chance;
  }
  return defined(Math.min(1, p));
}

/** The table without empty rows and columns; undefined when fewer than two of either are left. */
function filled(table: CountTable): number[][] | undefined {
  const rows = table.filter((row) => row.some((count) => count > 0));
  const used = (rows[0] ?? []).map((_, column) => rows.some((row) => (row[column] as number) > 0));
  const counts = rows.map((row) => row.filter((_, column) => used[column]));
  return counts.length < 2 || (counts[0]?.length ?? 0) < 2 ? undefined : counts;
}

function marginsOf(counts: CountTable): { rows: number[]; columns: number[]; n: number } {
  const rows = counts.map((row) => row.reduce((sum, count) => sum + count, 0));
  const columns = (counts[0] as readonly number[]).map((_, column) =>
    counts.reduce((sum, row) => sum + (row[column] as number), 0),
  );
  return { rows, columns, n: rows.reduce((sum, count) => sum + count, 0) };
}

/** ln k! for k from 0 to n. */
function logFactorials(n: number): number[] {
  return Array.from({ length: n + 1 }, (_, k) => (k < 2 ? 0 : logGamma(k + 1)));
}

function sumOf(counts: readonly number[], log: readonly number[]): number {
  return counts.reduce((sum, count) => sum + (log[count] as number), 0);
}
