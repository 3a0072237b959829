const LANCZOS = [
  0.99999999999999709182, 57.156235665862923517, -59.597960355475491248, 14.136097974741747174,
  -0.49191381609762019978, 0.33994649984811888699e-4, 0.46523628927048575665e-4, -0.98374475304879564677e-4,
  0.15808870322491248884e-3, -0.21026444172410488319e-3, 0.2174396181152126432e-3, -0.16431810653676389022e-3,
  0.84418223983852743293e-4, -0.2619083840158140867e-4, 0.36899182659531622704e-5,
];
const LANCZOS_G = 607 / 128;
const TINY = 1e-300;
const SETTLED = 1e-16;
const MOST_TERMS = 20_000;

/** ln Γ(x) for x > 0, relative error about 1e-15 (Lanczos 1964, coefficients of Godfrey 2001). */
export function logGamma(x: number): number {
  let sum = LANCZOS[0] as number;
  for (let index = 1; index < LANCZOS.length; index += 1) sum += (LANCZOS[index] as number) / (x - 1 + index);
  const shifted = x - 0.5 + LANCZOS_G;
  return (x - 0.5) * Math.log(shifted) - shifted + Math.log(Math.sqrt(2 * Math.PI) * sum);
}

/**
 * The regularised incomplete beta function I_x(a, b) by its continued fraction (NIST DLMF 8.17.22, evaluated
 * by the method of Lentz 1976), on whichever side of the mean it converges fast.
 * @param x 0–1
 * @param a > 0
 * @param b > 0
 */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  if (x > (a + 1) / (a + b + 2)) return 1 - lowSide(1 - x, b, a);
  return lowSide(x, a, b);
}

/** 1 − I_x(a, b), exact also where it is tiny. */
export function upperIncompleteBeta(x: number, a: number, b: number): number {
  return incompleteBeta(1 - x, b, a);
}

function lowSide(x: number, a: number, b: number): number {
  const front = Math.exp(
    a * Math.log(x) + b * Math.log1p(-x) - (logGamma(a) + logGamma(b) - logGamma(a + b)),
  );
  return (front * continuedFraction(x, a, b)) / a;
}

function continuedFraction(x: number, a: number, b: number): number {
  let c = 1;
  let d = 1 / away(1 - ((a + b) * x) / (a + 1));
  let value = d;
  for (let m = 1; m < MOST_TERMS; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / away(1 + even * d);
    c = away(1 + even / c);
    value *= c * d;
    d = 1 / away(1 + odd * d);
    c = away(1 + odd / c);
    value *= c * d;
    if (Math.abs(c * d - 1) < SETTLED) break;
  }
  return value;
}

function away(value: number): number {
  return Math.abs(value) < TINY ? TINY : value;
}
