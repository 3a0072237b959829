import { keys } from '../shared/api/index.ts';
import type { ChangeEvent } from '@bright-sprout/contract/live';
import type { ReadingView } from '@bright-sprout/contract/readings';
import type { QueryClient } from '@tanstack/react-query';
import { patchQuery } from '../shared/live/index.ts';

/** A comparison is reckoned anew at most this often while a class reads. */
const COMPARE_AGAIN_MS = 3000;

const KEPT_AS = {
  readings: 'readings',
  care: 'care',
  journal: 'journal',
  photos: 'photos',
  sowing: 'ticks',
  lesson: 'lesson',
  poll: 'poll',
  votes: 'poll',
} as const;

/** Brings an experiment on a teacher's page up to date with what was saved elsewhere. */
export function hearOfExperiment(queries: QueryClient, change: ChangeEvent): void {
  const { experimentId, thing, readings } = change;
  const queryKey = keys.ofExperiment(experimentId, KEPT_AS[thing]);
  if (readings) patchQuery<ReadingView[]>(queries, queryKey, (kept) => withReadings(kept, readings));
  else void queries.invalidateQueries({ queryKey });
  if (thing === 'readings') compareSoon(queries, experimentId);
}

/** Readings with newer ones among them; what those correct no longer counts. */
export function withReadings(kept: readonly ReadingView[], newer: readonly ReadingView[]): ReadingView[] {
  const byId = new Map([...kept, ...newer].map((reading) => [reading.id, reading]));
  for (const { supersedesId } of newer) {
    const corrected = supersedesId === null ? undefined : byId.get(supersedesId);
    if (corrected) byId.set(corrected.id, { ...corrected, counts: false });
  }
  return [...byId.values()];
}

const waiting = new Set<string>();

function compareSoon(queries: QueryClient, experimentId: string): void {
  if (waiting.has(experimentId)) return;
  waiting.add(experimentId);
  setTimeout(() => {
    waiting.delete(experimentId);
    void queries.invalidateQueries({ queryKey: keys.ofExperiment(experimentId, 'comparison') });
  }, COMPARE_AGAIN_MS);
}
