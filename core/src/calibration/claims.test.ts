import { describe, expect, test } from '@jest/globals';
import { type Comparison, isClearFate, isClearPair } from '../comparison/index.ts';
import { isTold } from './calibrate.ts';
import { simulatedClasses, type Situation } from './simulated-class.ts';

/** A first look; `npm run calibrate` has many more classes and designs. */
const CLASSES = 400;

/** Share of simulated classes of which something holds. */
function share(situation: Situation, holds: (comparison: Comparison) => boolean, classes = CLASSES): number {
  let count = 0;
  for (const comparison of simulatedClasses(situation, classes, 7)) if (holds(comparison)) count += 1;
  return count / classes;
}

/** True when the last level of the first factor is told from the first. */
function sees({ questions, pairs }: Comparison): boolean {
  const [own] = questions;
  const pair = own
    ? own.pairs.find((one) => one.firstId === '0-0')
    : pairs.find((one) => one.firstId === 't0');
  return pair !== undefined && isClearPair(pair);
}

describe('with nothing to find, a class is told of something in about 1 of 20 classes', () => {
  test.each<[string, Situation]>([
    ['two treatments of three', { levels: [2], pots: 3 }],
    ['eight treatments of three', { levels: [8], pots: 3 }],
    ['four treatments in three blocks', { levels: [4], pots: 3, hasBlocks: true }],
    ['two by two, four pots each', { levels: [2, 2], pots: 4 }],
    [
      'two of four, laid out evenly on a sill that leans by 12 %',
      { levels: [2], pots: 4, sill: { rows: 2, columns: 4, lean: 0.12, isEven: true } },
    ],
    [
      'three of five, laid out evenly on a sill that leans by 12 %',
      { levels: [3], pots: 5, sill: { rows: 3, columns: 5, lean: 0.12, isEven: true } },
    ],
  ])('%s', (_, situation) => {
    const found = share(situation, isTold);
    expect(found).toBeGreaterThan(0.02);
    expect(found).toBeLessThan(0.08);
  });

  test.each<[string, Situation]>([
    ['two treatments of four', { levels: [2], pots: 4, spreads: [1, 4] }],
    ['six treatments of four', { levels: [6], pots: 4, spreads: [4, 1, 1, 1, 1, 1] }],
    ['four pots beside ten', { levels: [3], pots: 4, potsOf: [4, 10, 10], spreads: [4, 1, 1] }],
    ['two by two, five pots each', { levels: [2, 2], pots: 5, spreads: [1, 1, 1, 4] }],
  ])('also where one treatment has four times the spread: %s', (_, situation) => {
    const found = share({ ...situation, cv: 0.08 }, isTold);
    expect(found).toBeGreaterThan(0.01);
    expect(found).toBeLessThan(0.08);
  });

  test('many pots that do not come up or die add little', () => {
    const luck = { neverUp: () => 0.2, dies: () => 0.15 };
    expect(share({ levels: [2], pots: 8, ...luck }, isTold)).toBeLessThan(0.095);
    expect(share({ levels: [3], pots: 6, ...luck }, isTold)).toBeLessThan(0.095);
  });
});

describe('what is there is seen by the model of the design', () => {
  test('a factor is judged over the levels of the other, not cell by cell', () => {
    const crossed: Situation = { levels: [2, 3], pots: 4, effect: 0.38 };
    const byCell = share(
      crossed,
      ({ pairs }) =>
        pairs.some((pair) => pair.firstId === 't0' && pair.secondId === 't3' && isClearPair(pair)),
      400,
    );
    const byFactor = share(crossed, sees, 200);
    expect(byFactor).toBeGreaterThan(0.7);
    expect(byCell).toBeLessThan(0.35);
  });

  test('blocks take their share of the spread away', () => {
    const blocked: Situation = { levels: [2], pots: 6, effect: 0.4, cv: 0.12, hasBlocks: true };
    expect(share(blocked, sees, 200)).toBeGreaterThan(0.9);
  });

  test('factors that work together lead', () => {
    const situation: Situation = { levels: [2, 2], pots: 8, together: 1 };
    expect(share(situation, ({ lead }) => lead?.kind === 'together', 150)).toBeGreaterThan(0.9);
  });
});

describe('death and never coming up are outcomes', () => {
  test('six of eight dead under one treatment lead, whatever the survivors do', () => {
    const dies = (level: number) => (level === 1 ? 0.95 : 0);
    const found = share(
      { levels: [2], pots: 8, dies },
      ({ lead }) => lead?.kind === 'fate' && lead.fate === 'dead',
      300,
    );
    expect(found).toBeGreaterThan(0.9);
  });

  test('coming up or not leads alike; even luck leads to it seldom', () => {
    const neverUp = (level: number) => (level === 1 ? 0.85 : 0.05);
    const isUp = ({ lead }: Comparison): boolean => lead?.kind === 'fate' && lead.fate === 'up';
    expect(share({ levels: [2], pots: 10, neverUp }, isUp, 150)).toBeGreaterThan(0.85);
    expect(
      share({ levels: [4], pots: 6, neverUp: () => 0.4 }, ({ fates }) => isClearFate(fates.up), 400),
    ).toBeLessThan(0.06);
  });

  test('all dead is a result', () => {
    const [only] = simulatedClasses({ levels: [2], pots: 4, dies: () => 1 }, 1, 3);
    expect(only?.lead).toEqual({ kind: 'fate', fate: 'dead' });
  });
});

test('what can be told apart leads before a larger difference that cannot', () => {
  for (const comparison of simulatedClasses({ levels: [4], pots: 4, effect: 0.5, cv: 0.4 }, 150, 11)) {
    const { pairs, mainPair } = comparison;
    const clear = pairs.filter((pair) => pair.firstId === 't0' && isClearPair(pair));
    if (clear.length > 0) expect(isClearPair(pairs[mainPair!]!)).toBe(true);
  }
});

test('intervals of all pairs together hold the truth in about 95 of 100', () => {
  const truths = [0, 15, 30];
  const held = share({ levels: [3], pots: 5, effect: 0.3 }, ({ pairs }) =>
    pairs.every(({ firstId, secondId, test }) => {
      if (!test.defined || !test.value.interval || firstId !== 't0') return true;
      const truth = truths[Number(secondId.slice(1))]!;
      return test.value.interval.low <= truth && truth <= test.value.interval.high;
    }),
  );
  expect(held).toBeGreaterThan(0.92);
  expect(held).toBeLessThan(0.98);
});
