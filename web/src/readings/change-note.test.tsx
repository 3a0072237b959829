import type { VariableView } from '@bright-sprout/contract/plans';
import { calendarDay } from '@bright-sprout/core/shared';
import { describe, expect, test } from '@jest/globals';
import { render } from '@testing-library/react';
import { ChangeNote } from './change-note.tsx';

const QUARTERS: VariableView = { id: 'v', name: 'height', kind: 'length', unit: 'in', step: 0.25 };
const history = [
  { unitId: 'u', day: calendarDay('2026-05-05'), state: 'emerged' as const, value: 50.8, readings: 1 },
];

function said(valueMm: number, day = '2026-05-08', known = history): string {
  return render(<ChangeNote history={known} day={day} valueMm={valueMm} variable={QUARTERS} />).container
    .textContent;
}

describe('the change since the last reading', () => {
  test('in the unit of the plan, with the rate when days lie between', () => {
    expect(said(69.85)).toBe('¾ in more than on Tuesday, 3 days: 0.25 in a day.');
    expect(said(57.15, '2026-05-06')).toBe('¼ in more than on Tuesday.');
  });

  test('no change, and a plant that shrank', () => {
    expect(said(50.8)).toBe('The same as on Tuesday.');
    expect(said(44.45)).toBe('¼ in shorter than on Tuesday.');
  });

  test('the first reading has none', () => {
    expect(said(50, '2026-05-08', [])).toBe('First reading, so there is no change yet.');
  });

  test('a reading from longer ago is dated', () => {
    expect(said(69.85, '2026-05-20')).toContain('than on 5 May, 15 days');
  });
});
