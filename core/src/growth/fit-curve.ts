import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { lineThrough, solve } from '../statistics/index.ts';

export const CURVE_KINDS = ['linear', 'logistic', 'gompertz'] as const;
export type CurveKind = (typeof CURVE_KINDS)[number];

/** A point of a growth curve; `age` in days. */
export interface GrowthPoint {
  readonly age: number;
  readonly value: number;
}

/** A parameter with its standard error. */
export interface Estimate {
  readonly value: number;
  readonly error: number;
}

/** A growth curve fitted by least squares. */
export interface FittedCurve {
  readonly kind: CurveKind;
  readonly n: number;
  /**
   * In the order of the formula: linear a + b·t gives [a, b]; logistic L ÷ (1 + e^(−k(t − m))) and
   * Gompertz L·e^(−e^(−k(t − m))) give [L, k, m]: end height, steepness a day, day of fastest growth.
   */
  readonly parameters: readonly Estimate[];
  /** √(Σ residual² ÷ (n − p)). */
  readonly residualError: number;
  /** n·ln(Σ residual² ÷ n) + 2K + 2K(K + 1) ÷ (n − K − 1), K = p + 1 (Hurvich and Tsai 1989). */
  readonly aicc: number;
  /** Fastest growth a day; the slope of a line. */
  readonly fastest: number;
}

const FEWEST_POINTS = { linear: 5, logistic: 6, gompertz: 6 } as const;
const FARTHEST_END = 2;
const STEPS = 200;
const SETTLED = 1e-12;
const MOST_DAMPING = 1e12;

/**
 * Fits one curve by least squares, logistic and Gompertz by the method of Levenberg (1944) and Marquardt (1963).
 * Refuses: fewer than 5 points for a line or 6 for a bent curve; values that do not grow; a fit that puts the
 * fastest day after the last reading or the end beyond twice the largest value, as the curve has not bent yet.
 */
export function fitCurve(kind: CurveKind, points: readonly GrowthPoint[]): Outcome<FittedCurve> {
  if (points.length < FEWEST_POINTS[kind]) return notDefined('too_few_points');
  const values = points.map((point) => point.value);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  if (!(most > 0) || most - least < 1e-9 * most) return notDefined('no_growth');
  return kind === 'linear' ? line(points) : bentCurve(kind, points, most);
}

/** The value of a fitted curve at an age. */
export function valueAt(kind: CurveKind, parameters: readonly number[], age: number): number {
  const [first, second, third] = parameters as [number, number, number];
  if (kind === 'linear') return first + second * age;
  const power = Math.exp(-second * (age - third));
  return kind === 'logistic' ? first / (1 + power) : first * Math.exp(-power);
}

/** The curve with the lowest AICc of those that fit; the reason of the first bent one when none does. */
export function bestCurve(points: readonly GrowthPoint[]): Outcome<FittedCurve> {
  const logistic = fitCurve('logistic', points);
  const gompertz = fitCurve('gompertz', points);
  if (logistic.defined && gompertz.defined) {
    return gompertz.value.aicc < logistic.value.aicc ? gompertz : logistic;
  }
  return gompertz.defined ? gompertz : logistic;
}

function line(points: readonly GrowthPoint[]): Outcome<FittedCurve> {
  const found = lineThrough(points.map(({ age, value }) => [age, value]));
  if (!found.defined) return found;
  const { intercept, slope, slopeError, residualError } = found.value;
  const ages = points.map((point) => point.age);
  const mean = ages.reduce((sum, age) => sum + age, 0) / ages.length;
  const sxx = ages.reduce((sum, age) => sum + (age - mean) ** 2, 0);
  const interceptError = residualError * Math.sqrt(1 / ages.length + mean ** 2 / sxx);
  const squares = residualError ** 2 * (points.length - 2);
  if (!(squares > 0)) return notDefined('no_spread');
  return defined({
    kind: 'linear',
    n: points.length,
    parameters: [
      { value: intercept, error: interceptError },
      { value: slope, error: slopeError },
    ],
    residualError,
    aicc: aiccOf(points.length, squares, 2),
    fastest: slope,
  });
}

type Triple = readonly [end: number, rate: number, middle: number];

function bentCurve(
  kind: 'logistic' | 'gompertz',
  points: readonly GrowthPoint[],
  most: number,
): Outcome<FittedCurve> {
  const found = marquardt(kind, points, startOf(kind, points, most));
  const [end, rate, middle] = found.at;
  const lastAge = Math.max(...points.map((point) => point.age));
  if (rate <= 0) return notDefined('no_growth');
  if (middle > lastAge || end > FARTHEST_END * most) return notDefined('not_bent_yet');
  if (!found.isSettled) return notDefined('no_fit');
  const n = points.length;
  const variance = found.squares / (n - 3);
  if (!(found.squares > 0)) return notDefined('no_spread');
  const columns = [0, 1, 2].map((at) =>
    solve(
      found.normal,
      [0, 1, 2].map((row) => (row === at ? 1 : 0)),
    ),
  );
  if (columns.some((column) => column === undefined)) return notDefined('no_fit');
  const parameters = found.at.map((value, at) => ({
    value,
    error: Math.sqrt(variance * (columns[at]?.[at] ?? 0)),
  }));
  return defined({
    kind,
    n,
    parameters,
    residualError: Math.sqrt(variance),
    aicc: aiccOf(n, found.squares, 3),
    fastest: kind === 'logistic' ? (end * rate) / 4 : (end * rate) / Math.E,
  });
}

function aiccOf(n: number, squares: number, parameters: number): number {
  const k = parameters + 1;
  return n * Math.log(squares / n) + 2 * k + (2 * k * (k + 1)) / (n - k - 1);
}

/** A first guess from the straight line of the transformed values. */
function startOf(kind: 'logistic' | 'gompertz', points: readonly GrowthPoint[], most: number): Triple {
  const end = most * 1.1;
  const straight = points.flatMap(({ age, value }): [number, number][] => {
    const share = value / end;
    if (!(share > 0.005)) return [];
    return [[age, kind === 'logistic' ? Math.log(share / (1 - share)) : -Math.log(-Math.log(share))]];
  });
  const found = lineThrough(straight);
  const middleAge = points.reduce((sum, point) => sum + point.age, 0) / points.length;
  if (!found.defined || found.value.slope <= 0) return [end, 0.3, middleAge];
  return [end, found.value.slope, -found.value.intercept / found.value.slope];
}

interface Found {
  /** False when the steps ran out first. */
  readonly isSettled: boolean;
  readonly at: Triple;
  readonly squares: number;
  /** JᵀJ at the solution. */
  readonly normal: readonly (readonly number[])[];
}

function marquardt(kind: 'logistic' | 'gompertz', points: readonly GrowthPoint[], start: Triple): Found {
  let at = start;
  let here = normalEquations(kind, points, at);
  let damping = 1e-3;
  for (let step = 0; step < STEPS; step += 1) {
    const damped = here.normal.map((row, index) =>
      row.map((value, column) => (column === index ? value * (1 + damping) : value)),
    );
    const move = solve(damped, here.right);
    const next = move && (at.map((value, index) => value + (move[index] as number)) as unknown as Triple);
    const there = next && normalEquations(kind, points, next);
    if (move && next && there && there.squares <= here.squares) {
      const isSettled = move.every(
        (value, index) => Math.abs(value) <= SETTLED * Math.abs(next[index] as number),
      );
      const isFlat = here.squares - there.squares <= 1e-15 * here.squares && damping < 1e-8;
      [at, here] = [next, there];
      damping = Math.max(damping / 10, 1e-15);
      if (isSettled || isFlat) return { isSettled: true, at, squares: here.squares, normal: here.normal };
      continue;
    }
    damping *= 10;
    if (damping > MOST_DAMPING) return { isSettled: true, at, squares: here.squares, normal: here.normal };
  }
  return { isSettled: false, at, squares: here.squares, normal: here.normal };
}

interface Equations {
  readonly normal: number[][];
  readonly right: number[];
  readonly squares: number;
}

/** JᵀJ, Jᵀr and Σr² of the curve at the parameters. */
function normalEquations(
  kind: 'logistic' | 'gompertz',
  points: readonly GrowthPoint[],
  [end, rate, middle]: Triple,
): Equations {
  const normal = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ];
  const right = [0, 0, 0];
  let squares = 0;
  for (const { age, value } of points) {
    const power = Math.exp(-rate * (age - middle));
    const share = kind === 'logistic' ? 1 / (1 + power) : Math.exp(-power);
    const bend = end * (kind === 'logistic' ? share * share * power : share * power);
    const residual = value - end * share;
    const slopes = [share, bend * (age - middle), -bend * rate];
    squares += residual * residual;
    for (let row = 0; row < 3; row += 1) {
      const slope = slopes[row] as number;
      right[row] = (right[row] as number) + slope * residual;
      const line = normal[row] as number[];
      for (let column = 0; column < 3; column += 1) {
        line[column] = (line[column] as number) + slope * (slopes[column] as number);
      }
    }
  }
  return { normal, right, squares };
}
