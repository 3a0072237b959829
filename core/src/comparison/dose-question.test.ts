import { describe, expect, test } from '@jest/globals';
import { simulatedClasses, type Situation } from '../calibration/index.ts';
import { designOf } from '../calibration/simulated-class.ts';
import { calendarDay } from '../shared/index.ts';
import { clearDose, compareTreatments, type Comparison, type Design, isClearPair } from './index.ts';

const DAY = calendarDay('2026-03-20');
const FOUR = designOf({ levels: [4], pots: 4, areAmounts: true });

function compared(means: readonly number[], design: Design = FOUR, rest = [-3, -1, 1, 3]): Comparison {
  return compareTreatments({
    treatments: design.treatments.map(({ id, name, isControl }) => ({ id, name, isControl })),
    units: design.units.map((unit) => ({ ...unit, groupId: unit.treatmentId })),
    readings: design.units.map(({ id, treatmentId }, index) => ({
      ...{ unitId: id, day: DAY, state: 'emerged' },
      value: (means[Number(treatmentId.slice(1))] ?? 0) + (rest[index % rest.length] ?? 0),
    })),
    ...{ day: DAY, rule: 'only_up', design },
  });
}

describe('amounts of one thing', () => {
  test('lead with a trend, up or down, in the order of the amounts', () => {
    const up = compared([50, 52, 54, 56]);
    expect([up.lead, clearDose(up.dose), up.dose?.trend?.sign]).toEqual([{ kind: 'dose' }, 'trend', 1]);
    expect(up.dose?.groupIds).toEqual(['t0', 't1', 't2', 't3']);
    const turned: Design = {
      ...FOUR,
      factors: FOUR.factors.map((factor) => ({
        ...factor,
        levels: factor.levels.map((level) => ({ ...level, amount: -(level.amount ?? 0) })),
      })),
    };
    const down = compared([50, 52, 54, 56], turned);
    expect([down.dose?.groupIds, down.dose?.trend?.sign]).toEqual([['t3', 't2', 't1', 't0'], -1]);
  });

  test('the trend is the linear contrast, beside the pairs and the best amount', () => {
    const { dose } = compared([50, 52, 54, 56]);
    // Contrast 10, variance 20/3 · (9 + 1 + 1 + 9)/4 · 1/4, 12 degrees of freedom, by SciPy; twice allowed for.
    expect(dose!.trend!.p / 2).toBeCloseTo(0.0046816, 6);
  });

  test('lead with an amount in between that is above both ends, or below them', () => {
    const best = compared([50, 62, 80, 52]);
    expect([clearDose(best.dose), best.dose?.turning]).toEqual([
      'turning',
      { sign: 1, groupId: 't2', p: expect.any(Number) },
    ]);
    const worst = compared([80, 50, 62, 79]);
    expect(worst.dose?.turning).toMatchObject({ sign: -1, groupId: 't1' });
    expect(clearDose(compared([50, 70, 71, 72]).dose)).toBe('trend');
  });

  test('are no question where there are two, where one has a single value, or where plants differ in age', () => {
    expect(compared([50, 60], designOf({ levels: [2], pots: 4, areAmounts: true })).dose).toBeNull();
    expect(compared([50, 60, 70], designOf({ levels: [3], pots: 1, areAmounts: true })).dose).toBeNull();
    const apart = FOUR.units.map((unit, at) => ({
      ...unit,
      sownOn: calendarDay(at < 4 ? '2026-03-01' : '2026-03-03'),
    }));
    expect(compared([50, 60, 70, 80], { ...FOUR, units: apart }).dose).toBeNull();
    expect(compared([50, 60, 70, 80], designOf({ levels: [4], pots: 4 })).lead?.kind).toBe('pair');
  });
});

test('of amounts that do nothing a class is told in about 1 of 20 classes, and a trend is seen sooner than its ends', () => {
  const nothing: Situation = { levels: [4], pots: 5, areAmounts: true };
  let [told, trends, ends] = [0, 0, 0];
  for (const { dose, pairs } of simulatedClasses(nothing, 400, 3)) {
    if (clearDose(dose) || pairs.some((pair) => pair.firstId === 't0' && isClearPair(pair))) told += 1;
  }
  for (const { dose, pairs } of simulatedClasses({ ...nothing, effect: 0.45 }, 200, 4)) {
    if (clearDose(dose) === 'trend') trends += 1;
    if (pairs.some((pair) => pair.secondId === 't3' && pair.firstId === 't0' && isClearPair(pair))) ends += 1;
  }
  expect(told / 400).toBeGreaterThan(0.015);
  expect(told / 400).toBeLessThan(0.08);
  expect(trends).toBeGreaterThan(ends);
});
