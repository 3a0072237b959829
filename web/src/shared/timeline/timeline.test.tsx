import { say as sayPlanStatements } from '@bright-sprout/words/plan-statements';
import type { ExperimentView, VariableView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { startPlan, STARTING_CROPS } from '@bright-sprout/core/design';
import { calendarDay } from '@bright-sprout/core/shared';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { beforeAll, describe, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import { cropsQuery, seedLotsQuery } from '../api/index.ts';
import { ExperimentProvider, type OpenExperiment } from '../experiment/index.ts';
import { Timeline } from './timeline.tsx';

beforeAll(() => {
  Element.prototype.scrollIntoView = () => undefined;
});

const fromFile = {
  sowOn: '2026-11-02',
  lessonOn: '2026-11-30',
  today: '2026-11-23',
  crop: { daysToEmergence: { min: 4, max: 8 } },
  treatments: [{ id: 't', name: 'Shade', style: 1 }],
  units: [{ id: 'u', number: 1, treatmentId: 't', sownOn: '2026-11-02', sowOn: null }],
  plan: null,
  tasks: [],
} as unknown as ExperimentView;

const readings = [{ unitId: 'u', observedOn: '2026-11-20' }] as ReadingView[];

/** A client that knows its crops and packets already. */
function clientWith(): QueryClient {
  const client = new QueryClient();
  client.setQueryData(
    cropsQuery.queryKey,
    STARTING_CROPS.map((crop) => ({ ...crop, isOwn: false, measuredSpread: null })),
  );
  client.setQueryData(seedLotsQuery.queryKey, []);
  return client;
}

function open(day: string, experiment = fromFile) {
  const setDay = jest.fn();
  const client = clientWith();
  const value: OpenExperiment = {
    experiment,
    readings,
    variable: {} as VariableView,
    findings: new Map(),
    day,
    setDay,
  };
  render(
    <QueryClientProvider client={client}>
      <ExperimentProvider value={value}>
        <Timeline />
      </ExperimentProvider>
    </QueryClientProvider>,
  );
  return setDay;
}

describe('the day ribbon', () => {
  test('of an age ladder marks each sowing, and says how old the plants are', () => {
    const later = { id: 'v', number: 2, treatmentId: 't', sownOn: null, sowOn: '2026-11-16' };
    open('2026-11-23', { ...fromFile, units: [...fromFile.units, later] } as ExperimentView);
    expect(
      screen.getByRole('radio', { name: /16 November 2026, plants 0 to 14 days old, sowing/ }),
    ).toBeTruthy();
    expect(screen.getByRole('radio', { name: /3 November 2026, day 1$/ })).toBeTruthy();
    expect(screen.getAllByRole('radio', { name: /sowing/ })).toHaveLength(2);
  });

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

  test('of a plan shows its holidays as off, its tasks as flags and its warm room as an earlier band', () => {
    const crop = STARTING_CROPS.find(({ id }) => id === 'oat')!;
    const [sowOn, lessonOn] = [calendarDay('2026-11-02'), calendarDay('2026-11-30')];
    const plan = startPlan({ kind: 'one_factor', question: '?', crop, otherCrops: [], sowOn, lessonOn });
    const holidays = [{ name: 'Trip', from: calendarDay('2026-11-12'), to: calendarDay('2026-11-13') }];
    const withPlan = { ...fromFile, plan: { ...plan, calendar: { ...plan.calendar, holidays } } };
    open('2026-11-23', withPlan as unknown as ExperimentView);
    const notch = (name: RegExp) => screen.getByRole('radio', { name });
    expect(notch(/^Thursday 12 November/).className).toContain('is-off');
    expect(notch(/First check: any seedlings\?/)).toBeTruthy();
    expect(notch(/Thin to the strongest/).title).toBe(sayPlanStatements('thinToTheStrongest'));
  });

  test('a day outside of it falls back to the first', () => {
    open('2030-01-01');
    expect(screen.getByRole('radio', { checked: true }).getAttribute('data-day')).toBe('2026-11-02');
  });
});
