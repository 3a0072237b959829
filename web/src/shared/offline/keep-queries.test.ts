import { describe, expect, test } from '@jest/globals';
import { hydrate, QueryClient } from '@tanstack/react-query';
import { isReadable, keptOf } from './keep-queries.ts';

const DAY_MS = 86_400_000;

function filled(): QueryClient {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(['device', 'class'], { className: '5b' });
  client.setQueryData(['experiment', 'e', 'comparison'], { big: true });
  client.setQueryData(['elsewhere'], {});
  return client;
}

describe('what is kept on a device', () => {
  test('is what was fetched of the door and of experiments, and no comparison', () => {
    const { state } = keptOf(filled(), 0);
    expect(state.queries.map(({ queryKey }) => queryKey)).toEqual([['device', 'class']]);
  });

  test('holds through a second outage: what could not be fetched again is kept as it was', async () => {
    const client = filled();
    const fail = (): Promise<never> => Promise.reject(new Error('no network'));
    await client.query({ queryKey: ['device', 'class'], queryFn: fail, staleTime: 0 }).catch(() => undefined);
    expect(client.getQueryState(['device', 'class'])?.status).toBe('error');
    const next = new QueryClient();
    hydrate(next, keptOf(client, 0).state);
    expect(next.getQueryData(['device', 'class'])).toEqual({ className: '5b' });
    expect(next.getQueryState(['device', 'class'])?.status).toBe('success');
  });

  test('is read for seven days and not longer, and never in an older form', () => {
    const kept = keptOf(filled(), 0);
    expect([isReadable(kept, 7 * DAY_MS), isReadable(kept, 7 * DAY_MS + 1)]).toEqual([true, false]);
    expect([isReadable({ ...kept, version: 1 }, 0), isReadable(undefined, 0)]).toEqual([false, false]);
  });
});
