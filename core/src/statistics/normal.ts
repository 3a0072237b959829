const UPPER_A = [
  0.0352624965998911, 0.700383064443688, 6.37396220353165, 33.912866078383, 112.079291497871,
  221.213596169931, 220.206867912376,
];
const UPPER_B = [
  0.0883883476483184, 1.75566716318264, 16.064177579207, 86.7807322029461, 296.564248779674, 637.333633378831,
  793.826512519948, 440.413735824752,
];
const ROOT_TWO_PI = Math.sqrt(2 * Math.PI);
const FAR = 7.07106781186547;
const ENDLESS = 37;

/** Density of the standard normal distribution. */
export function normalDensity(z: number): number {
  return Math.exp((-z * z) / 2) / ROOT_TWO_PI;
}

/** P(Z ≤ z) for a standard normal Z, absolute error about 1e-15 (Hart 1968 in the form of West 2005). */
export function normalCdf(z: number): number {
  const size = Math.abs(z);
  if (size > ENDLESS) return z > 0 ? 1 : 0;
  const density = Math.exp((-size * size) / 2);
  const tail =
    size < FAR ? (density * polynomial(UPPER_A, size)) / polynomial(UPPER_B, size) : farTail(size, density);
  return z > 0 ? 1 - tail : tail;
}

function polynomial(coefficients: readonly number[], x: number): number {
  let value = 0;
  for (const coefficient of coefficients) value = value * x + coefficient;
  return value;
}

function farTail(size: number, density: number): number {
  const fraction = size + 1 / (size + 2 / (size + 3 / (size + 4 / (size + 0.65))));
  return density / (fraction * ROOT_TWO_PI);
}
