import { describe, expect, test } from '@jest/globals';
import { arrangementsOf, associationOf, cramersV, permutationTest, shuffledRanks } from './index.ts';

/** All orders of `values` dealt to groups of these sizes, each with what `statistic` says of it. */
function everyDeal(
  values: readonly number[],
  sizes: readonly number[],
  statistic: (groups: readonly (readonly number[])[]) => number,
): number[] {
  const found: number[] = [];
  const deal = (left: readonly number[], groups: readonly (readonly number[])[]): void => {
    const size = sizes[groups.length];
    if (size === undefined) {
      found.push(statistic(groups));
      return;
    }
    for (const chosen of choices(left.length, size)) {
      deal(
        left.filter((_, at) => !chosen.includes(at)),
        [...groups, chosen.map((at) => left[at]!)],
      );
    }
  };
  deal(values, []);
  return found;
}

function choices(n: number, of: number, from = 0): number[][] {
  if (of === 0) return [[]];
  return Array.from({ length: Math.max(0, n - from) }, (_, at) => from + at).flatMap((first) =>
    choices(n, of - 1, first + 1).map((rest) => [first, ...rest]),
  );
}

/** Share of ways to choose `of` whole numbers whose mean is as far from the others' as the real one: by counting sums. */
function exactBySums(first: readonly number[], second: readonly number[]): number {
  const all = [...first, ...second];
  const ways = new Map<string, number>([['0 0', 1]]);
  for (const value of all) {
    for (const [key, count] of [...ways]) {
      const [chosen, sum] = key.split(' ').map(Number) as [number, number];
      if (chosen === second.length) continue;
      const next = `${chosen + 1} ${sum + value}`;
      ways.set(next, (ways.get(next) ?? 0) + count);
    }
  }
  const total = all.reduce((sum, value) => sum + value, 0);
  const far = (sum: number): number => Math.abs(sum * all.length - total * second.length);
  const real = far(second.reduce((sum, value) => sum + value, 0));
  let [hits, count] = [0, 0];
  for (const [key, number] of ways) {
    const [chosen, sum] = key.split(' ').map(Number) as [number, number];
    if (chosen !== second.length) continue;
    count += number;
    if (far(sum) >= real) hits += number;
  }
  return hits / count;
}

describe('labels shuffled between two groups', () => {
  const first = [31, 44, 52, 38, 47, 29, 55, 41, 36, 50];
  const second = [49, 40, 61, 53, 38, 57, 46, 66, 51, 44, 58];

  test('more than 200 000 arrangements are drawn: near the share that counting sums gives', () => {
    const found = permutationTest(first, second, 8);
    if (!found.defined) throw new Error(found.reason);
    const exact = exactBySums(first, second);
    expect(found.value).toMatchObject({ isExact: false, arrangements: 20_000 });
    const { p } = found.value;
    expect(found.value.error).toBeCloseTo(Math.sqrt((p * (1 - p)) / 20_000), 12);
    expect(Math.abs(found.value.p - exact)).toBeLessThan(4 * found.value.error);
    expect(found.value.p * 20_001).toBeCloseTo(Math.round(found.value.p * 20_001), 6);
  });

  test('fewer are all gone through: the share that counting sums gives, ties among them', () => {
    for (const size of [3, 5, 8]) {
      const [a, b] = [first.slice(0, size), second.slice(0, size)];
      const found = permutationTest(a, b, 1);
      expect(found).toMatchObject({
        defined: true,
        value: { isExact: true, error: 0, arrangements: arrangementsOf(2 * size, size) },
      });
      expect(found.defined && found.value.p).toBeCloseTo(exactBySums(a, b), 12);
    }
  });

  test('a difference drawn far out and never met again is one in all the draws and itself', () => {
    const low = first.map((value) => value / 100);
    const found = permutationTest(low, second, 8);
    expect(found.defined && found.value.p).toBe(1 / 20_001);
  });
});

describe('ranks shuffled between three groups', () => {
  test.each([
    {
      groups: [
        [1, 5, 3],
        [8, 6, 9],
        [7, 2, 4],
      ],
    },
    {
      groups: [
        [2, 2, 3],
        [4, 4],
        [1, 2, 3],
      ],
    },
    {
      groups: [
        [1, 2, 3],
        [10, 11, 12],
        [20, 21, 22],
      ],
    },
  ])('as often as all deals of $groups say', ({ groups }) => {
    const sorted = groups.flat().sort((a, b) => a - b);
    const rank = (value: number): number => (sorted.indexOf(value) + sorted.lastIndexOf(value)) / 2 + 1;
    const between = (dealt: readonly (readonly number[])[]): number =>
      dealt.reduce((sum, group) => sum + group.reduce((of, value) => of + value, 0) ** 2 / group.length, 0);
    const ranked = groups.map((group) => group.map(rank));
    const all = everyDeal(
      ranked.flat(),
      groups.map((group) => group.length),
      between,
    );
    const exact = all.filter((value) => value >= between(ranked) - 1e-9).length / all.length;
    const found = shuffledRanks([...groups, []], 5);
    if (!found.defined) throw new Error(found.reason);
    expect(Math.abs(found.value.p - exact)).toBeLessThan(
      4 * Math.sqrt((exact * (1 - exact)) / 4999) + 1 / 5000,
    );
    expect(found.value.isExact).toBe(false);
    expect(found.value.p * 5000).toBeCloseTo(Math.round(found.value.p * 5000), 8);
  });

  test('two groups too large to go through are drawn, and said to be', () => {
    const [one, other] = [0, 40].map((up) => Array.from({ length: 12 }, (_, at) => up + at * 7));
    expect(shuffledRanks([one!, other!], 2)).toMatchObject({ defined: true, value: { isExact: false } });
    expect(shuffledRanks([[3, 3], [3]], 2)).toEqual({ defined: false, reason: 'no_spread' });
  });
});

describe('treatments and places shuffled', () => {
  const treatments = ['a', 'a', 'a', 'b', 'b', 'b'];
  const places = ['left', 'left', 'right', 'left', 'right', 'right'];

  test('as often as all deals say', () => {
    const v = (of: readonly string[]): number => {
      const found = cramersV(of, places);
      return found.defined ? found.value : 0;
    };
    const deals = choices(6, 3).map((chosen) => treatments.map((_, at) => (chosen.includes(at) ? 'a' : 'b')));
    const exact = deals.filter((deal) => v(deal) >= v(treatments) - 1e-9).length / deals.length;
    const found = associationOf(treatments, places);
    if (!found.defined) throw new Error(found.reason);
    expect(found.value.v).toBeCloseTo(1 / 3, 12);
    expect(found.value.p).toBeCloseTo(exact, 1);
    const perfect = associationOf(treatments, treatments);
    expect(perfect.defined && Math.abs(perfect.value.p - 0.1)).toBeLessThan(0.04);
    expect(perfect.defined && perfect.value.p * 1000).toBeCloseTo(
      Math.round((perfect.defined ? perfect.value.p : 0) * 1000),
      8,
    );
  });

  test('within blocks only: where each block holds its own, every shuffle is as aligned', () => {
    const blocks = ['1', '1', '1', '2', '2', '2'];
    const found = associationOf(treatments, blocks, blocks);
    expect(found).toMatchObject({ defined: true, value: { v: 1, p: 1 } });
    const pairs = ['1', '2', '3', '1', '2', '3'];
    const paired = associationOf(treatments, ['x', 'x', 'x', 'y', 'y', 'y'], pairs);
    expect(paired.defined && Math.abs(paired.value.p - 0.25)).toBeLessThan(0.05);
  });
});
