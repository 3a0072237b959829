import { describe, expect, test } from '@jest/globals';
import type { ReadingFact } from '../growth/index.ts';
import { calendarDay, type RandomGenerator, randomGenerator } from '../shared/index.ts';
import { areSownUnlike, compareTreatments, sharesOfSown } from './index.ts';

const DAY = calendarDay('2027-03-10');
const TREATMENTS = ['a', 'b'].map((id, at) => ({ id, name: id, isControl: at === 0 }));

/** How often two treatments are told to differ whose seeds come up alike, of dishes sown with so many seeds. */
function toldFalsely(sown: readonly (readonly number[])[], areShares: boolean, classes = 1500): number {
  const chance = randomGenerator(17);
  const units = sown.flatMap((own, group) =>
    own.map((seedsSown, at) => ({
      ...{ id: `${group}-${at}`, number: group * 20 + at + 1, groupId: TREATMENTS[group]!.id },
      ...{ sownOn: null, seedsSown },
    })),
  );
  let told = 0;
  for (let time = 0; time < classes; time += 1) {
    const counted = units.map(({ id, seedsSown }) => ({
      ...{ unitId: id, day: DAY, state: 'emerged' as const },
      value: upOf(seedsSown, chance),
    })) satisfies ReadingFact[];
    const readings = areShares ? sharesOfSown(counted, units) : counted;
    const { pairs } = compareTreatments({
      ...{ treatments: TREATMENTS, units, readings, day: DAY, rule: 'not_up_is_zero' },
    });
    if (pairs[0]!.test.defined && pairs[0]!.test.value.p < 0.05) told += 1;
  }
  return (100 * told) / classes;
}

/** Seeds up of so many; those of one dish share some of their fate. */
function upOf(seeds: number, chance: RandomGenerator): number {
  const share = Math.min(1, Math.max(0, 0.8 + 0.08 * chance.normal()));
  return Array.from({ length: seeds }, () => chance.happens(share)).filter(Boolean).length;
}

describe('shares of the seeds sown', () => {
  test.each([
    ['25 against 20, six dishes each', [Array<number>(6).fill(25), Array<number>(6).fill(20)]],
    ['25 against 20, three dishes each', [Array<number>(3).fill(25), Array<number>(3).fill(20)]],
    ['50 against 10, five dishes each', [Array<number>(5).fill(50), Array<number>(5).fill(10)]],
    [
      'dishes of 5 and 40 on both sides',
      [
        [5, 40, 5, 40, 40],
        [40, 5, 5, 5, 40],
      ],
    ],
  ] as const)('%s: told falsely in 2.5 to 6.5 of 100', (_, sown) => {
    const told = toldFalsely(sown, true);
    expect(told).toBeGreaterThan(2.5);
    expect(told).toBeLessThan(6.5);
  });

  test('as counts, dishes of 25 and 20 would be told to differ most of the time', () => {
    expect(toldFalsely([Array<number>(6).fill(25), Array<number>(6).fill(20)], false, 200)).toBeGreaterThan(
      60,
    );
  });

  test('are asked for where numbers differ or are known of some units only', () => {
    const units = (...numbers: (number | null)[]) =>
      numbers.map((seedsSown, at) => ({ id: `${at}`, seedsSown }));
    expect(areSownUnlike(units(5, 5, 5))).toBe(false);
    expect(areSownUnlike(units(null, null))).toBe(false);
    expect(areSownUnlike(units(5, 4))).toBe(true);
    const reading = (unitId: string, value: number | null) => ({ unitId, value });
    expect(
      sharesOfSown(
        [reading('0', 3), reading('1', 3), reading('2', 3), reading('0', null)],
        units(5, null, 0),
      ),
    ).toEqual([reading('0', 60), reading('1', null), reading('2', null), reading('0', null)]);
  });
});
