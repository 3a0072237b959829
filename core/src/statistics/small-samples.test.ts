import { describe, expect, test } from '@jest/globals';
import { type Outcome, randomGenerator, shuffled } from '../shared/index.ts';
import {
  binomialTest,
  designEffect,
  fisherExact,
  mannWhitney,
  normalQuantile,
  sharedShare,
  sharesTest,
  shareTest,
  shuffledRanks,
  signedRank,
  wilson,
} from './index.ts';

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.defined) throw new Error(outcome.reason);
  return outcome.value;
}

describe('Fisher’s exact test of many groups', () => {
  test('twelve groups of eight, as often as shuffles make so unlikely a table', () => {
    const counts = [0, 1, 2, 2, 3, 4, 4, 5, 6, 6, 7, 8];
    const { p, isExact, error } = valueOf(sharesTest(counts.map((up) => [up, 8 - up])));
    expect([isExact, error]).toEqual([false, Math.sqrt((p * (1 - p)) / 20_000)]);
    const chance = randomGenerator(3);
    const all = counts.flatMap((up) => [...Array<number>(up).fill(1), ...Array<number>(8 - up).fill(0)]);
    const choose = [1, 8, 28, 56, 70, 56, 28, 8, 1];
    const likely = (ups: readonly number[]): number =>
      ups.reduce((sum, up) => sum + Math.log(choose[up]!), 0);
    const own = likely(counts);
    let asUnlikely = 0;
    for (let draw = 0; draw < 4000; draw += 1) {
      const dealt = shuffled(all, chance);
      const ups = counts.map((_, group) =>
        dealt.slice(group * 8, group * 8 + 8).reduce((sum, up) => sum + up, 0),
      );
      if (likely(ups) <= own + 1e-9) asUnlikely += 1;
    }
    expect(Math.abs(p - asUnlikely / 4000)).toBeLessThan(4 * Math.sqrt(Math.max(p, 0.001) / 4000));
  });

  test('where all tables can be gone through they are, and drawn ones say nearly the same', () => {
    const table = [
      [5, 3],
      [1, 7],
      [2, 6],
    ];
    expect(sharesTest(table)).toEqual({
      defined: true,
      value: { p: valueOf(fisherExact(table)), isExact: true, error: 0 },
    });
    const wide = Array.from({ length: 24 }, (_, at) => (at === 3 ? [8, 0] : [at % 2, 8 - (at % 2)]));
    // One of 24 treatments with all of its pots dead is beyond what chance does, and is told in time.
    expect(valueOf(sharesTest(wide)).p).toBeLessThan(0.001);
    expect(sharesTest([[4], [5]])).toEqual({ defined: false, reason: 'one_category' });
  });

  test('four by four: near what going through all tables gives', () => {
    const table = [
      [5, 7, 4, 6],
      [8, 2, 5, 7],
      [3, 9, 6, 4],
      [6, 5, 4, 6],
    ];
    const { p, isExact, error } = valueOf(sharesTest(table));
    expect(isExact).toBe(false);
    // All tables with these margins, row by row, in Python's floats.
    expect(Math.abs(p - 0.480656881)).toBeLessThan(4 * error);
  });

  test('a table of columns is that of its rows', () => {
    const table = [
      [3, 1, 0],
      [1, 4, 2],
    ];
    const turned = [0, 1, 2].map((column) => table.map((row) => row[column]!));
    expect(fisherExact(turned)).toEqual(fisherExact(table));
  });
});

test('equal differences of decimal readings tie, whatever binary fractions make of them', () => {
  const found = signedRank([
    [5, 5.1],
    [6.2, 6.3],
    [7.1, 7.2],
    [8.3, 8.2],
  ]);
  expect(found).toMatchObject({ defined: true, value: { v: 7.5, isExact: false } });
});

describe('ranks shuffled between groups', () => {
  test('two groups without ties: the exact test of Mann and Whitney', () => {
    const [first, second] = [
      [1, 4, 6, 9],
      [3, 8, 11, 12, 14],
    ];
    const ranks = shuffledRanks([first, second], 1);
    const exact = mannWhitney(first, second);
    if (!ranks.defined || !exact.defined) throw new Error('defined');
    expect(ranks.value.p).toBeCloseTo(exact.value.p, 10);
    expect(ranks.value.isExact).toBe(true);
  });

  test('three groups of scores: about 5 of 100 below 0.05 when nothing differs', () => {
    const chance = randomGenerator(12);
    let below = 0;
    for (let time = 0; time < 200; time += 1) {
      const groups = [4, 5, 4].map((n) => Array.from({ length: n }, () => chance.integer(1, 4)));
      const found = shuffledRanks(groups, time);
      if (found.defined && found.value.p < 0.05) below += 1;
    }
    expect(below).toBeLessThan(22);
  });
});

describe('a share over pots', () => {
  test('by hand: the error between pots, as large as it would be at the rate', () => {
    const found = shareTest(
      [3, 5, 4, 2].map((up) => ({ up, sown: 5 })),
      0.9,
    );
    // Shares 0.6, 1, 0.8, 0.4: mean 0.7, SD 0.2582, error 0.1291, at 0.9: × √(0.09 ÷ 0.21) = 0.08452.
    expect(found).toMatchObject({ defined: true, value: { share: 0.7, df: 3 } });
    expect(found.defined && found.value.t).toBeCloseTo(-2.3664, 4);
    expect(shareTest([{ up: 3, sown: 5 }], 0.9)).toEqual({ defined: false, reason: 'seeds_share_pots' });
    expect(
      shareTest(
        [
          { up: 5, sown: 5 },
          { up: 5, sown: 5 },
        ],
        0.9,
      ),
    ).toEqual({ defined: false, reason: 'no_spread' });
  });

  test.each([
    [0.7, 10, 6],
    [0.9, 12, 3],
    [0.9, 6, 10],
  ])(
    'seeds that share a fate raise no more false alarms at a rate of %d, %d pots of %d',
    (rate, pots, sown) => {
      const chance = randomGenerator(5);
      const classes = 2000;
      const shared = normalQuantile(rate);
      let [byPot, bySeed] = [0, 0];
      for (let time = 0; time < classes; time += 1) {
        const units = Array.from({ length: pots }, () => {
          const ofPot = Math.sqrt(0.3) * chance.normal();
          const isUp = (): boolean => ofPot + Math.sqrt(0.7) * chance.normal() < shared;
          return { sown, up: Array.from({ length: sown }, isUp).filter(Boolean).length };
        });
        const up = units.reduce((sum, unit) => sum + unit.up, 0);
        const [pot, seed] = [shareTest(units, rate), binomialTest(up, pots * sown, rate)];
        if (pot.defined && pot.value.p < 0.05) byPot += 1;
        if (seed.defined && seed.value < 0.05) bySeed += 1;
      }
      expect(byPot / classes).toBeLessThan(0.06);
      expect(bySeed / classes).toBeGreaterThan(0.08);
    },
  );
});

describe('a share of seeds that share pots', () => {
  const pots = (...ups: number[]) => ups.map((up) => ({ up, sown: 10 }));

  test('varies as its pots do: by hand, the variance between pots over that of single seeds', () => {
    const units = pots(2, 9, 10, 3);
    const share = 0.6;
    const between = [2, 9, 10, 3].reduce((sum, up) => sum + (up - 6) ** 2, 0) / 3 / 4 / 100;
    expect(designEffect(units)).toBeCloseTo(between / ((share * (1 - share)) / 40), 9);
    expect(sharedShare(units)).toEqual(wilson(24 / designEffect(units), 40 / designEffect(units)));
  });

  test('is never surer than all its seeds, and undefined for one pot', () => {
    expect(designEffect(pots(7, 7, 7))).toBe(1);
    expect(sharedShare(pots(7, 7, 7))).toEqual(wilson(21, 30));
    expect(sharedShare(pots(7))).toEqual({ defined: false, reason: 'seeds_share_pots' });
  });
});
