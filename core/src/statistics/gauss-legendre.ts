/** Nodes and weights of a quadrature on [−1, 1]. */
export interface Quadrature {
  readonly nodes: readonly number[];
  readonly weights: readonly number[];
}

const SETTLED = 1e-15;
const MOST_STEPS = 100;

/** Gauss–Legendre quadrature with `count` nodes, by Newton's method on the Legendre polynomial. */
export function gaussLegendre(count: number): Quadrature {
  const nodes: number[] = [];
  const weights: number[] = [];
  for (let index = 0; index < count; index += 1) {
    let x = Math.cos((Math.PI * (index + 0.75)) / (count + 0.5));
    let slope = 1;
    for (let step = 0; step < MOST_STEPS; step += 1) {
      const { value, derivative } = legendre(count, x);
      const move = value / derivative;
      x -= move;
      slope = derivative;
      if (Math.abs(move) < SETTLED) break;
    }
    nodes.push(x);
    weights.push(2 / ((1 - x * x) * slope * slope));
  }
  return { nodes, weights };
}

function legendre(degree: number, x: number): { value: number; derivative: number } {
  let [before, value] = [1, x];
  for (let k = 2; k <= degree; k += 1)
    [before, value] = [value, ((2 * k - 1) * x * value - (k - 1) * before) / k];
  return { value, derivative: (degree * (x * value - before)) / (x * x - 1) };
}

/** Integral of `f` from `low` to `high` by one application of a rule. */
export function integrate(rule: Quadrature, low: number, high: number, f: (x: number) => number): number {
  const [middle, half] = [(low + high) / 2, (high - low) / 2];
  let sum = 0;
  for (let index = 0; index < rule.nodes.length; index += 1) {
    sum += (rule.weights[index] as number) * f(middle + half * (rule.nodes[index] as number));
  }
  return sum * half;
}
