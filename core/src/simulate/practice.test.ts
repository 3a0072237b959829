import { describe, expect, test } from '@jest/globals';
import { randomGenerator, nearestMark, toMillimetres } from '../shared/index.ts';
import { PRACTICE_KINDS, practiceKinds, practiceTask, roomAt, type Sensor } from './index.ts';

describe('practice rulers', () => {
  test.each(PRACTICE_KINDS)('%s: the stem is as long as the answer, which lies on a mark', (kind) => {
    for (let seed = 1; seed <= 60; seed += 1) {
      const task = practiceTask(kind, randomGenerator(seed));
      const length = task.stem.slice(1).reduce((sum, point, index) => {
        const before = task.stem[index]!;
        return sum + Math.hypot(point.x - before.x, point.y - before.y);
      }, 0);
      expect(length).toBeCloseTo(task.trueMm, 6);
      expect(toMillimetres(nearestMark(task.trueMm, task.scale), task.scale.unit)).toBe(task.trueMm);
      expect(task.trueMm > task.rulerMm).toBe(kind === 'taller');
      expect(task.zeroAtMm > 0).toBe(kind === 'late_zero');
    }
  });

  test.each([
    ['cm', 1],
    ['mm', 1],
    ['in', 0.125],
  ] as const)('are drawn on the class’s own ruler: %s in steps of %d', (unit, step) => {
    for (const kind of practiceKinds(false, { unit })) {
      const task = practiceTask(kind, randomGenerator(9), { unit, step });
      expect(task.scale.unit).toBe(kind === 'inches' ? 'in' : unit);
      expect(toMillimetres(nearestMark(task.trueMm, task.scale), task.scale.unit)).toBe(task.trueMm);
    }
  });

  test('the youngest read straight stems in one unit; a class of inches needs no other inches', () => {
    expect(practiceKinds(true, { unit: 'cm' })).toEqual(['plain', 'late_zero', 'taller']);
    expect(practiceKinds(false, { unit: 'in' })).not.toContain('inches');
    expect(practiceKinds(false, { unit: 'cm' })).toEqual([...PRACTICE_KINDS]);
  });

  test('a bent stem ends lower than it is long, and the same seed draws the same', () => {
    const task = practiceTask('bent', randomGenerator(5));
    expect(task.stem.at(-1)!.y).toBeLessThan(task.trueMm - 2);
    expect(practiceTask('bent', randomGenerator(5))).toEqual(task);
  });
});

describe('the simulated room', () => {
  test('is dark at night, warm in the afternoon, and dries until it is watered', () => {
    const at = (hours: number, sensor: Sensor): number =>
      roomAt(hours, randomGenerator(7)).find((sample) => sample.sensor === sensor)!.value;
    expect(at(2, 'light')).toBe(0);
    expect(at(12, 'light')).toBeGreaterThan(3);
    expect(at(15, 'temperature')).toBeGreaterThan(at(3, 'temperature') + 4);
    expect(at(60, 'soil moisture')).toBeLessThan(at(1, 'soil moisture') - 20);
    expect(at(73, 'soil moisture')).toBeGreaterThan(70);
  });
});
