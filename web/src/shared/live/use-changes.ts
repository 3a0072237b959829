import type { ChangeEvent } from '@bright-sprout/contract/live';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { listenTo } from './stream.ts';

/**
 * Fetches anew what others saved, as the server tells of it; everything of `all` at each opening, as nobody tells what
 * was saved while the stream was down.
 * @param address of the stream; nothing is heard while it is undefined
 * @param keysOf keys of the queries that a change makes stale
 * @param all first word of the keys of all that the stream tells of
 */
export function useChanges(
  address: string | undefined,
  keysOf: (change: ChangeEvent) => readonly (readonly unknown[])[],
  all: string,
): void {
  const queries = useQueryClient();
  useEffect(() => {
    if (address === undefined || typeof EventSource === 'undefined') return;
    let isFirst = true;
    return listenTo(address, {
      onOpen: () => {
        if (!isFirst) void queries.invalidateQueries({ queryKey: [all] });
        isFirst = false;
      },
      onChange: (change) => {
        for (const queryKey of keysOf(change)) void queries.invalidateQueries({ queryKey });
      },
      onStale: setStale,
    });
  }, [address, keysOf, all, queries]);
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
