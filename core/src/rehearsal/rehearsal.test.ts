import { describe, expect, test } from '@jest/globals';
import { type Plan, startPlan, STARTING_CROPS, usualContainer } from '../design/index.ts';
import { visibleDifference } from '../review/index.ts';
import { calendarDay } from '../shared/index.ts';
import {
  rehearseClass,
  rehearsedComparison,
  setUpRehearsal,
  summarise,
  type SupposedEffect,
} from './index.ts';

const SURROUNDINGS = { crops: STARTING_CROPS, lots: [] };

function plan(changes: Partial<Plan> = {}, kind: Plan['kind'] = 'one_factor'): Plan {
  const started = startPlan({
    kind,
    question: 'Why?',
    crop: STARTING_CROPS.find((crop) => crop.id === 'oat')!,
    otherCrops: STARTING_CROPS,
    sowOn: calendarDay('2027-03-01'),
    lessonOn: calendarDay('2027-03-22'),
  });
  return { ...started, ...changes };
}

function rehearse(asked: Plan, effect: SupposedEffect, classes: number) {
  const setUp = setUpRehearsal(asked, SURROUNDINGS, effect);
  if (!setUp.defined) throw new Error(setUp.reason);
  const found = Array.from({ length: classes }, (_, seed) => rehearseClass(setUp.value, seed));
  return { setUp: setUp.value, found, summary: summarise(setUp.value, found) };
}

describe('a rehearsal', () => {
  test('without an effect raises a false alarm in about 1 of 20 classes', () => {
    const { summary } = rehearse(plan({ replicates: 5 }), { target: 'height', change: 0 }, 600);
    const seen = summary.seen.defined ? summary.seen.value : undefined;
    expect(seen!.low).toBeLessThan(0.05);
    expect(seen!.high).toBeGreaterThan(0.03);
    expect(summary.counts.wrong_way).toBe(0);
  });

  test.each([1, -1])(
    'of the smallest difference likely to show, way %i, sees it in 8 of 10 classes',
    (way) => {
      const containers = [usualContainer('cups'), usualContainer('cups')];
      const asked = plan({ replicates: 8, containers, seedsPerUnit: 1, plantsPerUnit: 1 });
      const found = visibleDifference(asked, SURROUNDINGS);
      if (!found.defined) throw new Error(found.reason);
      const change = way > 0 ? found.value.more : -(found.value.less ?? 0);
      const { summary } = rehearse(asked, { target: 'height', change }, 800);
      expect(summary.seen.defined && Math.abs(summary.seen.value.share - 0.8)).toBeLessThan(0.05);
    },
  );

  test('sees a larger effect more often, and with more pots', () => {
    const share = (replicates: number, change: number): number => {
      const { summary } = rehearse(plan({ replicates }), { target: 'height', change }, 150);
      return summary.seen.defined ? summary.seen.value.share : NaN;
    };
    expect(share(5, 0.6)).toBeGreaterThan(share(5, 0.2) + 0.1);
    expect(share(5, 0.4)).toBeGreaterThan(share(3, 0.4) + 0.1);
  });

  test('same seed, same answer; another seed, another class', () => {
    const { setUp } = rehearse(plan(), { target: 'speed', change: -0.3 }, 1);
    expect(rehearsedComparison(setUp, 5)).toEqual(rehearsedComparison(setUp, 5));
    expect(rehearseClass(setUp, 5).difference).not.toBe(rehearseClass(setUp, 6).difference);
  });

  test('the class in the middle is one of those rehearsed, with its p between the others', () => {
    const { found, summary } = rehearse(plan(), { target: 'height', change: 0.3 }, 101);
    const typical = found.find((one) => one.seed === summary.typical);
    const below = found.filter((one) => (one.p ?? 2) < typical!.p!).length;
    expect(Math.abs(below - 50)).toBeLessThanOrEqual(1);
  });

  test('late emergence makes shorter plants, and is no wrong way', () => {
    const { summary } = rehearse(plan(), { target: 'emergence', change: 1 }, 100);
    expect(summary.counts.wrong_way).toBeLessThan(5);
  });

  test.each([
    [plan({}, 'packet_test'), 'too_few_groups'],
    [plan({}, 'ages'), 'ages_are_the_change'],
    [plan({}, 'sections'), 'not_a_height'],
    [plan({ conditions: { ...plan().conditions, temperatureC: 1 } }), 'temperature_outside'],
  ])('says why it cannot be rehearsed', (asked, reason) => {
    expect(setUpRehearsal(asked, SURROUNDINGS, { target: 'height', change: 0.2 })).toEqual({
      defined: false,
      reason,
    });
  });

  test('a single pot of each cannot tell anything', () => {
    const { summary } = rehearse(plan({ replicates: 1 }), { target: 'height', change: 1 }, 20);
    expect(summary.counts.cannot_tell).toBe(20);
    expect(summary.typical).toBeNull();
  });
});
