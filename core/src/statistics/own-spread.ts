import { betaQuantile, upperF } from './distributions.ts';

/** What one treatment's units left over in a fit. */
export interface TreatmentResiduals {
  /** Weighted sum of their squared residuals. */
  readonly squares: number;
  /** Degrees of freedom that the sum has: Σ(1 − leverage). */
  readonly df: number;
  readonly units: number;
}

/** How the variance of units is estimated: for some treatments by themselves, for the others together. */
export interface SpreadEstimates {
  /** Treatments that are judged by their own units, by index. */
  readonly own: ReadonlySet<number>;
  /** Variance of a unit of weight 1 in each treatment. */
  readonly variances: readonly number[];
  /** Degrees of freedom of each variance; those that are not of their own share one estimate. */
  readonly dfs: readonly number[];
}

/** With fewer units a spread of its own is too rough to judge by. */
export const LEAST_UNITS_OF_OWN = 3;

/** Of a treatment with fewer units than this share of the average, a spread that is missed does the most harm. */
const FEWER_THAN_OTHERS = 0.9;

/**
 * A treatment is judged by its own spread where that is larger than the others' by an F test at this level: the fewer
 * its units are, the sooner, as so few show little of a spread four times as large; later where a mean is taken over
 * several treatments, as one of them then weighs less. By simulation (docs/calibration.md).
 * @param average units of a treatment on average
 * @param over how many treatments each mean that is compared is taken over
 */
export function apartLevel(units: number, average: number, over: number): number {
  if (units < FEWER_THAN_OTHERS * average) return 0.4;
  if (over * units < 5) return 0.25;
  return over * units < 8 ? 0.1 : 0.05;
}

/**
 * Two treatments of three units or more each keep their own spread, which is Welch's t test. Of several those are taken
 * out of the common spread that are larger, the most unlike first; each then counts in it as if it were as large as it
 * may be without being taken out (a winsorised variance, after Tukey and McLaughlin 1963), as what is left would be too small.
 * @param over how many treatments each mean that is compared is taken over
 */
export function spreadEstimates(treatments: readonly TreatmentResiduals[], over = 1): SpreadEstimates {
  const isOfTwo = treatments.length === 2 && treatments.every(({ units }) => units >= LEAST_UNITS_OF_OWN);
  if (isOfTwo) return estimated(treatments, new Set([0, 1]), { variance: 0, df: 0 });
  const levelOf = (units: number): number => apartLevel(units, average, over);
  const average = treatments.reduce((sum, { units }) => sum + units, 0) / treatments.length;
  const own = new Set<number>();
  let [capped, cappedDf] = [0, 0];
  let rest = pooled(treatments);
  for (;;) {
    const found = mostApart(treatments, own, rest, levelOf);
    if (!found) break;
    own.add(found.index);
    rest = pooled(treatments.filter((_, index) => !own.has(index)));
    capped += found.df * found.limit;
    cappedDf += found.df;
  }
  const inflated = (rest.df + capped) / (rest.df + cappedDf);
  return estimated(treatments, own, { variance: (rest.squares / rest.df) * inflated, df: rest.df });
}

interface Apart {
  readonly index: number;
  readonly df: number;
  /** The largest ratio of variances that would not have been apart. */
  readonly limit: number;
}

function mostApart(
  treatments: readonly TreatmentResiduals[],
  own: ReadonlySet<number>,
  rest: { readonly squares: number; readonly df: number },
  levelOf: (units: number) => number,
): Apart | undefined {
  let [found, least]: [Apart | undefined, number] = [undefined, 1];
  treatments.forEach(({ squares, df, units }, index) => {
    const others = { squares: rest.squares - squares, df: rest.df - df };
    if (own.has(index) || units < LEAST_UNITS_OF_OWN || others.df < 1 || others.squares <= 0) return;
    const limit = limitOf(levelOf(units), df, others.df);
    const ratio = squares / df / (others.squares / others.df);
    if (ratio <= limit) return;
    const p = upperF(ratio, df, others.df);
    if (p < least) [found, least] = [{ index, df, limit }, p];
  });
  return found;
}

const knownLimits = new Map<string, number>();
const MOST_KNOWN = 4096;

/** {@link quantileOfF}, remembered: a design asks for the same few ones again and again. */
function limitOf(level: number, df1: number, df2: number): number {
  const key = `${level} ${df1} ${df2}`;
  const known = knownLimits.get(key);
  if (known !== undefined) return known;
  const limit = quantileOfF(level, df1, df2);
  if (knownLimits.size >= MOST_KNOWN) knownLimits.clear();
  knownLimits.set(key, limit);
  return limit;
}

/** The ratio that an F variable exceeds with probability `level`. */
export function quantileOfF(level: number, df1: number, df2: number): number {
  const x = betaQuantile(level, df2 / 2, df1 / 2);
  return (df2 * (1 - x)) / (df1 * x);
}

function estimated(
  treatments: readonly TreatmentResiduals[],
  own: ReadonlySet<number>,
  common: { readonly variance: number; readonly df: number },
): SpreadEstimates {
  return {
    own,
    variances: treatments.map(({ squares, df }, index) => (own.has(index) ? squares / df : common.variance)),
    dfs: treatments.map(({ df }, index) => (own.has(index) ? df : common.df)),
  };
}

function pooled(treatments: readonly TreatmentResiduals[]): { squares: number; df: number } {
  return treatments.reduce((sum, { squares, df }) => ({ squares: sum.squares + squares, df: sum.df + df }), {
    squares: 0,
    df: 0,
  });
}

/**
 * The variance of a sum to which each treatment adds `parts` times its unit variance, with the degrees of freedom that
 * it is known with (Satterthwaite 1946): treatments of one common spread count as one estimate.
 */
export function combinedVariance(
  parts: readonly number[],
  { own, variances, dfs }: SpreadEstimates,
): { readonly variance: number; readonly df: number } {
  let [variance, common, commonDf, squared] = [0, 0, 1, 0];
  parts.forEach((part, index) => {
    const added = part * (variances[index] as number);
    variance += added;
    if (!own.has(index)) [common, commonDf] = [common + added, dfs[index] as number];
    else if (added > 0) squared += added ** 2 / (dfs[index] as number);
  });
  squared += common ** 2 / commonDf;
  return { variance, df: variance ** 2 / squared };
}
