import type { CalendarDay, ReadingState } from '../shared/index.ts';

/** Something that changed or told how many plants stand in a unit. */
export type PlantsEvent =
  | { readonly kind: 'counted'; readonly day: CalendarDay; readonly plants: number }
  | { readonly kind: 'thinned'; readonly day: CalendarDay; readonly plants: number }
  | {
      readonly kind: 'ended';
      readonly day: CalendarDay;
      readonly state: Extract<ReadingState, 'dead' | 'removed'>;
    };

/** How many plants stood in a unit after what happened on a day; `null` where nobody had counted. */
export interface PlantsLeft {
  readonly day: CalendarDay;
  readonly left: number | null;
  readonly thinned: number;
  readonly ended: 'dead' | 'removed' | null;
}

const ORDER: readonly PlantsEvent['kind'][] = ['counted', 'thinned', 'ended'];

/**
 * Plants of a unit over time, a line for each day on which they were counted, thinned or lost. A count stands as it was
 * read; thinning takes away from it, never below none; a dead or removed unit has none. On one day counting comes first.
 */
export function plantsLeft(events: readonly PlantsEvent[]): PlantsLeft[] {
  const lines = new Map<CalendarDay, PlantsLeft>();
  let left: number | null = null;
  const inOrder = [...events].sort((a, b) =>
    a.day < b.day ? -1 : a.day > b.day ? 1 : ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind),
  );
  for (const event of inOrder) {
    const { day } = event;
    const line = lines.get(day) ?? { day, left, thinned: 0, ended: null };
    if (event.kind === 'counted') left = event.plants;
    else if (event.kind === 'ended') left = 0;
    else if (left !== null) left = Math.max(0, left - event.plants);
    lines.set(day, {
      day,
      left,
      thinned: line.thinned + (event.kind === 'thinned' ? event.plants : 0),
      ended: event.kind === 'ended' ? event.state : line.ended,
    });
  }
  return [...lines.values()];
}
