import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { betaQuantile, tForInterval, twoSidedT, upperF } from './distributions.ts';
import { incompleteBeta, logGamma } from './incomplete-beta.ts';

// Made by SciPy with core/reference/planning.py.
const fromScipy = JSON.parse(
  readFileSync(new URL('../../reference/planning.json', import.meta.url), 'utf8'),
) as {
  t: { t: number; df: number; p: number }[];
  tQuantile: { df: number; t: number }[];
  f: { f: number; df1: number; df2: number; p: number }[];
  betainc: { x: number; a: number; b: number; value: number }[];
};

function relative(found: number, wanted: number): number {
  return Math.abs(found - wanted) / Math.max(Math.abs(wanted), 1e-280);
}

describe('distribution functions agree with SciPy', () => {
  test.each(fromScipy.t)('tail of t = $t with $df degrees', ({ t, df, p }) => {
    expect(relative(twoSidedT(t, df), p)).toBeLessThan(1e-9);
    expect(twoSidedT(-t, df)).toBe(twoSidedT(t, df));
  });

  test.each(fromScipy.tQuantile)('t that leaves 5 % with $df degrees', ({ df, t }) => {
    // SciPy's own quantile is off by 4e-9 at 40 degrees, where R gives 2.0210753903062733, as we do.
    expect(relative(tForInterval(0.95, df), t)).toBeLessThan(1e-8);
  });

  test.each(fromScipy.f)('tail of F = $f with $df1 and $df2 degrees', ({ f, df1, df2, p }) => {
    expect(relative(upperF(f, df1, df2), p)).toBeLessThan(1e-9);
  });

  test.each(fromScipy.betainc.filter(({ value }) => value > 1e-200))(
    'I of $x with $a and $b',
    ({ x, a, b, value }) => {
      expect(relative(incompleteBeta(x, a, b), value)).toBeLessThan(1e-9);
    },
  );
});

describe('what must hold of them', () => {
  const shape = fc.double({ min: 0.2, max: 300, noNaN: true });
  const wide = fc.double({ min: 0.5, max: 300, noNaN: true });
  const inside = fc.double({ min: 0.001, max: 0.999, noNaN: true });

  test('the incomplete beta mirrors', () => {
    fc.assert(
      fc.property(inside, shape, shape, (x, a, b) => {
        expect(incompleteBeta(x, a, b)).toBeCloseTo(1 - incompleteBeta(1 - x, b, a), 10);
      }),
    );
    expect([incompleteBeta(0, 2, 3), incompleteBeta(1, 2, 3)]).toEqual([0, 1]);
  });

  test('the quantile of a beta is where its share is', () => {
    fc.assert(
      // A share so near 1 that its distance from 1 has lost its digits cannot come back.
      fc.property(fc.double({ min: 0.01, max: 0.99, noNaN: true }), wide, wide, (p, a, b) => {
        expect(incompleteBeta(betaQuantile(p, a, b), a, b)).toBeCloseTo(p, 6);
      }),
    );
  });

  test('the gamma function is the factorial, and Γ(½) is √π', () => {
    let factorial = 1;
    for (let n = 1; n < 20; n += 1) {
      expect(relative(logGamma(n + 1), Math.log(factorial * n) || 0)).toBeLessThan(
        n === 1 ? Infinity : 1e-13,
      );
      factorial *= n;
    }
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.PI) / 2, 13);
  });

  test('F with one degree above is t squared', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 30, noNaN: true }), shape, (t, df) => {
        expect(upperF(t * t, 1, df)).toBeCloseTo(twoSidedT(t, df), 9);
      }),
    );
  });
});
