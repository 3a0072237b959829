import { keys } from '../api/index.ts';
import type { ReadingRequest, ReadingView } from '@bright-sprout/contract/readings';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { Outbox } from './outbox.ts';
import type { OutboxItem } from '../offline/index.ts';

/** The outbox of this page. */
export const outbox = new Outbox();

/** Everything that waits on this device. */
export function useOutboxItems(): readonly OutboxItem[] {
  return useSyncExternalStore(outbox.subscribe, outbox.items);
}

/** True while something is held in memory only, as the device's store is full or forbidden. */
export function useIsUnsafe(): boolean {
  return useSyncExternalStore(outbox.subscribe, outbox.isUnsafe);
}

/** Sends what waits of an owner while this is on the screen, and fetches anew what was stored late. */
export function useOutboxOf(owner: string | undefined): void {
  const queries = useQueryClient();
  useEffect(() => (owner === undefined ? undefined : outbox.openFor(owner)), [owner]);
  useEffect(
    () =>
      outbox.onSent(({ experimentId }) => {
        void queries.invalidateQueries({ queryKey: keys.experiment(experimentId) });
        void queries.invalidateQueries({ queryKey: keys.device });
      }),
    [queries],
  );
}

/** Readings with those that still wait on this device in their places. */
export function useWithWaiting(
  readings: readonly ReadingView[],
  experimentId: string,
): readonly ReadingView[] {
  const items = useOutboxItems();
  return useMemo(() => {
    const waiting = items
      .filter((item) => item.experimentId === experimentId)
      .flatMap((item) => item.reading ?? [])
      .filter(({ id }) => !readings.some((known) => known.id === id));
    return waiting.reduce<readonly ReadingView[]>(withReading, readings);
  }, [items, readings, experimentId]);
}

/** A list of readings with one more, which may correct another. */
export function withReading(known: readonly ReadingView[], reading: ReadingView): ReadingView[] {
  const others = known
    .filter(({ id }) => id !== reading.id)
    .map((other) => (other.id === reading.supersedesId ? { ...other, counts: false } : other));
  return [...others, reading];
}

/** A reading as it will be once it is stored, to be shown until then. */
export function waitingReading(id: string, body: ReadingRequest, observer: string): ReadingView {
  return {
    id,
    unitId: body.unitId,
    variableId: body.variableId,
    observedOn: body.observedOn,
    state: body.state,
    value: body.value ?? null,
    entered: body.entered,
    unitOfMeasure: body.unitOfMeasure,
    precision: body.precision,
    observer,
    recordedAt: new Date().toISOString(),
    supersedesId: body.supersedesId ?? null,
    isReread: body.isReread ?? false,
    counts: true,
    setAside: null,
  };
}
