import type { MovedPlan } from '@bright-sprout/contract/classes';
import { calendarDay } from '@bright-sprout/core/shared';
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { MovedPlans } from './moved-plans.tsx';

afterEach(cleanup);

const day = (of: number) => calendarDay(`2026-12-${String(of).padStart(2, '0')}`);

function linesFor(plan: Partial<MovedPlan>): string[] {
  const plans = [{ experimentId: 'e', question: 'Why?', moved: [], offClassDay: [], ...plan }];
  render(
    <MemoryRouter>
      <MovedPlans plans={plans} />
    </MemoryRouter>,
  );
  return screen.queryAllByRole('listitem').map(({ textContent }) => textContent);
}

test('each task has a line for what moved, what went and what came, and long lists are counted', () => {
  const lines = linesFor({
    offClassDay: ['lesson'],
    moved: [
      { task: 'water', from: day(7), to: day(8) },
      { task: 'water', from: null, to: day(11) },
      ...[1, 3, 7, 9, 14, 16].map((one) => ({ task: 'read' as const, from: day(one), to: null })),
    ],
  });
  expect(lines).toEqual([
    'The lesson falls on a day without class. Choose another in the plan.',
    'Check the water: Mon 7 Dec is now Tue 8 Dec',
    'Check the water: also on Fri 11 Dec',
    'Read every pot: no longer on Tue 1 Dec, Thu 3 Dec, Mon 7 Dec, Wed 9 Dec and 2 more days',
  ]);
  expect(screen.getByRole('link', { name: '“Why?” has other days now.' })).toBeTruthy();
});

test('a plan that follows without a change says so', () => {
  expect(linesFor({})).toEqual([]);
  expect(screen.getByRole('link', { name: /None of its days/ })).toBeTruthy();
});
