import { defined, notDefined, type Outcome } from '../shared/index.ts';
import type { Interval } from './describe.ts';
import { chiSquareSurvival } from './incomplete-gamma.ts';

const Z95 = 1.959963984540054;
const ROUNDING = 1e-9;

/** How long something was waited for: until it happened, or until nobody looked any more. */
export interface Wait {
  readonly time: number;
  readonly happened: boolean;
}

/** The share still waiting after a time at which it happened to some. */
export interface WaitingStep {
  readonly time: number;
  readonly atRisk: number;
  readonly events: number;
  readonly waiting: number;
  /** 95 % interval by Greenwood (1926) on the log–log scale; absent at 1 and 0. */
  readonly interval: Outcome<Interval>;
}

/** Waiting times of one group. */
export interface KaplanMeier {
  readonly n: number;
  readonly events: number;
  readonly steps: readonly WaitingStep[];
  /** The first time at which no more than half are waiting; the middle of the stretch where just half are. */
  readonly median: Outcome<number>;
  /** 95 % interval of the median (Brookmeyer and Crowley 1982); an end is undefined when never reached. */
  readonly medianLow: Outcome<number>;
  readonly medianHigh: Outcome<number>;
}

/** The curve of Kaplan and Meier (1958), log–log intervals (R `survfit(conf.type = "log-log")`). */
export function kaplanMeier(waits: readonly Wait[]): KaplanMeier {
  const times = [...new Set(waits.filter((wait) => wait.happened).map((wait) => wait.time))].sort(
    (a, b) => a - b,
  );
  let [waiting, greenwood] = [1, 0];
  const steps = times.map((time): WaitingStep => {
    const atRisk = waits.filter((wait) => wait.time >= time).length;
    const events = waits.filter((wait) => wait.happened && wait.time === time).length;
    waiting *= 1 - events / atRisk;
    greenwood += events / (atRisk * (atRisk - events));
    if (waiting < ROUNDING) return { time, atRisk, events, waiting: 0, interval: notDefined('no_spread') };
    const reach = (Z95 * Math.sqrt(greenwood)) / Math.abs(Math.log(waiting));
    const interval = { low: waiting ** Math.exp(reach), high: waiting ** Math.exp(-reach) };
    return { time, atRisk, events, waiting, interval: defined(interval) };
  });
  const crossing = (value: (step: WaitingStep) => number | undefined): Outcome<number> => {
    const at = steps.findIndex((candidate) => (value(candidate) ?? 1) <= 0.5 + ROUNDING);
    const step = steps[at];
    if (!step) return notDefined('half_never_reached');
    const isFlat = (value(step) as number) > 0.5 - ROUNDING;
    const end = steps[at + 1]?.time ?? Math.max(...waits.map((wait) => wait.time));
    return defined(isFlat ? (step.time + end) / 2 : step.time);
  };
  return {
    n: waits.length,
    events: waits.filter((wait) => wait.happened).length,
    steps,
    median: crossing((step) => step.waiting),
    medianLow: crossing((step) => (step.interval.defined ? step.interval.value.low : undefined)),
    medianHigh: crossing((step) => (step.interval.defined ? step.interval.value.high : undefined)),
  };
}

/** Waiting times of several groups compared. */
export interface LogRank {
  readonly chiSquare: number;
  readonly df: number;
  readonly p: number;
}

/**
 * The log-rank test of two or more groups (Mantel 1966; R `survdiff`).
 * @returns undefined with fewer than two groups that hold anyone, or when nothing happened while two were waiting
 */
export function logRank(groups: readonly (readonly Wait[])[]): Outcome<LogRank> {
  const filled = groups.filter((group) => group.length > 0);
  if (filled.length < 2) return notDefined('too_few_groups');
  const df = filled.length - 1;
  const excess = new Array<number>(df).fill(0);
  const variance = Array.from({ length: df }, () => new Array<number>(df).fill(0));
  const all = filled.flat();
  for (const time of new Set(all.filter((wait) => wait.happened).map((wait) => wait.time))) {
    const atRisk = filled.map((group) => group.filter((wait) => wait.time >= time).length);
    const events = filled.map((group) => group.filter((wait) => wait.happened && wait.time === time).length);
    const n = sum(atRisk);
    const d = sum(events);
    const spread = n > 1 ? (d * (n - d)) / (n - 1) : 0;
    for (let i = 0; i < df; i += 1) {
      const share = (atRisk[i] as number) / n;
      excess[i] = (excess[i] as number) + (events[i] as number) - d * share;
      const row = variance[i] as number[];
      for (let j = 0; j < df; j += 1) {
        row[j] = (row[j] as number) + spread * share * ((i === j ? 1 : 0) - (atRisk[j] as number) / n);
      }
    }
  }
  const solved = solve(variance, excess);
  if (!solved) return notDefined('no_spread');
  const chiSquare = excess.reduce((total, value, index) => total + value * (solved[index] as number), 0);
  return defined({ chiSquare, df, p: chiSquareSurvival(chiSquare, df) });
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}

/** Solves a small symmetric system by elimination; undefined when it is singular. */
export function solve(
  matrix: readonly (readonly number[])[],
  right: readonly number[],
): number[] | undefined {
  const n = right.length;
  const rows = matrix.map((row, index) => [...row, right[index] as number]);
  const largest = Math.max(...matrix.flat().map(Math.abs), 0);
  for (let column = 0; column < n; column += 1) {
    let best = column;
    for (let row = column; row < n; row += 1) {
      if (Math.abs(rows[row]?.[column] ?? 0) > Math.abs(rows[best]?.[column] ?? 0)) best = row;
    }
    [rows[column], rows[best]] = [rows[best] as number[], rows[column] as number[]];
    const pivot = rows[column] as number[];
    if (!(Math.abs(pivot[column] as number) > 1e-13 * largest)) return undefined;
    for (let row = 0; row < n; row += 1) {
      if (row === column) continue;
      const own = rows[row] as number[];
      const times = (own[column] as number) / (pivot[column] as number);
      for (let at = column; at <= n; at += 1) own[at] = (own[at] as number) - times * (pivot[at] as number);
    }
  }
  return rows.map((row, index) => (row[n] as number) / (row[index] as number));
}
