import type { TickRequest, TickView } from '@bright-sprout/contract/sowing';
import { useMemo } from 'react';
import type { OutboxItem } from '../offline/index.ts';
import { useOutboxItems } from './use-outbox.ts';

/** Ticks of sowing as they stand on this device: those of the server, and what waits here in the order it was made. */
export function useWithWaitingTicks(ticks: readonly TickView[], experimentId: string): readonly TickView[] {
  const items = useOutboxItems();
  return useMemo(
    () => tickRequestsOf(items, experimentId).reduce(withTick, ticks),
    [items, ticks, experimentId],
  );
}

/** Ticks that wait on this device for an experiment. */
export function tickRequestsOf(items: readonly OutboxItem[], experimentId: string): TickRequest[] {
  return items
    .filter(
      (item) => item.experimentId === experimentId && (item.route === 'tick' || item.route === 'tickPot'),
    )
    .map((item) => item.body as TickRequest);
}

function withTick(ticks: readonly TickView[], { unitIds, item, isDone }: TickRequest): readonly TickView[] {
  const others = ticks.filter((tick) => tick.item !== item || !unitIds.includes(tick.unitId));
  return isDone ? [...others, ...unitIds.map((unitId) => ({ unitId, item, by: '' }))] : others;
}
