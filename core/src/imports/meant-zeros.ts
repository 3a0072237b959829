import { stateOfFile } from './file-states.ts';
import type { MeantZeros, ZeroMeaning } from './foreign-words.ts';
import { inOrderOfDays, PLACE } from './tidy-places.ts';

/** Heights of 0 that a table holds; an example of each kind. */
export interface ZerosFound {
  readonly before: ZeroCount;
  readonly after: ZeroCount;
}

/** How many, and the first of them. */
export interface ZeroCount {
  readonly count: number;
  readonly example: { readonly unit: string; readonly day: string } | null;
}

/**
 * Gives lengths of 0 their meaning: before their pot had anything to measure, and after it.
 * @param tidy rows without their header; changed in place
 */
export function sayZeros(tidy: readonly string[][], zeros: MeantZeros): ZerosFound {
  const wasUp = new Set<string>();
  const found = { before: [] as string[][], after: [] as string[][] };
  for (const row of inOrderOfDays(tidy)) {
    if (row[PLACE.variable_kind] !== 'length' || stateOfFile(row[PLACE.state] ?? '') !== 'emerged') continue;
    const value = row[PLACE.value] === '' ? undefined : Number(row[PLACE.value]);
    const unit = row[PLACE.unit] as string;
    if (value !== 0) wasUp.add(unit);
    else found[wasUp.has(unit) ? 'after' : 'before'].push(row);
  }
  for (const row of found.before) say(row, zeros.before);
  for (const row of found.after) say(row, zeros.after);
  return { before: countOf(found.before), after: countOf(found.after) };
}

function say(row: string[], meaning: ZeroMeaning): void {
  if (meaning === 'value') return;
  row[PLACE.state] = meaning;
  row[PLACE.value] = '';
}

function countOf(rows: readonly string[][]): ZeroCount {
  const [first] = rows;
  return {
    count: rows.length,
    example: first ? { unit: first[PLACE.unit] as string, day: first[PLACE.observed] as string } : null,
  };
}
