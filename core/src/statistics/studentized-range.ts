import { gaussLegendre, integrate } from './gauss-legendre.ts';
import { normalBelow, normalDensity } from './normal.ts';

const INNER = gaussLegendre(24);
const OUTER = gaussLegendre(16);
const PANELS = 4;
const REACH_SD = 9;
const NORMAL_END = 8.5;
const QUANTILE_PRECISION = 1e-10;
const MOST_STEPS = 60;

/**
 * P(W ≥ w) for the range W of `groups` independent standard normal values:
 * 1 − [2Φ(w/2) − 1]^k − 2k ∫ φ(z) [Φ(z) − Φ(z − w)]^(k−1) dz from w/2 on (Hartley 1942).
 */
function rangeAbove(w: number, groups: number): number {
  if (w <= 0) return 1;
  const half = w / 2;
  if (half >= NORMAL_END) return 0;
  const inside = (2 * normalBelow(half) - 1) ** groups;
  const share = (z: number): number =>
    normalDensity(z) * (normalBelow(z) - normalBelow(z - w)) ** (groups - 1);
  const outside = integrate(INNER, half, NORMAL_END, share);
  return Math.max(0, 1 - inside - 2 * groups * outside);
}

/** Chebyshev coefficients of {@link rangeAbove} on panels of equal width from 0 to where it ends. */
type RangeTable = readonly (readonly number[])[];

const TABLE_END = 2 * NORMAL_END;
const TABLE_PANELS = 34;
const TABLE_DEGREE = 12;
const tables = new Map<number, RangeTable>();

/** The tail of the range tabulated once for each number of groups: it is asked for thousands of times. */
function rangeTable(groups: number): RangeTable {
  const known = tables.get(groups);
  if (known) return known;
  const width = TABLE_END / TABLE_PANELS;
  const table = Array.from({ length: TABLE_PANELS }, (_, panel) =>
    chebyshev((x) => rangeAbove(width * (panel + (x + 1) / 2), groups)),
  );
  tables.set(groups, table);
  return table;
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

function tabulated(table: RangeTable, w: number): number {
  if (w >= TABLE_END) return 0;
  const place = (w / TABLE_END) * TABLE_PANELS;
  const panel = Math.floor(place);
  const x = 2 * (place - panel) - 1;
  const coefficients = table[panel] as readonly number[];
  let [after, value] = [0, 0];
  for (let order = TABLE_DEGREE; order > 0; order -= 1) {
    [after, value] = [value, 2 * x * value - after + (coefficients[order] as number)];
  }
  return Math.max(0, x * value - after + (coefficients[0] as number));
}

/** Values that an estimate of the standard deviation may take, with the chance of each; the chances add up to 1. */
interface Estimates {
  readonly values: readonly number[];
  readonly chances: readonly number[];
}

/**
 * The estimate s with `df` degrees of freedom at the nodes of a quadrature. It is taken as t⁴: with few degrees
 * of freedom its density is steep at 0, that of t is not.
 */
function estimates(df: number): Estimates {
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

function tailAbove(q: number, table: RangeTable, { values, chances }: Estimates): number {
  if (q <= 0) return 1;
  let above = 0;
  for (let index = 0; index < values.length; index += 1) {
    above += (chances[index] as number) * tabulated(table, q * (values[index] as number));
  }
  return Math.min(1, above);
}

/**
 * P(Q ≥ q) for the studentised range of `groups` means with `df` degrees of freedom: the range divided by an
 * independent estimate of the standard deviation (Tukey 1949), integrated over that estimate.
 * @param groups 2 or more
 * @param df 1 or more, fractional allowed
 */
export function upperStudentizedRange(q: number, groups: number, df: number): number {
  return tailAbove(q, rangeTable(groups), estimates(df));
}

/** The studentised range that leaves `tail` above it, by the secant method kept inside its bracket. */
export function studentizedRangeLeaving(tail: number, groups: number, df: number): number {
  const table = rangeTable(groups);
  const spread = estimates(df);
  const excess = (q: number): number => Math.log(tailAbove(q, table, spread) / tail);
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
