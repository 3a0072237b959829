import { dehydrate, type DehydratedState, hydrate, type QueryClient } from '@tanstack/react-query';
import { deviceStore } from './device-store.ts';

/** First words of the keys of what is kept: enough to go on reading without network. */
const KEPT: readonly unknown[] = ['session', 'shelf', 'experiment', 'door', 'classes', 'crops', 'seed-lots'];
const NOT_KEPT: readonly unknown[] = ['comparison'];
const KEY = 'queries';
const OLDEST_MS = 7 * 86_400_000;
const WRITE_AFTER_MS = 800;
const READ_WITHIN_MS = 1000;

interface KeptQueries {
  readonly keptAt: number;
  readonly state: DehydratedState;
}

const store = deviceStore();
let isForgotten = false;

/** Brings back what was fetched when this device was last online; it is fetched again as soon as it is used. */
export async function restoreQueries(client: QueryClient): Promise<void> {
  const late = new Promise<undefined>((resolve) => setTimeout(() => resolve(undefined), READ_WITHIN_MS));
  const kept = (await Promise.race([store.kept(KEY).catch(() => undefined), late])) as
    KeptQueries | undefined;
  if (!kept || Date.now() - kept.keptAt > OLDEST_MS) return;
  hydrate(client, kept.state);
  void client.invalidateQueries({ refetchType: 'none' });
}

/** Writes down what was fetched, a moment after each change. */
export function keepQueries(client: QueryClient): void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  client.getQueryCache().subscribe((event) => {
    if (event.type !== 'updated' || event.action.type !== 'success') return;
    clearTimeout(timer);
    timer = setTimeout(() => {
      if (isForgotten) return;
      const state = dehydrate(client, {
        shouldDehydrateMutation: () => false,
        shouldDehydrateQuery: ({ queryKey, state: { status } }) =>
          status === 'success' &&
          KEPT.includes(queryKey[0]) &&
          !queryKey.some((word) => NOT_KEPT.includes(word)),
      });
      const kept: KeptQueries = { keptAt: Date.now(), state };
      void store.keep(KEY, kept).catch(() => undefined);
    }, WRITE_AFTER_MS);
  });
}

/** Removes the copies when somebody leaves this device. Nothing more is kept until the page is loaded anew. */
export async function forgetQueries(): Promise<void> {
  isForgotten = true;
  await store.forget(KEY).catch(() => undefined);
}
