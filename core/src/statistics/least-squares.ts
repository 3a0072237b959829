const DEPENDENT = 1e-9;

/** What a linear model leaves over. */
export interface Residuals {
  /** Sum of squared residuals. */
  readonly squares: number;
  /** Independent columns. */
  readonly rank: number;
  readonly residuals: readonly number[];
}

/**
 * Least squares by Gram–Schmidt orthogonalisation done twice (Giraud and others 2005); columns that depend on
 * earlier ones add nothing to the rank.
 * @param y n values
 * @param columns each of n values
 */
export function leastSquares(y: readonly number[], columns: readonly (readonly number[])[]): Residuals {
  const basis: number[][] = [];
  for (const column of columns) {
    const size = Math.sqrt(dot(column, column));
    let rest = [...column];
    for (let round = 0; round < 2; round += 1) {
      for (const unit of basis) rest = minus(rest, unit, dot(rest, unit));
    }
    const left = Math.sqrt(dot(rest, rest));
    if (left > DEPENDENT * Math.max(size, Number.MIN_VALUE)) basis.push(rest.map((value) => value / left));
  }
  let residuals: number[] = [...y];
  for (let round = 0; round < 2; round += 1) {
    for (const unit of basis) residuals = minus(residuals, unit, dot(residuals, unit));
  }
  return { squares: dot(residuals, residuals), rank: basis.length, residuals };
}

function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let index = 0; index < a.length; index += 1) sum += (a[index] as number) * (b[index] as number);
  return sum;
}

function minus(a: readonly number[], b: readonly number[], times: number): number[] {
  return a.map((value, index) => value - times * (b[index] as number));
}
