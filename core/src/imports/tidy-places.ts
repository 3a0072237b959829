/** Columns of the tidy rows that are made from a foreign table, in order. */
export const MADE_COLUMNS = [
  'unit',
  'treatment',
  'control',
  'block',
  'team',
  'observer',
  'seeds_sown',
  'sown',
  'observed',
  'variable',
  'variable_kind',
  'planned_unit',
  'state',
  'value',
  'unit_of_measure',
  'entered',
] as const;

/** The place of each of {@link MADE_COLUMNS} in its row. */
export const PLACE = Object.fromEntries(MADE_COLUMNS.map((name, at) => [name, at])) as Record<
  (typeof MADE_COLUMNS)[number],
  number
>;

/** The same rows by their day, earliest first. */
export function inOrderOfDays(tidy: readonly string[][]): string[][] {
  const dayOf = (row: readonly string[]): string => row[PLACE.observed] ?? '';
  return [...tidy].sort((a, b) => (dayOf(a) < dayOf(b) ? -1 : dayOf(a) > dayOf(b) ? 1 : 0));
}
