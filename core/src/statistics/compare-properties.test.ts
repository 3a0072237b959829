import { describe as suite, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Outcome } from '../shared/index.ts';
import {
  fisherExact,
  hedgesG,
  holm,
  kaplanMeier,
  kruskalWallis,
  lettersOf,
  logRank,
  mannWhitney,
  oneWayAnova,
  pearson,
  permutationTest,
  spearman,
  studentT,
  tukeyKramer,
  type Wait,
  welchT,
} from './index.ts';

const whole = fc.integer({ min: -50, max: 50 });
const small = fc.array(whole, { minLength: 1, maxLength: 5 });
const sample = fc.array(whole, { minLength: 3, maxLength: 8 });
const different = fc.uniqueArray(whole, { minLength: 2, maxLength: 9 });

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.defined) throw new Error(`undefined: ${outcome.reason}`);
  return outcome.value;
}

/** True unless both give a value and the check of the values fails. */
function whenDefined<T>(outcomes: readonly Outcome<T>[], check: (...values: T[]) => void): void {
  if (outcomes.every(({ defined }) => defined)) check(...outcomes.map(valueOf));
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Every way to choose `size` places out of `n`. */
function choices(n: number, size: number): number[][] {
  if (size === 0) return [[]];
  if (n < size) return [];
  return [...choices(n - 1, size), ...choices(n - 1, size - 1).map((rest) => [...rest, n - 1])];
}

suite('t tests', () => {
  test.each([
    ['Welch', welchT],
    ['Student', studentT],
  ] as const)(
    '%s: swapping turns the sign, shifting changes nothing, stretching keeps t and p',
    (_, tTest) => {
      fc.assert(
        fc.property(sample, sample, whole, fc.integer({ min: 2, max: 9 }), (first, second, shift, times) => {
          const moved = (values: readonly number[]) => values.map((value) => (value + shift) * times);
          const outcomes = [
            tTest(first, second),
            tTest(second, first),
            tTest(moved(first), moved(second)),
          ] as const;
          whenDefined(outcomes, (plain, swapped, stretched) => {
            expect(swapped.t).toBeCloseTo(-plain.t, 9);
            expect(swapped.p).toBeCloseTo(plain.p, 9);
            expect(stretched.t).toBeCloseTo(plain.t, 9);
            expect(stretched.p).toBeCloseTo(plain.p, 9);
            expect(stretched.interval.low).toBeCloseTo(plain.interval.low * times, 6);
          });
        }),
      );
    },
  );

  test('p is below 0.05 exactly when the 95 % interval leaves 0 out', () => {
    fc.assert(
      fc.property(sample, sample, (first, second) => {
        whenDefined([welchT(first, second)], ({ p, interval }) => {
          const leavesOut = interval.low > 0 || interval.high < 0;
          if (Math.abs(p - 0.05) > 1e-6) expect(p < 0.05).toBe(leavesOut);
        });
      }),
    );
  });

  test('the effect size has the sign of the difference and no unit', () => {
    fc.assert(
      fc.property(sample, sample, (first, second) => {
        const times = (values: readonly number[]) => values.map((value) => value * 25.4);
        whenDefined([hedgesG(first, second), hedgesG(times(first), times(second))], (mm, inches) => {
          expect(inches).toBeCloseTo(mm, 9);
          expect(Math.sign(mm)).toBe(Math.sign(mean(second) - mean(first)));
        });
      }),
    );
  });
});

suite('tests by order and by shuffling, against counting every arrangement', () => {
  test('Mann–Whitney without ties', () => {
    fc.assert(
      fc.property(different, fc.integer({ min: 1, max: 8 }), (values, cut) => {
        const size = Math.min(cut, values.length - 1);
        const [first, second] = [values.slice(size), values.slice(0, size)];
        const wins = (places: readonly number[]): number =>
          places.reduce(
            (sum, place) =>
              sum +
              values.filter((value, at) => !places.includes(at) && value < (values[place] as number)).length,
            0,
          );
        const middle = (first.length * second.length) / 2;
        const seen = wins(Array.from({ length: size }, (_, at) => at));
        const all = choices(values.length, size).map(wins);
        const asFar = all.filter((u) => Math.abs(u - middle) >= Math.abs(seen - middle)).length;
        const found = valueOf(mannWhitney(first, second));
        expect(found.isExact).toBe(true);
        expect(found.u).toBe(seen);
        expect(found.p).toBeCloseTo(asFar / all.length, 10);
      }),
      { numRuns: 60 },
    );
  });

  test('the permutation test', () => {
    fc.assert(
      fc.property(small, small, (first, second) => {
        const values = [...first, ...second];
        const found = permutationTest(first, second, 1);
        if (new Set(values).size === 1) {
          expect(found.defined).toBe(false);
          return;
        }
        const total = values.reduce((sum, value) => sum + value, 0);
        const gap = (places: readonly number[]): number => {
          const own = places.reduce((sum, place) => sum + (values[place] as number), 0);
          return own / second.length - (total - own) / first.length;
        };
        const all = choices(values.length, second.length).map(gap);
        const seen = mean(second) - mean(first);
        const asFar = all.filter((one) => Math.abs(one) >= Math.abs(seen) - 1e-9).length;
        expect(valueOf(found).p).toBeCloseTo(asFar / all.length, 10);
      }),
      { numRuns: 60 },
    );
  });

  test('Fisher’s test of two by two, as the sum of the tables that are no likelier', () => {
    const count = fc.integer({ min: 0, max: 7 });
    fc.assert(
      fc.property(count, count, count, count, (a, b, c, d) => {
        const [left, right, up] = [a + b, c + d, a + c];
        const found = fisherExact([
          [a, b],
          [c, d],
        ]);
        if (left === 0 || right === 0 || up === 0 || b + d === 0) {
          expect(found.defined).toBe(false);
          return;
        }
        const ways = (n: number, k: number): number => {
          let product = 1;
          for (let at = 0; at < k; at += 1) product *= (n - at) / (at + 1);
          return k < 0 || k > n ? 0 : product;
        };
        const chanceOf = (k: number): number =>
          (ways(left, k) * ways(right, up - k)) / ways(left + right, up);
        const tables = Array.from({ length: up + 1 }, (_, k) => chanceOf(k));
        const p = tables.filter((one) => one <= chanceOf(a) * (1 + 1e-7)).reduce((sum, one) => sum + one, 0);
        expect(valueOf(found)).toBeCloseTo(Math.min(1, p), 9);
      }),
    );
  });

  test('only the order counts for tests by ranks', () => {
    fc.assert(
      fc.property(sample, sample, sample, (a, b, c) => {
        const bent = (values: readonly number[]) => values.map((value) => Math.exp(value / 20));
        whenDefined([kruskalWallis([a, b, c]), kruskalWallis([bent(a), bent(b), bent(c)])], (plain, after) =>
          expect(after.p).toBeCloseTo(plain.p, 9),
        );
        whenDefined([mannWhitney(a, b), mannWhitney(bent(a), bent(b))], (plain, after) =>
          expect(after.p).toBeCloseTo(plain.p, 9),
        );
      }),
    );
  });
});

suite('several groups', () => {
  test('an analysis of two groups is Student’s t squared, and does not mind the order', () => {
    fc.assert(
      fc.property(sample, sample, (first, second) => {
        const t = studentT(first, second);
        const [f, turned] = [oneWayAnova([first, second]), oneWayAnova([second, first])];
        expect(f.defined).toBe(t.defined);
        if (!t.defined) return;
        expect(valueOf(f).f).toBeCloseTo(t.value.t ** 2, 6);
        expect(valueOf(f).p).toBeCloseTo(t.value.p, 9);
        expect(valueOf(turned).f).toBeCloseTo(valueOf(f).f, 9);
      }),
    );
  });

  test('Tukey’s p of the only pair is Student’s p', () => {
    fc.assert(
      fc.property(sample, sample, (first, second) => {
        const [pairs, t] = [tukeyKramer([first, second]), studentT(first, second)];
        expect(pairs.defined).toBe(t.defined);
        if (pairs.defined && t.defined) expect(pairs.value[0]!.p).toBeCloseTo(t.value.p, 6);
      }),
      { numRuns: 30 },
    );
  });

  test('Holm’s correction keeps the order, never makes p smaller, and stays at most 1', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 8 }),
        (ps) => {
          const after = holm(ps);
          ps.forEach((p, index) => {
            expect(after[index]!).toBeGreaterThanOrEqual(p);
            expect(after[index]!).toBeLessThanOrEqual(Math.min(1, ps.length * p) + 1e-12);
            ps.forEach((other, at) => {
              if (p < other) expect(after[index]!).toBeLessThanOrEqual(after[at]!);
            });
          });
        },
      ),
    );
  });

  test('two groups share a letter unless they differ', () => {
    const pairs = [0, 1, 2, 3, 4].flatMap((one) =>
      [0, 1, 2, 3, 4].slice(one + 1).map((other) => [one, other]),
    );
    fc.assert(
      fc.property(fc.subarray(pairs), (found) => {
        const letters = lettersOf(5, found as [number, number][], [0, 1, 2, 3, 4]);
        for (const [one, other] of pairs as [number, number][]) {
          const shared = [...letters[one]!].some((letter) => letters[other]!.includes(letter));
          const differ = found.some(([first, second]) => first === one && second === other);
          expect([one, other, shared]).toEqual([one, other, !differ]);
        }
      }),
    );
  });
});

suite('waiting', () => {
  const wait = fc.record({ time: fc.integer({ min: 1, max: 20 }), happened: fc.boolean() });
  const waits = fc.array(wait, { minLength: 1, maxLength: 12 });

  test('the share still waiting only falls, between 1 and 0', () => {
    fc.assert(
      fc.property(waits, (all: Wait[]) => {
        const shares = [1, ...kaplanMeier(all).steps.map((step) => step.waiting)];
        shares.slice(1).forEach((share, index) => {
          expect(share).toBeLessThanOrEqual(shares[index]! + 1e-12);
          expect(share).toBeGreaterThanOrEqual(-1e-12);
        });
      }),
    );
  });

  test('when everybody came up it is the plain share of those not up yet', () => {
    fc.assert(
      fc.property(waits, (some) => {
        const all = some.map(({ time }) => ({ time, happened: true }));
        for (const { time, waiting } of kaplanMeier(all).steps) {
          expect(waiting).toBeCloseTo(all.filter((one) => one.time > time).length / all.length, 9);
        }
      }),
    );
  });

  test('the log-rank test does not mind the order, and a group against itself is alike', () => {
    fc.assert(
      fc.property(waits, waits, (first, second) => {
        const [one, turned] = [logRank([first, second]), logRank([second, first])];
        expect(turned.defined).toBe(one.defined);
        whenDefined([one, turned], (a, b) => expect(b.p).toBeCloseTo(a.p, 9));
        whenDefined([logRank([first, first])], ({ p }) => expect(p).toBeCloseTo(1, 6));
      }),
    );
  });
});

suite('two values of a pot', () => {
  test('Spearman’s is Pearson’s on the ranks, and neither leaves −1 to 1', () => {
    fc.assert(
      fc.property(different, different, (xs, ys) => {
        const points = xs.slice(0, ys.length).map((x, at): [number, number] => [x, ys[at] as number]);
        const rank = (of: 0 | 1, value: number): number =>
          1 + points.filter((point) => point[of] < value).length;
        const ranked = points.map(([x, y]): [number, number] => [rank(0, x), rank(1, y)]);
        const [byRank, ofRanks] = [spearman(points), pearson(ranked)];
        expect(byRank.defined).toBe(ofRanks.defined);
        if (!byRank.defined || !ofRanks.defined) return;
        expect(byRank.value.r).toBeCloseTo(ofRanks.value.r, 9);
        expect(Math.abs(byRank.value.r)).toBeLessThanOrEqual(1 + 1e-12);
      }),
    );
  });
});
