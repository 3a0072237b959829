/** The containers a plan can start from, each a grid of places. */
export const CONTAINER_KINDS = ['egg_carton', 'flat', 'cups'] as const;
export type ContainerKind = (typeof CONTAINER_KINDS)[number];

/** Rows and columns of a container as it stands on the sill, the bright side at row 1. */
export interface Grid {
  readonly rows: number;
  readonly columns: number;
}

/** The grid of each kind. */
export const CONTAINER_GRIDS: Record<ContainerKind, Grid> = {
  egg_carton: { rows: 2, columns: 6 },
  flat: { rows: 2, columns: 5 },
  cups: { rows: 3, columns: 5 },
};

/** A place in a grid, counted from 1; row 1 is nearest the window. */
export interface Place {
  readonly row: number;
  readonly column: number;
}

/** Number of places in a grid. */
export function placeCount(grid: Grid): number {
  return grid.rows * grid.columns;
}

/** The place number `number` (from 1) in walking order: along each row, from the window inward. */
export function placeOf(number: number, grid: Grid): Place {
  return { row: Math.floor((number - 1) / grid.columns) + 1, column: ((number - 1) % grid.columns) + 1 };
}
