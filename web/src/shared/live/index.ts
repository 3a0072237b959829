import type { ChangeEvent } from '@bright-sprout/contract/live';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';

/**
 * Fetches anew what others saved, as the server tells of it. The browser opens a broken stream again by itself.
 * @param address of the stream; nothing is heard while it is undefined
 * @param keysOf keys of the queries that a change makes stale
 */
export function useChanges(
  address: string | undefined,
  keysOf: (change: ChangeEvent) => readonly (readonly unknown[])[],
): void {
  const queries = useQueryClient();
  useEffect(() => {
    if (address === undefined || typeof EventSource === 'undefined') return;
    const source = new EventSource(address);
    source.addEventListener('change', (event: MessageEvent<string>) => {
      const change = JSON.parse(event.data) as ChangeEvent;
      for (const queryKey of keysOf(change)) void queries.invalidateQueries({ queryKey });
    });
    return () => source.close();
  }, [address, keysOf, queries]);
}
