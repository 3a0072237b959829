import { describe, expect, test } from '@jest/globals';
import { rulerLength, rulerMarks } from './ruler-marks.ts';

const HEIGHT = 428;
const SCALES = [
  { unit: 'cm', step: 1 },
  { unit: 'cm', step: 0.5 },
  { unit: 'cm', step: 0.1 },
  { unit: 'mm', step: 1 },
  { unit: 'in', step: 0.25 },
] as const;

describe('the drawn ruler', () => {
  test.each(SCALES)('%p: zero and the end are marked, marks never crowd, labels never touch', (scale) => {
    for (let amount = 0; amount < 4000; amount = amount * 2 + 1) {
      const length = rulerLength(scale, amount);
      const perUnit = HEIGHT / length;
      const marks = rulerMarks(scale, length, perUnit);
      expect(marks[0]).toMatchObject({ amount: 0, label: '0' });
      expect(marks.at(-1)?.amount).toBeCloseTo(length, 6);
      for (let index = 1; index < marks.length; index += 1) {
        expect((marks[index]!.amount - marks[index - 1]!.amount) * perUnit).toBeGreaterThan(4);
      }
      const labels = marks.filter((mark) => mark.label !== undefined);
      expect(labels.length).toBeGreaterThan(2);
      for (let index = 1; index < labels.length; index += 1) {
        expect((labels[index]!.amount - labels[index - 1]!.amount) * perUnit).toBeGreaterThanOrEqual(18.9);
      }
    }
  });

  test('leaves room above the plant', () => {
    expect(rulerLength(SCALES[1], 0)).toBe(10);
    expect(rulerLength(SCALES[1], 8.4)).toBe(15);
    expect(rulerLength(SCALES[4], 5.5)).toBe(8);
    expect(rulerLength(SCALES[1], 1e9)).toBe(3000);
  });

  test('millimetres are numbered in tens', () => {
    const labels = rulerMarks(SCALES[3], 100, HEIGHT / 100).flatMap((mark) => mark.label ?? []);
    expect(labels).toEqual(['0', '10', '20', '30', '40', '50', '60', '70', '80', '90', '100']);
  });
});
