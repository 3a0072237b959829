const DEPENDENT = 1e-10;

/** The inverse of a positive definite matrix, by its Cholesky factor. */
export interface Cholesky {
  /** A⁻¹ b. */
  solve(b: readonly number[]): number[];
  /** bᵀ A⁻¹ b. */
  quadratic(b: readonly number[]): number;
}

/**
 * The Cholesky factor of a symmetric matrix, of which the lower half is read.
 * @returns `undefined` when the matrix is not positive definite, as when columns depend on each other
 */
export function choleskyOf(matrix: readonly (readonly number[])[]): Cholesky | undefined {
  const size = matrix.length;
  const factor = matrix.map((row) => [...row]);
  for (let i = 0; i < size; i += 1) {
    const row = factor[i] as number[];
    for (let j = 0; j <= i; j += 1) {
      const other = factor[j] as number[];
      let sum = matrix[i]?.[j] as number;
      for (let k = 0; k < j; k += 1) sum -= (row[k] as number) * (other[k] as number);
      if (i !== j) row[j] = sum / (other[j] as number);
      else if (sum > DEPENDENT * (matrix[i]?.[i] as number)) row[i] = Math.sqrt(sum);
      else return undefined;
    }
  }
  const forward = (b: readonly number[]): number[] => {
    const found: number[] = [];
    for (let i = 0; i < size; i += 1) {
      const row = factor[i] as number[];
      let sum = b[i] as number;
      for (let k = 0; k < i; k += 1) sum -= (row[k] as number) * (found[k] as number);
      found.push(sum / (row[i] as number));
    }
    return found;
  };
  return {
    quadratic: (b) => forward(b).reduce((sum, value) => sum + value * value, 0),
    solve: (b) => {
      const found = forward(b);
      for (let i = size - 1; i >= 0; i -= 1) {
        let sum = found[i] as number;
        for (let k = i + 1; k < size; k += 1) sum -= (factor[k]?.[i] as number) * (found[k] as number);
        found[i] = sum / (factor[i]?.[i] as number);
      }
      return found;
    },
  };
}
