import type { MappedVariable } from './mapping.ts';
import { inOrderOfDays, PLACE } from './tidy-places.ts';

/**
 * What a count of a check says: how many came up by then, how many are new since the check before, or how many stand
 * there on that day, of which some may have died since.
 */
export const COUNTINGS = ['so_far', 'new', 'standing'] as const;
export type Counting = (typeof COUNTINGS)[number];

/**
 * Makes counts of what is new at each check of a unit into counts of what there is by then.
 * @param tidy rows without their header; changed in place
 */
export function addUp(tidy: readonly string[][], variables: readonly MappedVariable[]): void {
  const added = new Set(
    variables.filter(({ kind, counting }) => kind === 'count' && counting === 'new').map(({ name }) => name),
  );
  const sofar = new Map<string, number>();
  for (const row of inOrderOfDays(tidy)) {
    const variable = row[PLACE.variable] as string;
    if (!added.has(variable) || row[PLACE.value] === '') continue;
    const key = `${row[PLACE.unit]} ${variable}`;
    const total = (sofar.get(key) ?? 0) + Number(row[PLACE.value]);
    sofar.set(key, total);
    row[PLACE.value] = String(total);
    row[PLACE.entered] = String(total);
  }
}
