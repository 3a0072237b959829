import type { ChangeEvent } from '@bright-sprout/contract/live';
import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { listenTo } from './stream.ts';

/**
 * Hears what others saved, as the server tells of it; everything of `all` is fetched anew at each opening, as nobody
 * tells what was saved while the stream was down.
 * @param address of the stream; nothing is heard while it is undefined
 * @param hear brings what the page keeps up to date
 * @param all key of all that the stream tells of
 */
export function useChanges(
  address: string | undefined,
  hear: (queries: QueryClient, change: ChangeEvent) => void,
  all: readonly string[],
): void {
  const queries = useQueryClient();
  useEffect(() => {
    if (address === undefined || typeof EventSource === 'undefined') return;
    let isFirst = true;
    return listenTo(address, {
      onOpen: () => {
        if (!isFirst) void queries.invalidateQueries({ queryKey: all });
        isFirst = false;
      },
      onChange: (change) => hear(queries, change),
      onStale: setStale,
    });
  }, [address, hear, all, queries]);
}

/**
 * Changes what is kept under a key, so that nobody has to ask for it; asks anew where an answer is on its way that may
 * be older than the change.
 */
export function patchQuery<T>(
  queries: QueryClient,
  queryKey: readonly unknown[],
  change: (kept: T) => T,
): void {
  if (queries.isFetching({ queryKey }) > 0) void queries.invalidateQueries({ queryKey });
  else queries.setQueriesData<T>({ queryKey }, (kept) => (kept === undefined ? kept : change(kept)));
}

let isStaleNow = false;
const listeners = new Set<() => void>();

function setStale(isStale: boolean): void {
  if (isStale === isStaleNow) return;
  isStaleNow = isStale;
  for (const listener of listeners) listener();
}

/** True while this page has heard nothing of others for long. */
export function useIsStale(): boolean {
  const [subscribe] = useState(() => (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  });
  return useSyncExternalStore(subscribe, () => isStaleNow);
}
