import type { ReadingFact } from '../growth/index.ts';

/** A unit with the seeds that were sown in it; `null` where nobody said. */
interface SownUnit {
  readonly id: string;
  readonly seedsSown: number | null;
}

/**
 * True where units were sown with different numbers of seeds: their counts of seedlings cannot be compared as they are,
 * as 20 of 25 and 16 of 20 are the same.
 */
export function areSownUnlike(units: readonly SownUnit[]): boolean {
  return new Set(units.map(({ seedsSown }) => seedsSown)).size > 1;
}

/**
 * Counts of seeds that came up as shares of the seeds sown, in %. Each unit counts once, whatever was sown in it: its
 * seeds share a fate, so that many of them tell little more than some. A unit of which nobody knows how many were sown has
 * no share.
 */
export function sharesOfSown<R extends Pick<ReadingFact, 'unitId' | 'value'>>(
  readings: readonly R[],
  units: readonly SownUnit[],
): R[] {
  const sown = new Map(units.map(({ id, seedsSown }) => [id, seedsSown]));
  return readings.map((reading) => {
    if (reading.value === null) return reading;
    const of = sown.get(reading.unitId) ?? null;
    return { ...reading, value: of === null || of === 0 ? null : (100 * reading.value) / of };
  });
}
