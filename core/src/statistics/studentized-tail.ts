import { gaussLegendre } from './gauss-legendre.ts';

const OUTER = gaussLegendre(16);
const PANELS = 4;
const REACH_SD = 9;
const QUANTILE_PRECISION = 1e-10;
const MOST_STEPS = 60;
const TABLE_PANELS = 34;
const TABLE_DEGREE = 12;

/** Values that an estimate of the standard deviation may take, with the chance of each; the chances add up to 1. */
interface Estimates {
  readonly values: readonly number[];
  readonly chances: readonly number[];
}

/**
 * The tail of a statistic of standard normal values divided by an independent estimate of their standard deviation:
 * P(X ≥ q·s), integrated over s. The tail of X alone is tabulated once, by Chebyshev polynomials on panels of equal
 * width from 0 to where it ends: it is asked for thousands of times.
 */
export class StudentizedTail {
  readonly #table: readonly (readonly number[])[];
  readonly #end: number;
  /** Quantiles for whole degrees of freedom, by them and the tail: all pairs of a family ask for the same one. */
  readonly #known = new Map<string, number>();

  /**
   * @param above P(X ≥ x), falling from 1 at 0
   * @param end where `above` is 0 in double precision
   */
  constructor(above: (x: number) => number, end: number) {
    const width = end / TABLE_PANELS;
    this.#end = end;
    this.#table = Array.from({ length: TABLE_PANELS }, (_, panel) =>
      chebyshev((x) => above(width * (panel + (x + 1) / 2))),
    );
  }

  /** P(X ÷ s ≥ q) for an estimate s with `df` degrees of freedom, 1 or more, fractional allowed. */
  above(q: number, df: number): number {
    return this.#over(q, estimates(df));
  }

  /** The q that leaves `tail` above it, by the secant method kept inside its bracket. */
  leaving(tail: number, df: number): number {
    if (!Number.isInteger(df)) return this.#leaving(tail, df);
    const key = `${tail} ${df}`;
    const known = this.#known.get(key) ?? this.#leaving(tail, df);
    this.#known.set(key, known);
    return known;
  }

  #leaving(tail: number, df: number): number {
    const spread = estimates(df);
    const excess = (q: number): number => Math.log(this.#over(q, spread) / tail);
    let [low, high] = [0, 4];
    let [atLow, atHigh] = [excess(1e-9), excess(high)];
    while (atHigh > 0) {
      [low, atLow] = [high, atHigh];
      high *= 2;
      atHigh = excess(high);
    }
    for (let step = 0; step < MOST_STEPS && high - low > QUANTILE_PRECISION * high; step += 1) {
      const secant = high - (atHigh * (high - low)) / (atHigh - atLow);
      const isStuck = step % 3 === 2 || !(secant > low && secant < high);
      const q = isStuck ? (low + high) / 2 : secant;
      const value = excess(q);
      if (Math.abs(value) < QUANTILE_PRECISION) return q;
      if (value > 0) [low, atLow] = [q, value];
      else [high, atHigh] = [q, value];
    }
    return (low + high) / 2;
  }

  #over(q: number, { values, chances }: Estimates): number {
    if (q <= 0) return 1;
    let above = 0;
    for (let index = 0; index < values.length; index += 1) {
      above += (chances[index] as number) * this.#at(q * (values[index] as number));
    }
    return Math.min(1, above);
  }

  #at(x: number): number {
    if (x >= this.#end) return 0;
    const place = (x / this.#end) * TABLE_PANELS;
    const panel = Math.floor(place);
    const within = 2 * (place - panel) - 1;
    const coefficients = this.#table[panel] as readonly number[];
    let [after, value] = [0, 0];
    for (let order = TABLE_DEGREE; order > 0; order -= 1) {
      [after, value] = [value, 2 * within * value - after + (coefficients[order] as number)];
    }
    return Math.max(0, within * value - after + (coefficients[0] as number));
  }
}

function chebyshev(f: (x: number) => number): number[] {
  const count = TABLE_DEGREE + 1;
  const angles = Array.from({ length: count }, (_, node) => (Math.PI * (node + 0.5)) / count);
  const values = angles.map((angle) => f(Math.cos(angle)));
  return Array.from({ length: count }, (_, order) => {
    const sum = values.reduce(
      (total, value, node) => total + value * Math.cos(order * (angles[node] as number)),
      0,
    );
    return (sum * (order === 0 ? 1 : 2)) / count;
  });
}

/**
 * The estimate s with `df` degrees of freedom at the nodes of a quadrature. It is taken as t⁴: with few degrees
 * of freedom its density is steep at 0, that of t is not.
 */
function estimates(df: number): Estimates {
  if (!Number.isInteger(df)) return estimatesOf(df);
  const known = knownEstimates.get(df) ?? estimatesOf(df);
  knownEstimates.set(df, known);
  return known;
}

const knownEstimates = new Map<number, Estimates>();

function estimatesOf(df: number): Estimates {
  const mode = Math.sqrt(Math.max(0, df - 1) / df);
  const sd = 1 / Math.sqrt(2 * df);
  const low = Math.max(0, mode - REACH_SD * sd) ** (1 / 4);
  const high = (mode + REACH_SD * sd) ** (1 / 4);
  const logDensity = (s: number): number => (df - 1) * Math.log(s) - (df * s * s) / 2;
  const peak = mode > 0 ? logDensity(mode) : 0;
  const width = (high - low) / PANELS;
  const values: number[] = [];
  const weights: number[] = [];
  for (let panel = 0; panel < PANELS; panel += 1) {
    OUTER.nodes.forEach((node, index) => {
      const t = low + width * (panel + (node + 1) / 2);
      values.push(t ** 4);
      weights.push((OUTER.weights[index] as number) * 4 * t ** 3 * Math.exp(logDensity(t ** 4) - peak));
    });
  }
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  return { values, chances: weights.map((weight) => weight / all) };
}
