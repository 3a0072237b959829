import { say as saySowing } from '@bright-sprout/words/sowing';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import type { TickView } from '@bright-sprout/contract/sowing';
import { startPlan, STARTING_CROPS } from '@bright-sprout/core/design';
import { addDays, calendarDay, SOWING_ITEMS } from '@bright-sprout/core/shared';
import { afterEach, describe, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { type Answer, answering } from '../app/testing/answering.ts';
import { experimentOf, VARIABLE } from '../comparison/testing/compared.ts';
import { cropsQuery, experimentQuery, seedLotsQuery, ticksQuery } from '../shared/api/index.ts';
import { ExperimentProvider } from '../shared/experiment/index.ts';
import { MakerProvider, outbox } from '../shared/outbox/index.ts';
import SowStage from './sow-stage.tsx';

afterEach(async () => {
  cleanup();
  for (const item of outbox.items()) await outbox.discard(item.id);
});

function unsown(changes: Partial<ExperimentView> = {}): ExperimentView {
  const experiment = experimentOf({ status: 'draft' });
  return { ...experiment, units: experiment.units.map((unit) => ({ ...unit, sownOn: null })), ...changes };
}

function open(experiment: ExperimentView, answers: Record<string, Answer>, ticks: readonly TickView[] = []) {
  const asked = answering(answers);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(ticksQuery('e').queryKey, [...ticks]);
  client.setQueryData(cropsQuery.queryKey, []);
  client.setQueryData(seedLotsQuery.queryKey, []);
  render(
    <QueryClientProvider client={client}>
      <MakerProvider value={{ owner: 'teacher t', studentId: null, displayName: 'Mx Trial' }}>
        <MemoryRouter>
          <ExperimentProvider
            value={{
              experiment,
              readings: [],
              variable: VARIABLE,
              findings: new Map(),
              day: experiment.today,
              setDay: () => undefined,
            }}
          >
            <SowStage />
          </ExperimentProvider>
        </MemoryRouter>
      </MakerProvider>
    </QueryClientProvider>,
  );
  return { asked: () => asked.filter(({ method }) => method !== 'GET'), client };
}

const ticked = (unitId: string): TickView[] =>
  SOWING_ITEMS.map((item) => ({ unitId, item, by: 'Mx Trial', tickedAt: '2026-05-04T08:00:00.000Z' }));
const pot = (number: number) => screen.getByRole('button', { name: new RegExp(`^Pot ${number}, `) });

describe('sowing day', () => {
  test('ticks an item for every pot that lacks it, and no other', async () => {
    const first = ticked('u1').filter(({ item }) => item === SOWING_ITEMS[0]);
    const { asked } = open(unsown(), { 'PUT ': [] }, first);
    fireEvent.click(screen.getByRole('button', { name: /: 1 of 18$/ }));
    await waitFor(() => expect(asked()).toHaveLength(1));
    const { item, isDone, unitIds } = asked()[0]!.body as {
      item: string;
      isDone: boolean;
      unitIds: string[];
    };
    expect([item, isDone, unitIds.length, unitIds.includes('u1')]).toEqual([
      SOWING_ITEMS[0],
      true,
      17,
      false,
    ]);
  });

  test('a tick without network is shown at once and waits on this device', async () => {
    const { asked } = open(unsown(), { '': 'lost' });
    fireEvent.click(pot(1));
    fireEvent.click(screen.getByRole('button', { name: 'Seeds in', pressed: false }));
    await screen.findByRole('button', { name: 'Seeds in', pressed: true });
    await waitFor(() => expect(outbox.items()).toHaveLength(1));
    expect(asked().length).toBeGreaterThan(0);
  });

  test('marks only the pots that are ready while others wait', async () => {
    const { asked } = open(unsown(), { 'PUT ': unsown() }, [...ticked('u1'), ...ticked('u2')]);
    expect(pot(1).getAttribute('aria-label')).toContain('ready');
    fireEvent.click(screen.getByRole('button', { name: 'Mark the 2 ready pots as sown today' }));
    await waitFor(() => expect(asked()).toHaveLength(1));
    expect(asked()[0]?.body).toEqual({ sownOn: experimentOf().today, unitIds: ['u1', 'u2'] });
  });

  test('says at the date why it was refused, and keeps the date that was typed', async () => {
    const fields = [{ field: 'sownOn', message: 'There are readings before it.' }];
    open(unsown(), { 'PUT ': { refused: 400, code: 'invalid_fields', fields } });
    fireEvent.change(screen.getByLabelText(/were sown on/), { target: { value: '2026-05-20' } });
    fireEvent.submit(screen.getByLabelText(/were sown on/).closest('form')!);
    expect(await screen.findByText('There are readings before it.')).toBeTruthy();
    expect(screen.getByLabelText(/were sown on/)).toHaveProperty('value', '2026-05-20');
  });

  test('of several sowing days each has a form of its own, which names its pots', async () => {
    const experiment = unsown();
    const units = experiment.units.map((unit, at) => ({
      ...unit,
      sowOn: at < 6 ? '2026-05-01' : '2026-05-08',
    }));
    const { asked, client } = open({ ...experiment, units }, { 'PUT ': unsown() });
    const [first] = screen.getAllByRole('button', { name: saySowing('markThesePotsAsSown') });
    fireEvent.submit(first!.closest('form')!);
    await waitFor(() => expect(asked()).toHaveLength(1));
    expect((asked()[0]!.body as { unitIds: string[] }).unitIds).toEqual(['u1', 'u2', 'u3', 'u4', 'u5', 'u6']);
    await waitFor(() => expect(client.getQueryData(experimentQuery('e').queryKey)).toBeDefined());
  });

  test('asks once before pots are marked as sown while their mix still waits', async () => {
    const experiment = unsown();
    const { today } = experiment;
    const plan = startPlan({
      ...{ kind: 'one_factor', question: 'Why?', crop: STARTING_CROPS[0]!, otherCrops: [] },
      ...{ sowOn: addDays(calendarDay(today), 3), lessonOn: addDays(calendarDay(today), 40) },
    });
    const conditions = { ...plan.conditions, reactionDays: 10 };
    const { asked } = open({ ...experiment, plan: { ...plan, conditions } } as ExperimentView, {
      'PUT ': unsown(),
    });
    fireEvent.submit(screen.getByLabelText(/were sown on/).closest('form')!);
    const note = await screen.findByRole('alert');
    expect(asked()).toEqual([]);
    expect(note.textContent).toContain('react');
    fireEvent.submit(screen.getByLabelText(/were sown on/).closest('form')!);
    await waitFor(() => expect(asked()).toHaveLength(1));
  });
});
