import { dehydrate, type DehydratedState, hydrate, type QueryClient } from '@tanstack/react-query';
import { deviceStore } from './device-store.ts';

/** First words of the keys of what is kept: enough to go on reading without network. */
const KEPT: readonly unknown[] = [
  'session',
  'experiments',
  'experiment',
  'device',
  'classes',
  'crops',
  'seed-lots',
];
const NOT_KEPT: readonly unknown[] = ['comparison'];
const KEY = 'queries';
const OLDEST_MS = 7 * 86_400_000;
const WRITE_AFTER_MS = 800;
const READ_WITHIN_MS = 1000;

interface KeptQueries {
  readonly version: number;
  readonly keptAt: number;
  readonly state: DehydratedState;
}

/** Version of what is kept; another one is not read. */
const VERSION = 5;

const store = deviceStore();
let timer: ReturnType<typeof setTimeout> | undefined;

/** Brings back what was fetched when this device was last online; it is fetched again as soon as it is used. */
export async function restoreQueries(client: QueryClient): Promise<void> {
  const late = new Promise<undefined>((resolve) => setTimeout(() => resolve(undefined), READ_WITHIN_MS));
  const kept = (await Promise.race([store.kept(KEY).catch(() => undefined), late])) as
    | KeptQueries
    | undefined;
  if (!isReadable(kept, Date.now())) return;
  hydrate(client, kept.state);
  void client.invalidateQueries({ refetchType: 'none' });
}

/** True for what this version of the page wrote down in the last seven days. */
export function isReadable(kept: KeptQueries | undefined, now: number): kept is KeptQueries {
  return kept?.version === VERSION && now - kept.keptAt <= OLDEST_MS;
}

/** Writes down what was fetched, a moment after each change. */
export function keepQueries(client: QueryClient): void {
  client.getQueryCache().subscribe((event) => {
    if (event.type !== 'updated' || event.action.type !== 'success') return;
    clearTimeout(timer);
    timer = setTimeout(() => {
      void store.keep(KEY, keptOf(client, Date.now())).catch(() => undefined);
    }, WRITE_AFTER_MS);
  });
}

/**
 * What is to be kept: everything that was fetched once, also when asking for it again failed since. Else a second
 * outage would find nothing.
 */
export function keptOf(client: QueryClient, keptAt: number): KeptQueries {
  const state = dehydrate(client, {
    shouldDehydrateMutation: () => false,
    shouldDehydrateQuery: ({ queryKey, state: { data } }) =>
      data !== undefined && KEPT.includes(queryKey[0]) && !queryKey.some((word) => NOT_KEPT.includes(word)),
  });
  const queries = state.queries.map((query) => ({
    ...query,
    state: {
      ...query.state,
      status: 'success' as const,
      error: null,
      fetchFailureCount: 0,
      fetchFailureReason: null,
    },
  }));
  return { version: VERSION, keptAt, state: { ...state, queries } };
}

/** Removes the copies when somebody leaves this device, and what was about to be written. */
export async function forgetQueries(): Promise<void> {
  clearTimeout(timer);
  await store.forget(KEY).catch(() => undefined);
}
