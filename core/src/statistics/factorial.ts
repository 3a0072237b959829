import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { upperF } from './distributions.ts';
import { leastSquares } from './least-squares.ts';
import { isNegligible } from './welch-t.ts';

/** One unit of a crossed design: its value, its level of each factor by index, and its block. */
export interface FactorialUnit {
  readonly value: number;
  readonly levels: readonly number[];
  /** Index of its block; 0 for all without blocks. */
  readonly block: number;
  /** What its square counts for; 1 when left out. */
  readonly weight?: number;
}

export const SUM_OF_SQUARES_TYPES = ['II', 'III'] as const;
export type SumOfSquaresType = (typeof SUM_OF_SQUARES_TYPES)[number];

/** One line of an analysis of variance. */
export interface FactorialTerm {
  /** Indices of the factors that interact; one for a main effect, none for the blocks. */
  readonly factors: readonly number[];
  readonly squares: number;
  readonly df: number;
  /** Undefined when the design cannot tell the term from the others. */
  readonly test: Outcome<{ readonly f: number; readonly p: number }>;
}

/** A crossed design analysed. */
export interface FactorialAnova {
  readonly type: SumOfSquaresType;
  readonly terms: readonly FactorialTerm[];
  /** All interactions at once, against the factors added up. */
  readonly together: Outcome<{ readonly f: number; readonly p: number; readonly df: number }>;
  readonly errorSquares: number;
  readonly errorDf: number;
  /** The interaction of all factors is left out, as nothing would be left to judge by. */
  readonly isReduced: boolean;
  readonly residuals: readonly number[];
  /** Combinations without a unit. */
  readonly missingCells: number;
}

type Columns = readonly (readonly number[])[];

/**
 * Analysis of variance of two or three crossed factors with all interactions and additive blocks. Type II sums of
 * squares by default: each term after all terms that do not contain it (Langsrud 2003; R `car::Anova`); type III on
 * request, by sum-to-zero contrasts (R `drop1`). Units may weigh differently, as where spreads do. With one unit a combination the highest interaction is the error.
 * @returns undefined without spread, with nothing left for the error, or for type III with missing combinations
 */
export function factorialAnova(
  units: readonly FactorialUnit[],
  type: SumOfSquaresType,
): Outcome<FactorialAnova> {
  const [first] = units;
  if (!first) return notDefined('no_values');
  const count = first.levels.length;
  const sizes = Array.from({ length: count }, (_, factor) =>
    sizeOf(units.map((unit) => unit.levels[factor] ?? 0)),
  );
  if (sizes.some((size) => size < 2)) return notDefined('too_few_groups');
  const missingCells = sizes.reduce((all, size) => all * size, 1) - usedCells(units);
  if (type === 'III' && missingCells > 0) return notDefined('missing_cells');
  const roots = units.map((unit) => Math.sqrt(unit.weight ?? 1));
  const y = units.map((unit, index) => unit.value * (roots[index] as number));
  const blocks = contrasts(units.map((unit) => unit.block));
  const mean = [units.map(() => 1)];
  const main = Array.from({ length: count }, (_, factor) =>
    contrasts(units.map((unit) => unit.levels[factor] ?? 0)),
  );
  let sets = subsetsOf(count);
  const columnsOf = (factors: readonly number[]): Columns =>
    factors.map((factor) => main[factor] as Columns).reduce(products);
  const fit = (chosen: readonly (readonly number[])[], withBlocks = true) =>
    leastSquares(
      y,
      [...mean, ...(withBlocks ? blocks : []), ...chosen.flatMap(columnsOf)].map((column) =>
        column.map((value, index) => value * (roots[index] as number)),
      ),
    );
  let full = fit(sets);
  let isReduced = false;
  if (units.length - full.rank < 1 && count > 1) {
    sets = sets.filter((set) => set.length < count);
    full = fit(sets);
    isReduced = true;
  }
  const errorDf = units.length - full.rank;
  if (errorDf < 1) return notDefined('no_residual');
  const errorSquares = full.squares;
  if (isNegligible(Math.sqrt(errorSquares / errorDf), y)) return notDefined('no_spread');
  const termFrom = (factors: readonly number[], without: Fitted, within: Fitted): FactorialTerm => {
    const df = within.rank - without.rank;
    const squares = Math.max(0, without.squares - within.squares);
    if (df < 1) return { factors, squares: 0, df: 0, test: notDefined('missing_cells') };
    const f = squares / df / (errorSquares / errorDf);
    return { factors, squares, df, test: defined({ f, p: upperF(f, df, errorDf) }) };
  };
  const terms = sets.map((set) => {
    if (type === 'III') return termFrom(set, fit(sets.filter((other) => other !== set)), full);
    const before = sets.filter((other) => other !== set && !contains(other, set));
    return termFrom(set, fit(before), fit([...before, set]));
  });
  const additive = sets.filter((set) => set.length === 1);
  const joint = termFrom([], fit(additive), full);
  const together: FactorialAnova['together'] = joint.test.defined
    ? defined({ ...joint.test.value, df: joint.df })
    : joint.test;
  const blockTerm = blocks.length > 0 ? [termFrom([], fit(sets, false), full)] : [];
  return defined({
    type,
    terms: [...blockTerm, ...terms],
    together,
    errorSquares,
    errorDf,
    isReduced,
    residuals: full.residuals,
    missingCells,
  });
}

type Fitted = ReturnType<typeof leastSquares>;

function sizeOf(levels: readonly number[]): number {
  return new Set(levels).size;
}

function usedCells(units: readonly FactorialUnit[]): number {
  return new Set(units.map((unit) => unit.levels.join(' '))).size;
}

/** Sum-to-zero columns of a category, one fewer than its levels. */
function contrasts(levels: readonly number[]): Columns {
  const known = [...new Set(levels)];
  const last = known.at(-1);
  return known.slice(0, -1).map((level) => levels.map((own) => (own === level ? 1 : own === last ? -1 : 0)));
}

function products(one: Columns, other: Columns): Columns {
  return one.flatMap((a) => other.map((b) => a.map((value, index) => value * (b[index] as number))));
}

/** All sets of factors but the empty one, the smaller first. */
function subsetsOf(count: number): number[][] {
  const sets = Array.from({ length: 2 ** count - 1 }, (_, bits) =>
    Array.from({ length: count }, (_, factor) => factor).filter((factor) => ((bits + 1) >> factor) & 1),
  );
  return sets.sort((a, b) => a.length - b.length);
}

function contains(larger: readonly number[], smaller: readonly number[]): boolean {
  return smaller.every((factor) => larger.includes(factor));
}
