import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { gaussLegendre, integrate } from './gauss-legendre.ts';
import { normalCdf } from './normal.ts';
import { studentizedRangeLeaving, studentizedRangeSurvival } from './studentized-range.ts';

interface Tail {
  q: number;
  groups: number;
  df: number;
  p: number;
}

function reference(name: string): unknown {
  return JSON.parse(readFileSync(new URL(`../../reference/${name}`, import.meta.url), 'utf8'));
}

// Made by R and by SciPy with the scripts of the same name in core/reference.
const fromR = reference('studentized-range-r.json') as Tail[];
const fromScipy = reference('studentized-range-scipy.json') as {
  tails: Tail[];
  quantiles: Omit<Tail, 'p'>[];
};

/** Relative difference where the tail is not tiny, absolute below. */
function off(found: number, wanted: number): number {
  return Math.abs(found - wanted) / Math.max(wanted, 1e-4);
}

describe('the studentised range', () => {
  test.each(fromR)('tail of $q with $groups groups and $df df is that of R', ({ q, groups, df, p }) => {
    expect(off(studentizedRangeSurvival(q, groups, df), p)).toBeLessThan(1e-6);
  });

  test.each(fromScipy.tails)(
    'tail of $q with $groups groups and $df df is that of SciPy',
    ({ q, groups, df, p }) => {
      expect(off(studentizedRangeSurvival(q, groups, df), p)).toBeLessThan(1e-6);
    },
  );

  test.each(fromScipy.quantiles)(
    '5 % point of $groups groups and $df df is that of SciPy',
    ({ q, groups, df }) => {
      expect(Math.abs(studentizedRangeLeaving(0.05, groups, df) / q - 1)).toBeLessThan(1e-6);
    },
  );

  test('the ends', () => {
    expect(studentizedRangeSurvival(0, 3, 5)).toBe(1);
    expect(studentizedRangeSurvival(-1, 3, 5)).toBe(1);
    expect(studentizedRangeSurvival(1e6, 3, 50)).toBe(0);
  });
});

describe('what it is made of', () => {
  test.each([
    [0, 0.5],
    [1, 0.841344746068543],
    [-1.959963984540054, 0.025],
    [-6, 9.865876450376946e-10],
    [-9, 1.1285884059538425e-19],
    [40, 1],
  ])('Φ(%p) = %p, as R’s pnorm gives it', (z, p) => {
    expect(Math.abs(normalCdf(z) - p)).toBeLessThan(1e-14);
    expect(Math.abs(normalCdf(z) / p - 1)).toBeLessThan(1e-7);
  });

  test('n Gauss–Legendre nodes integrate polynomials of degree 2n − 1 exactly', () => {
    const rule = gaussLegendre(5);
    expect(integrate(rule, 0, 2, (x) => x ** 9)).toBeCloseTo(2 ** 10 / 10, 9);
    expect(rule.weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(2, 12);
  });
});
