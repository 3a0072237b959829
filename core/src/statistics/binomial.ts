/**
 * P(X ≥ k) for X ~ Binomial(n, p): the sum of its terms, each from the one before it, begun at the likeliest
 * so that nothing underflows.
 * @param k whole number; 1 is returned for k ≤ 0, 0 for k > n
 * @param p 0–1
 */
export function binomialAtLeast(k: number, n: number, p: number): number {
  if (k <= 0) return 1;
  const terms = binomialTerms(n, p);
  let sum = 0;
  for (let x = n; x >= k; x -= 1) sum += terms[x] as number;
  return Math.min(1, sum);
}

/** P(X = x) for x = 0 … n of Binomial(n, p). */
export function binomialTerms(n: number, p: number): number[] {
  const terms = new Array<number>(n + 1).fill(0);
  const peak = Math.min(n, Math.floor((n + 1) * p));
  const odds = p / (1 - p);
  terms[peak] = 1;
  for (let x = peak; x < n; x += 1) terms[x + 1] = ((terms[x] as number) * (n - x) * odds) / (x + 1);
  for (let x = peak; x > 0; x -= 1) terms[x - 1] = ((terms[x] as number) * x) / ((n - x + 1) * odds);
  const total = terms.reduce((sum, term) => sum + term, 0);
  return terms.map((term) => term / total);
}
