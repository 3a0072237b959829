import { describe, expect, test } from '@jest/globals';
import { simulatedClasses, type Situation } from '../calibration/index.ts';
import { designOf } from '../calibration/simulated-class.ts';
import { randomGenerator } from '../shared/index.ts';
import { permutationTest } from '../statistics/index.ts';
import {
  type Comparison,
  largestGap,
  leastShare,
  shuffledGaps,
  type ShuffleQuestion,
  shuffleQuestion,
} from './index.ts';

/** A class of a situation, with what it shuffles. */
function asked(situation: Situation, seed = 4, is: (comparison: Comparison) => boolean = () => true) {
  const design = designOf(situation);
  const blockOf = new Map(design.units.map((unit) => [unit.id, unit.block]));
  for (const comparison of simulatedClasses(situation, 200, seed)) {
    if (!is(comparison)) continue;
    const question = shuffleQuestion(comparison, design, (id) => blockOf.get(id) ?? '');
    if (!question) throw new Error('something is shuffled');
    return { comparison, question };
  }
  throw new Error('no such class');
}

function share({ observed, ...question }: ShuffleQuestion, draws = 6000): number {
  const gaps = shuffledGaps({ ...question, observed }, draws, randomGenerator(7));
  return gaps.filter((gap) => gap >= observed - 1e-9).length / draws;
}

describe('what is shuffled', () => {
  test('of two treatments is their difference: as often as the permutation test of all arrangements', () => {
    const { comparison, question } = asked({ levels: [2], pots: 5, effect: 0.3 });
    const [one, other] = comparison.groups.map(({ points }) => points.map(({ value }) => value));
    const exact = permutationTest(one!, other!, 1);
    if (!exact.defined) throw new Error(exact.reason);
    expect(question.observed).toBeCloseTo(Math.abs(exact.value.difference), 10);
    expect(Math.abs(share(question) - exact.value.p)).toBeLessThan(0.02);
    expect(leastShare(question)).toBe(2 / 252);
  });

  test('of several is the largest gap from the control, so that it allows for all that were looked at', () => {
    const { comparison, question } = asked({ levels: [5], pots: 4 });
    expect(question.gaps).toHaveLength(4);
    const main = comparison.pairs[comparison.mainPair!]!;
    expect(main.difference.defined && Math.abs(main.difference.value)).toBeCloseTo(question.observed, 6);
    const alone = { ...question, gaps: question.gaps.slice(0, 1) };
    expect(share(question)).toBeGreaterThan(share(alone));
    expect(asked({ levels: [5], pots: 4, hasControl: false }).question.gaps).toHaveLength(10);
  });

  test('stays within its block', () => {
    const { question } = asked({ levels: [3], pots: 4, hasBlocks: true });
    expect(new Set(question.blocks).size).toBe(4);
    expect(leastShare(question)).toBe(1 / 6 ** 4);
    const apart = { ...question, values: question.blocks.map((block) => 100 * block) };
    expect(new Set(shuffledGaps(apart, 50, randomGenerator(1)))).toEqual(new Set([0]));
  });

  test('of factors that depend on each other is the difference of differences', () => {
    const { question } = asked(
      { levels: [2, 2], pots: 6, together: 1 },
      4,
      ({ lead }) => lead?.kind === 'together',
    );
    expect([question.kind, question.gaps]).toEqual(['together', [[1, -1, -1, 1]]]);
    expect(share(question)).toBeLessThan(0.05);
  });

  test('of a factor is over the levels of the other, of which what they do is taken away', () => {
    const { comparison, question } = asked(
      { levels: [2, 3], pots: 4, effect: 0.6 },
      4,
      ({ lead }) => lead?.kind === 'factor',
    );
    const sum = question.values.reduce((all, value) => all + value, 0);
    expect(sum).toBeCloseTo(0, 8);
    expect(question.gaps).toHaveLength(comparison.questions[0]!.pairs.length);
    expect(question.gaps[0]).toEqual([-1, -1, -1, 1, 1, 1].map((weight) => expect.closeTo(weight / 3, 10)));
  });

  test('of amounts is the rise along their line, or how far the best is from the nearer end', () => {
    const rising = { levels: [4], pots: 5, effect: 0.7, areAmounts: true };
    const { question } = asked(rising);
    expect(question.kind).toBe('trend');
    // A line through 0, 10, 20 and 30 rises by 30 from end to end.
    const onLine = { ...question, values: question.labels.map((label) => 10 * label) };
    expect(largestGap(onLine, question.labels)).toBeCloseTo(30, 10);
    const { comparison } = asked(rising);
    const dose = { ...comparison.dose!, turning: { sign: 1, p: 0.01, groupId: 't2' } };
    const best = shuffleQuestion({ ...comparison, dose }, null, () => '')!;
    // The most is nearer to the third of four amounts that rise.
    expect([best.kind, best.gaps, best.values.length]).toEqual(['best', [[-1, 1]], 10]);
    const means = comparison.groups.map(({ description }) =>
      description.mean.defined ? description.mean.value : 0,
    );
    const far = [0, 3].map((end) => Math.abs(means[2]! - means[end]!));
    expect(best.observed).toBeCloseTo(Math.min(...far), 8);
  });

  test('is nothing where nothing was compared; three against three can be dealt in 20 ways', () => {
    const [nothing] = simulatedClasses({ levels: [2], pots: 4, dies: () => 1 }, 1, 3);
    expect(shuffleQuestion(nothing!, null, () => '')).toBeNull();
    expect(leastShare(asked({ levels: [2], pots: 3 }).question)).toBe(0.1);
    expect(leastShare(asked({ levels: [6], pots: 5 }).question)).toBe(0);
  });
});

test('the shuffle and the answer seldom disagree: clear by the test is rare by shuffling', () => {
  let [clear, rare] = [0, 0];
  const situation: Situation = { levels: [4], pots: 5, effect: 0.5 };
  const design = designOf(situation);
  for (const comparison of simulatedClasses(situation, 60, 8)) {
    const main = comparison.pairs[comparison.mainPair!]!;
    if (!main.test.defined || main.test.value.p >= 0.05) continue;
    clear += 1;
    const question = shuffleQuestion(comparison, design, () => '');
    if (question && share(question, 400) < 0.1) rare += 1;
  }
  expect(clear).toBeGreaterThan(15);
  expect(rare / clear).toBeGreaterThan(0.9);
});
