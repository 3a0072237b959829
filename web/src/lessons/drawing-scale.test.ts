import { describe, expect, test } from '@jest/globals';
import { bareHeight, drawingScale } from './drawing-scale.ts';

const CM = { kind: 'length', scale: { unit: 'cm', step: 0.1 }, isHeight: true } as const;
const INCH = { kind: 'length', scale: { unit: 'in', step: 0.25 }, isHeight: true } as const;

const numbers = (most: number, style: Parameters<typeof drawingScale>[1]): string[] =>
  drawingScale(most, style).marks.flatMap(({ label }) => (label === '' ? [] : label));

describe('a scale beside plants', () => {
  test.each([
    [122, CM, ['0', '5', '10', '15']],
    [3, CM, ['0', '1']],
    [0, CM, ['0', '1']],
    [860, CM, ['0', '20', '40', '60', '80', '100']],
    [140, INCH, ['0', '1', '2', '3', '4', '5', '6']],
    [9, { kind: 'count' }, ['0', '2', '4', '6', '8', '10']],
  ] as const)('reaches over %p and begins at 0', (most, style, marks) => {
    expect(numbers(most, style)).toEqual(marks);
    expect(drawingScale(most, style).top).toBeGreaterThanOrEqual(most);
  });

  test('is the same for every height that fits, so that days compare', () => {
    expect(drawingScale(121, CM)).toEqual(drawingScale(150, CM));
  });

  test('heights beside it are written without the unit that it has', () => {
    expect([bareHeight(122, CM), bareHeight(57.15, INCH), bareHeight(4, { kind: 'count' })]).toEqual([
      '12.2',
      '2¼',
      '4',
    ]);
  });
});
