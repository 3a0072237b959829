import { defined, notDefined, type Outcome } from '../shared/index.ts';
import {
  factorialAnova,
  type FactorialTerm,
  type Line,
  lineThrough,
  meanOf,
  spearman,
  type SumOfSquaresType,
} from '../statistics/index.ts';
import type { Design } from './grouping.ts';
import { lineOf, testLine, type TestOutcome } from './test-line.ts';
import type { Comparison, TreatmentGroup } from './types.ts';
import { weightedUnits } from './weighted-units.ts';

/** A crossed design, or a design in blocks, analysed term by term. */
export interface FactorialPart {
  readonly type: SumOfSquaresType;
  readonly terms: readonly {
    /** Names of the factors of the term; `block` for the blocks. */
    readonly factors: readonly string[];
    readonly squares: number;
    readonly df: number;
    readonly test: TestOutcome;
  }[];
  readonly errorSquares: number;
  readonly errorDf: number;
  readonly isReduced: boolean;
  readonly missingCells: number;
}

/** The mean of one combination of levels. */
export interface CellMean {
  readonly levels: readonly number[];
  readonly n: number;
  readonly mean: number;
}

/** Value against amount. */
export type DoseResponse = Line & { readonly rank: TestOutcome };

/** The analysis of variance of a crossed design or of blocks, weighted as the model of the design is. */
export function factorial(
  comparison: Comparison,
  design: Design,
  type: SumOfSquaresType,
): Outcome<FactorialPart> {
  const { units } = weightedUnits(comparison.groups, design);
  const hasBlocks = new Set(units.map((unit) => unit.block)).size > 1;
  if (design.factors.length === 0) return notDefined('not_crossed');
  if (design.factors.length < 2 && !hasBlocks) return notDefined('not_crossed');
  const found = factorialAnova(units, type);
  if (!found.defined) return found;
  const { terms, errorSquares, errorDf, isReduced, missingCells } = found.value;
  const namesOf = (term: FactorialTerm): string[] =>
    term.factors.length === 0 ? ['block'] : term.factors.map((at) => design.factors[at]?.name ?? '');
  return defined({
    type,
    terms: terms.map((term) => ({
      factors: namesOf(term),
      squares: term.squares,
      df: term.df,
      test: lineOf(term.test, ({ f, p }) => testLine('factorial', p, f, term.df, errorDf)),
    })),
    errorSquares,
    errorDf,
    isReduced,
    missingCells,
  });
}

/** The mean of every combination that has values, of groups that are treatments; none for one factor. */
export function cellMeans(
  groups: readonly Pick<TreatmentGroup, 'groupId' | 'points'>[],
  { factors, treatments }: Pick<Design, 'factors' | 'treatments'>,
): CellMean[] {
  if (factors.length < 2) return [];
  return groups.flatMap(({ groupId, points }) => {
    const levels = treatments.find(({ id }) => id === groupId)?.levels;
    if (!levels || points.length === 0) return [];
    return [{ levels, n: points.length, mean: meanOf(points.map(({ value }) => value)) }];
  });
}

/** The line through values by the amount of the first factor, where its levels are three amounts or more. */
export function dose(comparison: Comparison, design: Design): Outcome<DoseResponse> {
  const levels = design.factors[0]?.levels ?? [];
  const amounts = new Set(levels.flatMap((level) => level.amount ?? []));
  if (levels.some((level) => level.amount === null) || amounts.size < 3) return notDefined('too_few_points');
  const points = weightedUnits(comparison.groups, design).units.map((unit): [number, number] => [
    levels[unit.levels[0] ?? 0]?.amount ?? 0,
    unit.value,
  ]);
  const line = lineThrough(points);
  if (!line.defined) return line;
  const rank = lineOf(spearman(points), ({ r, p }) => testLine('spearman', p, r));
  return defined({ ...line.value, rank });
}
