import type { ReadPot } from '@bright-sprout/contract/live';
import type { StudentPotView } from '@bright-sprout/contract/student';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { QueryClient } from '@tanstack/react-query';
import { hearOfClass } from './hear-changes.ts';

const TODAY = '2026-05-04';
const KEY = ['device', 'pots', 'ada'];

const pot = (unitId: string, own: unknown = null) =>
  ({ unitId, variable: { id: 'height' }, isReadToday: false, own, others: [] }) as unknown as StudentPotView;
const read = (changes: Partial<ReadPot> = {}): ReadPot => ({
  unitId: 'a',
  variableId: 'height',
  observedOn: TODAY,
  state: 'emerged',
  isCorrection: false,
  ...changes,
});

let queries: QueryClient;
const kept = () => queries.getQueryData<StudentPotView[]>(KEY);
const isStale = () => queries.getQueryState(KEY)?.isInvalidated;
const hear = (...reads: ReadPot[]): void =>
  hearOfClass(queries, { experimentId: 'e', thing: 'readings', read: reads });

beforeEach(() => {
  queries = new QueryClient();
  queries.setQueryData(['device', 'class'], { today: TODAY });
  queries.setQueryData(KEY, [pot('a'), pot('b', { id: 'own' })]);
});

describe('news on a tablet', () => {
  test('marks the pot that somebody read, and asks for nothing', () => {
    hear(read());
    expect(kept()?.map(({ isReadToday }) => isReadToday)).toEqual([true, false]);
    expect(isStale()).toBe(false);
  });

  test.each([
    ['another day', { observedOn: '2026-05-03' }],
    ['something else that is read', { variableId: 'leaves' }],
    ['a pot of another team', { unitId: 'z' }],
    ['nobody could read it', { state: 'not_read' as const }],
  ])('of %s changes nothing, and asks for nothing', (_, changes) => {
    const before = kept();
    hear(read(changes));
    expect(kept()).toEqual(before);
    expect(isStale()).toBe(false);
  });

  test('of a correction of the own reading asks anew', () => {
    hear(read({ unitId: 'b', isCorrection: true }));
    expect(isStale()).toBe(true);
  });

  test('without the readings themselves asks anew, of a journal never', () => {
    hearOfClass(queries, { experimentId: 'e', thing: 'journal' });
    expect(isStale()).toBe(false);
    hearOfClass(queries, { experimentId: 'e', thing: 'readings' });
    expect(isStale()).toBe(true);
  });

  test('asks anew while an answer is on its way that may be older', () => {
    void queries.query({ queryKey: KEY, queryFn: () => new Promise<StudentPotView[]>(() => undefined) });
    hear(read());
    expect(isStale()).toBe(true);
  });
});
