import type { ReadingView } from '@bright-sprout/contract/readings';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { QueryClient } from '@tanstack/react-query';
import { hearOfExperiment } from './hear-changes.ts';

const reading = (id: string, changes: Partial<ReadingView> = {}): ReadingView =>
  ({ id, unitId: 'a', value: 10, counts: true, supersedesId: null, ...changes }) as ReadingView;
const READINGS = ['experiment', 'e', 'readings'];
const COMPARISON = ['experiment', 'e', 'comparison', 'x'];

let queries: QueryClient;
beforeEach(() => {
  jest.useFakeTimers();
  queries = new QueryClient();
  queries.setQueryData(READINGS, [reading('one')]);
  queries.setQueryData(COMPARISON, { day: 'x' });
});
afterEach(() => {
  jest.runOnlyPendingTimers();
  jest.useRealTimers();
});

const hear = (...readings: ReadingView[]): void =>
  hearOfExperiment(queries, { experimentId: 'e', thing: 'readings', readings });
const kept = () => queries.getQueryData<ReadingView[]>(READINGS)?.map(({ id, counts }) => [id, counts]);

describe('news on a teacher’s page', () => {
  test('brings readings with it; a correction takes the place of what it corrects; told twice is there once', () => {
    hear(reading('two'));
    hear(reading('three', { supersedesId: 'one' }), reading('two'));
    expect(kept()).toEqual([
      ['one', false],
      ['two', true],
      ['three', true],
    ]);
    expect(queries.getQueryState(READINGS)?.isInvalidated).toBe(false);
  });

  test('without them fetches all anew', () => {
    hearOfExperiment(queries, { experimentId: 'e', thing: 'readings' });
    expect(queries.getQueryState(READINGS)?.isInvalidated).toBe(true);
  });

  test('lets a comparison be reckoned anew a little later, once for many', () => {
    for (const id of ['two', 'three', 'four']) hear(reading(id));
    expect(queries.getQueryState(COMPARISON)?.isInvalidated).toBe(false);
    jest.advanceTimersByTime(3000);
    expect(queries.getQueryState(COMPARISON)?.isInvalidated).toBe(true);
  });
});
