const LANCZOS = [
  0.9999999999999971, 57.15623566586292, -59.59796035547549, 14.136097974741746, -0.4919138160976202,
  3.399464998481189e-5, 4.652362892704858e-5, -9.837447530487956e-5, 0.0001580887032249125,
  -0.00021026444172410488, 0.00021743961811521265, -0.0001643181065367639, 8.441822398385275e-5,
  -2.6190838401581408e-5, 3.6899182659531625e-6,
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
