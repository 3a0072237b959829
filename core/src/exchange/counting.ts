/** What a count of a check says: how many there are by then, or how many are new since the check before. */
export const COUNTINGS = ['so_far', 'new'] as const;
export type Counting = (typeof COUNTINGS)[number];

/**
 * Makes counts of what is new at each check of a unit into counts of what there is by then.
 * @param tidy rows with their header first; changed in place
 * @param header names of the first columns
 */
export function addUp(tidy: readonly string[][], header: readonly string[]): void {
  const place = (name: string): number => header.indexOf(name);
  const [unit, observed, value, entered] = [
    place('unit'),
    place('observed'),
    place('value'),
    place('entered'),
  ];
  const sofar = new Map<string, number>();
  const [, ...rows] = tidy;
  for (const row of rows.sort((a, b) => ((a[observed] as string) < (b[observed] as string) ? -1 : 1))) {
    const key = row[unit] as string;
    const total = (sofar.get(key) ?? 0) + Number(row[value]);
    sofar.set(key, total);
    if (row[value] === '') continue;
    row[value] = String(total);
    row[entered] = String(total);
  }
}
