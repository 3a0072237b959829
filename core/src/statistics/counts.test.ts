import { describe, expect, test } from '@jest/globals';
import { randomGenerator } from '../shared/index.ts';
import {
  binomialAtLeast,
  binomialTerms,
  binomialTest,
  chiSquareTest,
  fisherExact,
  isCarefulReader,
  lettersOf,
  normalQuantile,
  sharedShare,
  shareTest,
} from './index.ts';

/** Ways to place `total` into columns that hold at most so many each. */
function fillings(total: number, room: readonly number[]): number[][] {
  const [first, ...rest] = room;
  if (first === undefined) return total === 0 ? [[]] : [];
  return Array.from({ length: Math.min(total, first) + 1 }, (_, count) => count).flatMap((count) =>
    fillings(total - count, rest).map((others) => [count, ...others]),
  );
}

/** Fisher's p by writing out every table of the same margins. */
function byWritingOut(table: readonly (readonly number[])[]): number {
  const factorial = (n: number): number => (n < 2 ? 1 : n * factorial(n - 1));
  const weight = (rows: readonly (readonly number[])[]): number =>
    1 / rows.flat().reduce((all, count) => all * factorial(count), 1);
  const totals = table.map((row) => row.reduce((sum, count) => sum + count, 0));
  const columns = table[0]!.map((_, at) => table.reduce((sum, row) => sum + row[at]!, 0));
  const all: number[] = [];
  const fill = (row: number, left: readonly number[], rows: readonly (readonly number[])[]): void => {
    if (row === totals.length) {
      all.push(weight(rows));
      return;
    }
    for (const one of fillings(totals[row]!, left)) {
      fill(
        row + 1,
        left.map((room, at) => room - one[at]!),
        [...rows, one],
      );
    }
  };
  fill(0, columns, []);
  const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
  const own = weight(table);
  return sum(all.filter((value) => value <= own * (1 + 1e-7))) / sum(all);
}

describe('tables of counts', () => {
  test('60 made-up tables of 2 to 4 rows and columns: as every table written out', () => {
    const chance = randomGenerator(41);
    for (let time = 0; time < 60; time += 1) {
      const [height, width] = [chance.integer(2, 4), chance.integer(2, 4)];
      const table = Array.from({ length: height }, () =>
        Array.from({ length: width }, () => chance.integer(0, height * width > 9 ? 2 : 4)),
      );
      const found = fisherExact(table);
      if (!found.defined) {
        expect(found.reason).toBe('one_category');
        continue;
      }
      expect(found.value).toBeCloseTo(byWritingOut(table), 9);
      expect(found.value).toBeCloseTo(valueOf(fisherExact([...table].reverse())), 9);
    }
  });

  test('an expected count of just 5 is enough for the chi-square, 4 is rough', () => {
    const half = (n: number) => [
      [n, n],
      [n, n],
    ];
    expect(chiSquareTest(half(5))).toMatchObject({
      defined: true,
      value: { isRough: false, smallestExpected: 5 },
    });
    expect(chiSquareTest(half(4))).toMatchObject({ defined: true, value: { isRough: true } });
  });

  test('a rate of none or all leaves nothing to chance', () => {
    const p = (count: number, of: number, rate: number) => valueOf(binomialTest(count, of, rate));
    expect([p(0, 7, 0), p(1, 7, 0), p(7, 7, 1), p(6, 7, 1), p(1, 1, 1)]).toEqual([1, 0, 1, 0, 1]);
    expect(p(1, 1, 0.25)).toBeCloseTo(0.25, 12);
    expect(p(3, 4, 0.5)).toBeCloseTo(10 / 16, 12);
  });

  test('chances of none, all, fewer than none and more than there are', () => {
    expect([binomialAtLeast(-2, 4, 0.3), binomialAtLeast(5, 4, 0.3), binomialAtLeast(4, 4, 0.5)]).toEqual([
      1, 0, 0.0625,
    ]);
    expect([binomialTerms(3, 0), binomialTerms(3, 1)]).toEqual([
      [1, 0, 0, 0],
      [0, 0, 0, 1],
    ]);
    for (const p of [0.02, 0.31, 0.5, 0.94]) {
      const terms = binomialTerms(6, p);
      const choose = [1, 6, 15, 20, 15, 6, 1];
      terms.forEach((term, k) => expect(term).toBeCloseTo(choose[k]! * p ** k * (1 - p) ** (6 - k), 12));
    }
    expect(binomialTerms(5000, 0.999)[4995]).toBeCloseTo(0.1755551664, 9);
  });

  test('a share of seeds that nobody sowed is not defined, one of two pots is', () => {
    expect(
      sharedShare([
        { up: 0, sown: 0 },
        { up: 0, sown: 0 },
      ]),
    ).toEqual({ defined: false, reason: 'no_values' });
    expect(
      sharedShare([
        { up: 3, sown: 4 },
        { up: 2, sown: 4 },
      ]),
    ).toMatchObject({ defined: true });
    expect(
      shareTest(
        [
          { up: 3, sown: 4 },
          { up: 2, sown: 4 },
        ],
        0.5,
      ),
    ).toMatchObject({
      defined: true,
      value: { df: 1, share: 0.625 },
    });
    expect(shareTest([{ up: 3, sown: 4 }], 0.5)).toEqual({ defined: false, reason: 'seeds_share_pots' });
  });

  test('normal quantiles lie even about the middle', () => {
    for (const power of [2, 5, 12, 30]) {
      const low = normalQuantile(2 ** -power);
      expect(normalQuantile(1 - 2 ** -power)).toBeCloseTo(-low, 7);
      expect(low).toBeLessThan(0);
    }
    expect(Math.abs(normalQuantile(0.5))).toBe(0);
    expect(normalQuantile(1e-20)).toBeCloseTo(-9.262340089798409, 8);
    expect(normalQuantile(0.975)).toBeCloseTo(1.959963984540054, 12);
  });
});

describe('letters', () => {
  test('as few as are needed, in the order of the groups', () => {
    expect(lettersOf(4, [], [3, 1, 0, 2])).toEqual(['a', 'a', 'a', 'a']);
    expect(
      lettersOf(
        3,
        [
          [0, 1],
          [0, 2],
          [1, 2],
        ],
        [1, 2, 0],
      ),
    ).toEqual(['c', 'a', 'b']);
    expect(
      lettersOf(
        4,
        [
          [0, 3],
          [0, 2],
          [1, 3],
        ],
        [0, 1, 2, 3],
      ),
    ).toEqual(['a', 'ab', 'bc', 'c']);
    expect(
      lettersOf(
        4,
        [
          [3, 0],
          [2, 0],
          [3, 1],
        ],
        [3, 2, 1, 0],
      ),
    ).toEqual(['c', 'bc', 'ab', 'a']);
    expect(
      lettersOf(
        4,
        [
          [0, 1],
          [0, 2],
          [0, 3],
        ],
        [2, 0, 1, 3],
      ),
    ).toEqual(['b', 'a', 'a', 'a']);
    expect(
      lettersOf(
        5,
        [
          [0, 1],
          [2, 3],
        ],
        [0, 1, 2, 3, 4],
      ),
    ).toEqual(['ab', 'cd', 'bd', 'ac', 'abcd']);
  });
});

describe('a careful reader', () => {
  test.each([
    { off: [0.4, -0.9, 1, -1, 0], careful: true },
    { off: [0.1 * 3 - 0.3 + 1, 0, 0, 0, 0], careful: true },
    { off: [0, 0, 0, 0], careful: false },
    { off: [0, 0, 1.1, 0, 0], careful: false },
    { off: [0, 0, -1.1, 0, 0], careful: false },
    { off: [1.1, -1.1, 5, 9, 2], careful: false },
    { off: [30, 0, 0, 0, 0, 0], careful: true },
    { off: [0, 0, 0, 0, 0, 30], careful: false },
    { off: [], careful: false },
  ])('the newest five of $off: $careful', ({ off, careful }) => {
    expect(isCarefulReader(off)).toBe(careful);
  });
});

function valueOf(outcome: { defined: true; value: number } | { defined: false; reason: string }): number {
  if (!outcome.defined) throw new Error(outcome.reason);
  return outcome.value;
}
