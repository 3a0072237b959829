/** Two groups, by index, that a test told apart. */
export type DifferentPair = readonly [number, number];

/**
 * Letters for groups so that two groups share a letter exactly when no test told them apart: insert and absorb
 * (Piepho 2004). Letters go by the order of `order`.
 * @param count number of groups
 * @param different pairs of indices that differ
 * @param order indices of the groups, the one to get `a` first
 * @returns the letters of each group, as `a`, `ab`, `b`
 */
export function lettersOf(
  count: number,
  different: readonly DifferentPair[],
  order: readonly number[],
): string[] {
  let columns: ReadonlySet<number>[] = [new Set(order)];
  for (const [one, other] of different) {
    columns = absorbed(
      columns.flatMap((column) =>
        column.has(one) && column.has(other) ? [without(column, one), without(column, other)] : [column],
      ),
    );
  }
  const place = new Map(order.map((group, at) => [group, at]));
  const firstOf = (column: ReadonlySet<number>): number =>
    Math.min(...[...column].map((group) => place.get(group) ?? 0));
  const sorted = [...columns].sort((a, b) => firstOf(a) - firstOf(b));
  return Array.from({ length: count }, (_, group) =>
    sorted.map((column, at) => (column.has(group) ? String.fromCharCode(97 + at) : '')).join(''),
  );
}

function without(column: ReadonlySet<number>, group: number): ReadonlySet<number> {
  return new Set([...column].filter((member) => member !== group));
}

/** Columns that no other column holds whole; splitting never makes two alike. */
function absorbed(columns: readonly ReadonlySet<number>[]): ReadonlySet<number>[] {
  return columns.filter(
    (column) => !columns.some((other) => other !== column && [...column].every((group) => other.has(group))),
  );
}
