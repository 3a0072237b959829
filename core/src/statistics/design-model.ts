import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { type Cholesky, choleskyOf } from './cholesky.ts';
import { departureTest, type FTest } from './departure-test.ts';
import { upperF } from './distributions.ts';
import { spreadEstimates, type SpreadEstimates, combinedVariance } from './own-spread.ts';
import { isNegligible } from './welch-t.ts';

/** One unit of a design: its value, the treatment it had, by index, and the block it stood in, by index. */
export interface DesignUnit {
  readonly value: number;
  readonly cell: number;
  readonly block: number;
}

/**
 * How the spread of units about their treatment's mean is taken: each treatment's own, one for all, or one that grows
 * with the mean.
 */
export type SpreadModel = 'own' | 'equal' | 'with_mean';

/** A difference that a fitted design gives, with what is needed to judge it. */
export interface DesignContrast {
  readonly estimate: number;
  readonly se: number;
  readonly df: number;
}

/** A design fitted to the values of its units. */
export interface FittedDesign {
  /** Mean of each treatment, over the blocks; `undefined` for one without a unit. */
  readonly means: readonly (number | undefined)[];
  /** Variance of each mean, `undefined` alike. */
  readonly meanVariances: readonly (number | undefined)[];
  readonly spread: SpreadModel;
  /** Treatments that spread more than the others and are judged by their own units; none where each is. */
  readonly ownSpread: readonly number[];
  /** Blocks are a term of the model: there are several, and treatments can be told from them. */
  readonly hasBlocks: boolean;
  /** All treatments at once: the F test of their means. */
  readonly overall: FTest;
  /**
   * Whether the means of treatments depart from all that the columns can add up to, each a figure for every treatment:
   * by the spread that each has, also where that of some is their own.
   */
  departure(columns: readonly (readonly number[])[]): FTest;
  /** What a unit's square counts for, 1 where spreads are equal, in the order of the units. */
  readonly weights: readonly number[];
  /**
   * Σ weightᵢ · meanᵢ, for weights that add up to 0.
   * @returns undefined where a treatment has no unit, or its spread cannot be known
   */
  contrast(weights: readonly number[]): Outcome<DesignContrast>;
}

const MOST_POWER = 1;
const POWER_STEP = 0.1;
/** A mean counts as at least this share of the largest, so that no treatment weighs without bound. */
const LEAST_MEAN = 0.1;
/** With less, as where each unit of a treatment stands in a block of its own, nothing is known of its spread. */
const LEAST_DF = 1e-9;

/**
 * Fits treatments and additive blocks by least squares. With two treatments each keeps its own spread: Welch's t test for
 * two groups of three units or more, the paired t test for pairs in blocks. With more, spreads of a few units each would
 * be too rough to stand alone: they are pooled, weighted by a power of the mean from 0 to 1 that the residuals are
 * likeliest under (Carroll and Ruppert 1988, ch. 3), as plants that grow taller also differ by more; but one that spreads
 * more than the others is judged by its own ({@link spreadEstimates}).
 * @param cells number of treatments
 * @param over how many treatments each mean that is compared is taken over
 * @returns undefined with fewer than two treatments that have values, or nothing left to judge by
 */
export function fitDesign(units: readonly DesignUnit[], cells: number, over = 1): Outcome<FittedDesign> {
  const used = [...new Set(units.map((unit) => unit.cell))];
  if (used.length < 2) return notDefined(used.length === 0 ? 'no_values' : 'too_few_groups');
  if (units.length <= used.length) return notDefined('group_too_small');
  const y = units.map((unit) => unit.value);
  const equal = units.map(() => 1);
  const [plain, hasBlocks] = plainFit(units, used, equal);
  if (!plain) return notDefined('no_residual');
  if (isNegligible(Math.sqrt(plain.squares / plain.df), y)) return notDefined('no_spread');
  const place = new Map(used.map((cell, index) => [cell, index]));
  const power = used.length === 2 ? 0 : likeliestPower(units, plain, place);
  const weights =
    power === 0
      ? equal
      : weightsFrom(
          units.map((unit) => plain.means[place.get(unit.cell) ?? 0] ?? 0),
          power,
        );
  const model = power === 0 ? plain : (modelOf(units, used, weights, hasBlocks) ?? plain);
  const vectorOf = (contrast: readonly number[]): number[] => [
    ...used.map((cell) => contrast[cell] ?? 0),
    ...model.blockZeros,
  ];
  const parts = used.map((cell) => units.flatMap((unit, index) => (unit.cell === cell ? [index] : [])));
  const estimates = spreadsOf(model, parts, weights, over);
  const isOfTwo = used.length === 2 && estimates.own.size === 2;
  const spread: SpreadModel = isOfTwo ? 'own' : power === 0 ? 'equal' : 'with_mean';
  const varianceBy = (vector: readonly number[]): { variance: number; df: number } =>
    estimates.own.size === 0
      ? { variance: (model.squares / model.df) * model.inverse.quadratic(vector), df: model.df }
      : combinedVariance(partsOf(sharesIn(model, vector, weights), parts, weights), estimates);
  const unitsOfMean = used.map((_, at) => used.map((__, index) => (index === at ? 1 : 0)));
  const departureOf = (columns: readonly (readonly number[])[]): FTest => {
    const sharesOf = unitsOfMean.map((unit) => sharesIn(model, [...unit, ...model.blockZeros], weights));
    return departureTest({ columns, means: model.means, shares: sharesOf, parts, weights, estimates });
  };
  return defined({
    means: Array.from({ length: cells }, (_, cell) => model.means[place.get(cell) ?? -1]),
    meanVariances: Array.from({ length: cells }, (_, cell) => {
      const at = place.get(cell);
      if (at === undefined) return undefined;
      return varianceBy([...used.map((_, index) => (index === at ? 1 : 0)), ...model.blockZeros]).variance;
    }),
    ownSpread: isOfTwo ? [] : used.filter((_, index) => estimates.own.has(index)),
    spread,
    hasBlocks,
    weights,
    overall:
      !isOfTwo && estimates.own.size > 0
        ? departureOf([used.map(() => 1)])
        : overallOf(units, used.length, model, weights, hasBlocks),
    departure: (columns) => departureOf(columns.map((column) => used.map((cell) => column[cell] ?? 0))),
    contrast: (asked) => {
      if (asked.some((weight, cell) => weight !== 0 && !place.has(cell))) return notDefined('missing_cells');
      const vector = vectorOf(asked);
      const estimate = vector.reduce((sum, weight, at) => sum + weight * (model.coefficients[at] ?? 0), 0);
      if (isOfTwo && estimates.dfs.some((df) => df < LEAST_DF)) return notDefined('group_too_small');
      const { variance, df } = varianceBy(vector);
      return defined({ estimate, se: Math.sqrt(variance), df });
    },
  });
}

/** A weighted least-squares fit. */
interface Model {
  readonly rows: readonly (readonly number[])[];
  readonly inverse: Cholesky;
  readonly coefficients: readonly number[];
  readonly means: readonly number[];
  readonly residuals: readonly number[];
  /** Weighted sum of squared residuals. */
  readonly squares: number;
  readonly df: number;
  readonly blockZeros: readonly number[];
}

/** The fit with blocks, or without where treatments cannot be told from them or nothing would be left to judge by. */
function plainFit(
  units: readonly DesignUnit[],
  used: readonly number[],
  weights: readonly number[],
): [Model | undefined, boolean] {
  const isBlocked = new Set(units.map((unit) => unit.block)).size > 1;
  const blocked = isBlocked ? modelOf(units, used, weights, true) : undefined;
  return blocked ? [blocked, true] : [modelOf(units, used, weights, false), false];
}

function modelOf(
  units: readonly DesignUnit[],
  used: readonly number[],
  weights: readonly number[],
  withBlocks: boolean,
): Model | undefined {
  const blocks = withBlocks ? [...new Set(units.map((unit) => unit.block))] : [];
  const last = blocks.at(-1);
  const rows = units.map(({ cell, block }): number[] => [
    ...used.map((own) => (own === cell ? 1 : 0)),
    ...blocks.slice(0, -1).map((own) => (own === block ? 1 : block === last ? -1 : 0)),
  ]);
  const size = rows[0]?.length ?? 0;
  const df = units.length - size;
  if (df < 1) return undefined;
  const normal = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  const right = new Array<number>(size).fill(0);
  rows.forEach((row, index) => {
    const weight = weights[index] as number;
    row.forEach((a, i) => {
      if (a === 0) return;
      right[i] = (right[i] as number) + weight * a * (units[index]?.value ?? 0);
      const line = normal[i] as number[];
      for (let j = 0; j <= i; j += 1) line[j] = (line[j] as number) + weight * a * (row[j] as number);
    });
  });
  const inverse = choleskyOf(normal);
  if (!inverse) return undefined;
  const coefficients = inverse.solve(right);
  const residuals = rows.map(
    (row, index) =>
      (units[index]?.value ?? 0) - row.reduce((sum, a, i) => sum + a * (coefficients[i] as number), 0),
  );
  return {
    rows,
    inverse,
    coefficients,
    means: coefficients.slice(0, used.length),
    residuals,
    squares: residuals.reduce((sum, rest, index) => sum + (weights[index] as number) * rest * rest, 0),
    df,
    blockZeros: new Array<number>(size - used.length).fill(0),
  };
}

/** What each treatment's units left over. @param parts the units of each treatment, by index */
function spreadsOf(
  model: Model,
  parts: readonly (readonly number[])[],
  weights: readonly number[],
  over: number,
): SpreadEstimates {
  return spreadEstimates(
    parts.map((own) => ({
      squares: own.reduce((sum, at) => sum + (weights[at] ?? 1) * (model.residuals[at] ?? 0) ** 2, 0),
      df: own.reduce(
        (sum, at) => sum + 1 - (weights[at] ?? 1) * model.inverse.quadratic(model.rows[at] ?? []),
        0,
      ),
      units: own.length,
    })),
    over,
  );
}

/** What each unit's value counts for in Σ vector · coefficients. */
function sharesIn(model: Model, vector: readonly number[], weights: readonly number[]): number[] {
  const solved = model.inverse.solve(vector);
  return model.rows.map(
    (row, at) => (weights[at] ?? 1) * row.reduce((sum, a, i) => sum + a * (solved[i] as number), 0),
  );
}

/** What each treatment's unit variance counts for in the variance of a difference. */
function partsOf(
  shares: readonly number[],
  parts: readonly (readonly number[])[],
  weights: readonly number[],
): number[] {
  return parts.map((own) => own.reduce((sum, at) => sum + (shares[at] ?? 0) ** 2 / (weights[at] ?? 1), 0));
}

/** The F test of one mean for all treatments against one for each. */
function overallOf(
  units: readonly DesignUnit[],
  treatments: number,
  model: Model,
  weights: readonly number[],
  hasBlocks: boolean,
): FittedDesign['overall'] {
  const alike = modelOf(
    units.map((unit) => ({ ...unit, cell: 0 })),
    [0],
    weights,
    hasBlocks,
  );
  const df1 = treatments - 1;
  const between = Math.max(0, (alike?.squares ?? model.squares) - model.squares);
  const f = between / df1 / (model.squares / model.df);
  return { f, df1, df2: model.df, p: upperF(f, df1, model.df) };
}

/** The power of the mean, 0 to 1, that the residuals are likeliest under as the spread of units; 0 with a mean of 0. */
function likeliestPower(
  units: readonly DesignUnit[],
  plain: Model,
  place: ReadonlyMap<number, number>,
): number {
  const means = units.map((unit) => plain.means[place.get(unit.cell) ?? 0] ?? 0);
  if (means.some((mean) => mean <= 0)) return 0;
  const free = plain.rows.map((row) => Math.max(0, 1 - plain.inverse.quadratic(row)));
  const logs = logMeans(means);
  const spread = logs.reduce((sum, log, index) => sum + log * (free[index] as number), 0);
  let [best, most] = [0, -Infinity];
  for (let power = 0; power <= MOST_POWER + 1e-9; power += POWER_STEP) {
    const squares = plain.residuals.reduce(
      (sum, rest, index) => sum + rest * rest * Math.exp(-2 * power * (logs[index] as number)),
      0,
    );
    const likely = -power * spread - (plain.df / 2) * Math.log(squares);
    if (likely > most + 1e-12) [best, most] = [power, likely];
  }
  return best;
}

function logMeans(means: readonly number[]): number[] {
  const largest = Math.max(...means);
  return means.map((mean) => Math.log(Math.max(mean / largest, LEAST_MEAN)));
}

function weightsFrom(means: readonly number[], power: number): number[] {
  return logMeans(means).map((log) => Math.exp(-2 * power * log));
}
