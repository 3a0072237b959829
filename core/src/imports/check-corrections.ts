import { say } from '@bright-sprout/words/imports';
import type { RowProblem } from './cells.ts';
import type { ExchangedReading } from './model.ts';

/** Reading ids must be different, and a correction must be of a reading of the same unit, variable and day. */
export function checkCorrections(
  entries: readonly { readonly row: number; readonly reading: ExchangedReading }[],
): RowProblem[] {
  const problems: RowProblem[] = [];
  const byId = new Map<string, ExchangedReading>();
  for (const { row, reading } of entries) {
    if (reading.id === '') continue;
    if (byId.has(reading.id)) {
      problems.push({ row, column: 'reading', found: reading.id, expected: say('anIdThatNoOtherRowHas') });
    }
    byId.set(reading.id, reading);
  }
  const inCircle = circular(entries, byId);
  for (const { row, reading } of entries) {
    if (reading.supersedes === '') continue;
    const earlier = byId.get(reading.supersedes);
    const matches =
      earlier !== undefined &&
      earlier !== reading &&
      earlier.unit === reading.unit &&
      earlier.variable === reading.variable &&
      earlier.observedOn === reading.observedOn &&
      !inCircle.has(reading);
    if (!matches) {
      const expected = say('theIdOfAnotherReadingOfThe');
      problems.push({ row, column: 'supersedes', found: reading.supersedes, expected });
    }
  }
  return problems;
}

/**
 * Readings of which each is corrected once at most: of several corrections of one, as older files may hold, each later
 * one becomes a correction of what stood last before it.
 */
export function chainedCorrections(readings: readonly ExchangedReading[]): readonly ExchangedReading[] {
  const links = readings.flatMap(({ supersedes }) => (supersedes === '' ? [] : [supersedes]));
  if (new Set(links).size === links.length) return readings;
  const found = readings.map((reading, index) =>
    reading.supersedes !== '' && reading.id === '' ? { ...reading, id: `row ${index}` } : reading,
  );
  const order = found
    .map((reading, index) => ({ reading, index }))
    .filter(({ reading }) => reading.supersedes !== '')
    .sort((a, b) =>
      a.reading.recordedAt === b.reading.recordedAt
        ? a.index - b.index
        : a.reading.recordedAt < b.reading.recordedAt
          ? -1
          : 1,
    );
  const next = new Map<string, string>();
  const corrected = new Set<string>();
  for (const { reading, index } of order) {
    const last = lastOf(next, reading.supersedes);
    if (corrected.has(reading.supersedes)) found[index] = { ...reading, supersedes: last };
    corrected.add(reading.supersedes);
    next.set(last, reading.id);
  }
  return found;
}

/** The end of a row of corrections that begins with a reading; the way there is shortened for the next time. */
function lastOf(next: Map<string, string>, id: string): string {
  let last = id;
  for (let after = next.get(last); after !== undefined; after = next.get(last)) last = after;
  for (let at = id; at !== last;) {
    const after = next.get(at) ?? last;
    next.set(at, last);
    at = after;
  }
  return last;
}

/** Ids of readings whose corrections lead back to them: none of those would stand. Each reading is looked at once. */
function circular(
  entries: readonly { readonly reading: ExchangedReading }[],
  byId: ReadonlyMap<string, ExchangedReading>,
): ReadonlySet<ExchangedReading> {
  const state = new Map<ExchangedReading, 'on the way' | 'done'>();
  const found = new Set<ExchangedReading>();
  for (const { reading } of entries) {
    const path: ExchangedReading[] = [];
    let next: ExchangedReading | undefined = reading;
    while (next && !state.has(next)) {
      state.set(next, 'on the way');
      path.push(next);
      next = byId.get(next.supersedes);
    }
    if (next && state.get(next) === 'on the way')
      for (const one of path.slice(path.indexOf(next))) found.add(one);
    for (const one of path) state.set(one, 'done');
  }
  return found;
}
