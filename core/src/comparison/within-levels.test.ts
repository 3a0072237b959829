import { describe, expect, test } from '@jest/globals';
import { simulatedClasses, type Situation } from '../calibration/index.ts';
import { designOf } from '../calibration/simulated-class.ts';
import type { ReadingFact } from '../growth/index.ts';
import { calendarDay } from '../shared/index.ts';
import { compareTreatments, type Comparison, type Design } from './index.ts';

const DAY = calendarDay('2026-03-20');

/** Compares a crossed design by the values of its combinations, in order. */
function compared(design: Design, values: readonly (readonly number[])[]): Comparison {
  const readings = design.treatments.flatMap(({ id }, at): ReadingFact[] =>
    design.units
      .filter(({ treatmentId }) => treatmentId === id)
      .flatMap((unit, index) => {
        const value = values[at]?.[index];
        return value === undefined ? [] : [{ unitId: unit.id, day: DAY, state: 'emerged', value }];
      }),
  );
  return compareTreatments({
    treatments: design.treatments.map(({ id, name, isControl }) => ({ id, name, isControl })),
    units: design.units.map((unit) => ({ ...unit, groupId: unit.treatmentId })),
    readings,
    ...{ day: DAY, rule: 'only_up', design },
  });
}

const TWO_BY_TWO = designOf({ levels: [2, 2], pots: 4 });

describe('what a factor does at each level of another', () => {
  test('is the difference of means there, judged by the spread of all and allowing for both levels', () => {
    const values = [
      [50, 52, 48, 54],
      [61, 58, 60, 57],
      [51, 50, 55, 52],
      [90, 94, 89, 91],
    ];
    const { together, lead } = compared(TWO_BY_TWO, values);
    expect(lead).toEqual({ kind: 'together' });
    const { asked, other, firstId, secondId, levels } = together!.within!;
    expect([asked, other, firstId, secondId]).toEqual(['Factor 0', 'Factor 1', '0-0', '0-1']);
    expect(levels.map(({ level }) => level.id)).toEqual(['1-0', '1-1']);
    const differences = levels.map(({ difference }) => difference.defined && difference.value);
    expect(differences).toEqual([expect.closeTo(1, 10), expect.closeTo(32, 10)]);
    // 12 degrees of freedom, p and bounds of both taken twice: by hand with SciPy.
    const [plain, lamp] = levels.map(({ test: found }) => (found.defined ? found.value : undefined));
    expect(lamp!.df).toBe(12);
    expect(lamp!.p).toBeLessThan(1e-6);
    expect(plain!.p).toBe(1);
    const se = Math.sqrt(((20 + 10 + 14 + 14) / 12) * (2 / 4));
    expect(plain!.t).toBeCloseTo(1 / se, 10);
    expect((plain!.interval!.high - plain!.interval!.low) / 2 / se).toBeCloseTo(2.5600329593, 6);
  });

  test('is not told where a level has nothing to compare, and what it is not is said', () => {
    const { together } = compared(TWO_BY_TWO, [[50, 52], [61, 58, 60], [51, 50, 49], []]);
    expect(together?.test).toMatchObject({ defined: false });
    expect(together?.within).toBeNull();
  });

  test('of three factors of which two depend on each other, over the third', () => {
    const design = designOf({ levels: [2, 2, 2], pots: 3 });
    const mean = (levels: readonly number[]): number =>
      50 + (levels[0] === 1 && levels[2] === 1 ? 40 : 0) + 5 * levels[1]!;
    const values = design.treatments.map(({ levels }) => [-1, 0, 1].map((rest) => mean(levels) + rest));
    const { within } = compared(design, values).together!;
    expect([within?.asked, within?.other]).toEqual(['Factor 0', 'Factor 2']);
    expect(within?.levels.map(({ difference }) => difference.defined && difference.value)).toEqual([
      expect.closeTo(0, 10),
      expect.closeTo(40, 10),
    ]);
  });
});

test('where factors depend on each other, what is told of a level is seldom false', () => {
  const situation: Situation = { levels: [2, 2], pots: 6, together: 0.8 };
  let [told, wrong] = [0, 0];
  for (const { lead, together } of simulatedClasses(situation, 300, 5)) {
    if (lead?.kind !== 'together') continue;
    told += 1;
    const [without] = together!.within!.levels;
    if (without!.test.defined && without!.test.value.p < 0.05) wrong += 1;
  }
  expect(told).toBeGreaterThan(200);
  expect(wrong / told).toBeLessThan(0.06);
});
