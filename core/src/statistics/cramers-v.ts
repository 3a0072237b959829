import {
  type RandomGenerator,
  randomGenerator,
  defined,
  notDefined,
  type Outcome,
  shuffled,
} from '../shared/index.ts';

/** How closely two ways of sorting the same units go together. */
export interface Association {
  /** Cramér's V, 0 (evenly mixed) to 1 (one tells the other), without bias correction. */
  readonly v: number;
  /** Share of shuffles with a V at least as large, the layout itself counted among them. */
  readonly p: number;
}

const SHUFFLES = 999;
const SHUFFLE_SEED = 20_011;
const ROUNDING = 1e-12;

/**
 * Cramér's V (1946) of two categories over the same units: √(χ² ÷ (n·(min(rows, columns) − 1))).
 * @returns undefined when either has one category only
 */
export function cramersV(first: readonly string[], second: readonly string[]): Outcome<number> {
  const [a, b] = [indices(first), indices(second)];
  if (a.count < 2 || b.count < 2) return notDefined('one_category');
  return defined(vOf(a.of, b.of, a.count, b.count));
}

/**
 * Cramér's V with a permutation reference of 999 seeded shuffles: could chance have lined them up so?
 * @param strata what units are shuffled within, as blocks; all together when left out
 */
export function associationOf(
  first: readonly string[],
  second: readonly string[],
  strata: readonly string[] = first.map(() => ''),
): Outcome<Association> {
  const [a, b] = [indices(first), indices(second)];
  if (a.count < 2 || b.count < 2) return notDefined('one_category');
  const v = vOf(a.of, b.of, a.count, b.count);
  const chance = randomGenerator(SHUFFLE_SEED);
  const within = [...new Set(strata)].map((stratum) =>
    strata.flatMap((own, index) => (own === stratum ? [index] : [])),
  );
  let asLarge = 1;
  for (let index = 0; index < SHUFFLES; index += 1) {
    if (vOf(shuffledWithin(a.of, within, chance), b.of, a.count, b.count) >= v - ROUNDING) asLarge += 1;
  }
  return defined({ v, p: asLarge / (SHUFFLES + 1) });
}

function shuffledWithin(
  values: readonly number[],
  strata: readonly (readonly number[])[],
  chance: RandomGenerator,
): number[] {
  const found = [...values];
  for (const places of strata) {
    const dealt = shuffled(
      places.map((place) => values[place] as number),
      chance,
    );
    places.forEach((place, index) => {
      found[place] = dealt[index] as number;
    });
  }
  return found;
}

function indices(names: readonly string[]): { of: number[]; count: number } {
  const known = [...new Set(names)];
  return { of: names.map((name) => known.indexOf(name)), count: known.length };
}

function vOf(rows: readonly number[], columns: readonly number[], height: number, width: number): number {
  const n = rows.length;
  const table = new Float64Array(height * width);
  const [ofRow, ofColumn] = [new Float64Array(height), new Float64Array(width)];
  rows.forEach((row, index) => {
    const column = columns[index] as number;
    table[row * width + column] = (table[row * width + column] as number) + 1;
    ofRow[row] = (ofRow[row] as number) + 1;
    ofColumn[column] = (ofColumn[column] as number) + 1;
  });
  let chiSquared = 0;
  for (let row = 0; row < height; row += 1) {
    for (let column = 0; column < width; column += 1) {
      const expected = ((ofRow[row] as number) * (ofColumn[column] as number)) / n;
      chiSquared += ((table[row * width + column] as number) - expected) ** 2 / expected;
    }
  }
  return Math.sqrt(chiSquared / (n * (Math.min(height, width) - 1)));
}
