import type { ExperimentView, VariableView } from '@bright-sprout/contract/plan';
import type { ReadingView } from '@bright-sprout/contract/record';
import { beforeAll, describe, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import { ExperimentProvider, type OpenExperiment } from '../experiment/index.ts';
import { Ribbon } from './ribbon.tsx';

beforeAll(() => {
  Element.prototype.scrollIntoView = () => undefined;
});

const experiment = {
  sowOn: '2026-11-02',
  lessonOn: '2026-11-30',
  today: '2026-11-23',
  crop: { daysToEmergence: { min: 4, max: 8 } },
  treatments: [{ id: 't', name: 'Shade', style: 1 }],
  units: [{ id: 'u', number: 1, treatmentId: 't' }],
} as unknown as ExperimentView;

const readings = [{ unitId: 'u', observedOn: '2026-11-20' }] as ReadingView[];

function open(day: string) {
  const setDay = jest.fn();
  const value: OpenExperiment = {
    experiment,
    readings,
    variable: {} as VariableView,
    findings: new Map(),
    day,
    setDay,
  };
  render(
    <ExperimentProvider value={value}>
      <Ribbon />
    </ExperimentProvider>,
  );
  return setDay;
}

describe('the day ribbon', () => {
  test('has a notch for each day from sowing to the lesson, said in words', () => {
    open('2026-11-23');
    expect(screen.getAllByRole('radio')).toHaveLength(29);
    expect(screen.getByRole('radio', { name: 'Monday 2 November 2026, day 0, sowing' })).toBeTruthy();
    expect(screen.getByRole('radio', { name: /day 18, has readings/ })).toBeTruthy();
    expect(screen.getByRole('radio', { checked: true }).getAttribute('aria-label')).toContain(
      'day 21, today',
    );
    expect(screen.getByRole('radio', { name: /lesson/ }).textContent).toBe('30');
  });

  test('is one stop for Tab, and arrows choose', () => {
    const setDay = open('2026-11-23');
    expect(screen.getAllByRole('radio').filter((notch) => notch.tabIndex === 0)).toHaveLength(1);
    const group = screen.getByRole('radiogroup');
    for (const [key, day] of [
      ['ArrowLeft', '2026-11-22'],
      ['PageUp', '2026-11-16'],
      ['Home', '2026-11-02'],
      ['End', '2026-11-30'],
    ] as const) {
      fireEvent.keyDown(group, { key });
      expect(setDay).toHaveBeenLastCalledWith(day);
    }
  });

  test('a day outside of it falls back to the first', () => {
    open('2030-01-01');
    expect(screen.getByRole('radio', { checked: true }).getAttribute('data-day')).toBe('2026-11-02');
  });
});
