import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dealtTeams, dealtUnits } from './index.ts';

function counts(values: readonly number[], of: number): number[] {
  return Array.from({ length: of }, (_, index) => values.filter((value) => value === index).length);
}

const unevenness = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);

describe('teams', () => {
  test('students are dealt evenly, by chance, and the same again by the same seed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 10 }),
        fc.nat(),
        (students, teams, seed) => {
          const dealt = dealtTeams(students, teams, seed);
          expect(unevenness(counts(dealt, teams))).toBeLessThanOrEqual(1);
          expect(dealtTeams(students, teams, seed)).toEqual(dealt);
        },
      ),
    );
    expect(dealtTeams(12, 3, 1)).not.toEqual(dealtTeams(12, 3, 2));
  });

  test('every team gets an even share of the pots, and of every treatment', () => {
    const layouts = fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: 1, maxLength: 60 });
    fc.assert(
      fc.property(layouts, fc.integer({ min: 1, max: 8 }), (treatments, teams) => {
        const dealt = dealtUnits(treatments, teams);
        expect(unevenness(counts(dealt, teams))).toBeLessThanOrEqual(1);
        for (const treatment of ['a', 'b', 'c']) {
          const own = dealt.filter((_, index) => treatments[index] === treatment);
          expect(unevenness(counts(own, teams))).toBeLessThanOrEqual(1);
        }
      }),
    );
  });
});
