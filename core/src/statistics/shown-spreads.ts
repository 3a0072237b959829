import { randomGenerator, type RandomGenerator } from '../shared/index.ts';
import { LEAST_UNITS_OF_OWN, spreadEstimates, combinedVariance } from './own-spread.ts';

/** Spreads that the units of a planned design may come to show, all truly 1. */
export interface ShownSpread {
  /** Variance of a unit as the model would take it, in each of the two groups that are compared. */
  readonly variances: readonly [number, number];
  /** True where all combinations count as one spread. */
  readonly isCommon: boolean;
  /** Degrees of freedom of the difference of the groups, by how large a unit's variance truly is in each. */
  readonly df: (first: number, second: number) => number;
}

const DRAWS = 300;
const SEED = 1908;
const MOST_KNOWN = 64;
const known = new Map<string, readonly ShownSpread[]>();

/** A design as far as its units can show a spread. */
export interface SpreadDesign {
  /** Combinations grown, `ofGroup` of them in each of the two groups that are compared. */
  readonly cells: number;
  readonly ofGroup: number;
  /** Units of each combination, on average. */
  readonly units: number;
  readonly hasBlocks: boolean;
  /** Degrees of freedom left by treatments and blocks. */
  readonly residual: number;
}

/**
 * Spreads that the units of a design may show though all vary alike: each combination's by its own draw, and what the
 * model makes of them (one that looks more spread is judged by itself, see {@link spreadEstimates}).
 */
export function shownSpreads(design: SpreadDesign): readonly ShownSpread[] {
  const key = Object.values(design).join(' ');
  const kept = known.get(key);
  if (kept) return kept;
  const { cells, ofGroup, units, hasBlocks, residual } = design;
  const chance = randomGenerator(SEED);
  const df = residual / cells;
  const drawn = Array.from({ length: DRAWS }, () =>
    hasBlocks
      ? squaresInBlocks(cells, Math.max(2, Math.round(units)), df, chance)
      : Array.from({ length: cells }, () => chiSquare(df, chance)),
  );
  // On average the draws show just the true spread.
  const scale = (df * cells * DRAWS) / drawn.flat().reduce((sum, squares) => sum + squares, 0);
  const found = drawn.map((squares) =>
    shown(
      squares.map((own) => ({ squares: own * scale, df, units })),
      ofGroup,
      hasBlocks,
    ),
  );
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, found);
  return found;
}

/** Squares left of each combination when blocks are taken out too: what one leaves, the others have to make up for. */
function squaresInBlocks(cells: number, blocks: number, df: number, chance: RandomGenerator): number[] {
  const drawn = Array.from({ length: cells }, () => Array.from({ length: blocks }, () => chance.normal()));
  const meanOf = (values: readonly number[]): number =>
    values.reduce((sum, value) => sum + value, 0) / values.length;
  const ofBlock = Array.from({ length: blocks }, (_, at) => meanOf(drawn.map((row) => row[at] ?? 0)));
  const all = meanOf(ofBlock);
  const own = ((blocks - 1) * (cells - 1)) / cells;
  return drawn.map((row) => {
    const mean = meanOf(row);
    const squares = row.reduce((sum, value, at) => sum + (value - mean - (ofBlock[at] ?? 0) + all) ** 2, 0);
    return (squares * df) / own;
  });
}

type Drawn = { readonly squares: number; readonly df: number; readonly units: number }[];

function shown(drawn: Drawn, ofGroup: number, hasBlocks: boolean): ShownSpread {
  // In blocks two treatments are judged by their differences, which have one spread.
  const isOfTwo = !hasBlocks && drawn.length === 2 && drawn.every(({ units }) => units >= LEAST_UNITS_OF_OWN);
  const estimates = spreadEstimates(drawn, ofGroup);
  const mean = (from: number): number =>
    estimates.variances.slice(from, from + ofGroup).reduce((sum, one) => sum + one, 0) / ofGroup;
  const parts = drawn.map((_, at) => (at < 2 * ofGroup ? 1 : 0));
  const alike = combinedVariance(parts, estimates).df;
  return {
    variances: [mean(0), mean(ofGroup)],
    isCommon: estimates.own.size === 0,
    df: (first, second) => (isOfTwo ? combinedVariance([first, second], estimates).df : alike),
  };
}

/** A χ² draw by Marsaglia and Tsang (2000), for any degrees of freedom above 0. */
function chiSquare(df: number, chance: RandomGenerator): number {
  const shape = df / 2;
  if (shape < 1) return chiSquare(df + 2, chance) * chance.uniform() ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const z = chance.normal();
    const v = (1 + c * z) ** 3;
    if (v > 0 && Math.log(chance.uniform()) < z ** 2 / 2 + d - d * v + d * Math.log(v)) return 2 * d * v;
  }
}
