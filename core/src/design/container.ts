/** The containers a plan can use, each a grid of places. */
export const CONTAINER_KINDS = [
  'egg_carton',
  'flat',
  'cups',
  'pots',
  'jars',
  'bags',
  'box_rows',
  'pan_sections',
] as const;
export type ContainerKind = (typeof CONTAINER_KINDS)[number];

/** The side of a container that gets the most light. */
export const BRIGHT_SIDES = ['top', 'right', 'bottom', 'left', 'none'] as const;
export type BrightSide = (typeof BRIGHT_SIDES)[number];

/** Rows and columns of a container as it stands on the layout. */
export interface Grid {
  readonly rows: number;
  readonly columns: number;
}

/** A container of a plan: a grid of places with a bright side. */
export interface PlanContainer extends Grid {
  readonly kind: ContainerKind;
  readonly name: string;
  readonly brightSide: BrightSide;
  /** Volume of one place in mL. */
  readonly cellMl: number;
}

/** As many containers as a plan may have. */
export const MOST_CONTAINERS = 40;

/** The most places that a container may have. */
export const MOST_PLACES = 500;

/** Usual grid and volume of a place of each kind. */
const USUAL: Record<ContainerKind, Grid & { readonly cellMl: number }> = {
  egg_carton: { rows: 2, columns: 6, cellMl: 40 },
  flat: { rows: 2, columns: 5, cellMl: 120 },
  cups: { rows: 3, columns: 5, cellMl: 200 },
  pots: { rows: 2, columns: 4, cellMl: 450 },
  jars: { rows: 1, columns: 6, cellMl: 400 },
  bags: { rows: 2, columns: 4, cellMl: 0 },
  // Each row is a unit: it has one crop, its own markers and its own spacing.
  box_rows: { rows: 6, columns: 1, cellMl: 2000 },
  pan_sections: { rows: 2, columns: 3, cellMl: 600 },
};

/** The grid of each kind. */
export const CONTAINER_GRIDS: Record<ContainerKind, Grid> = USUAL;

/** A container of a kind in its usual size, the window at its first row. */
export function usualContainer(kind: ContainerKind): PlanContainer {
  return { kind, name: '', brightSide: 'top', ...USUAL[kind] };
}

/** Share of a place's volume that a watering gives, and the step a class can measure it in. */
const WATER_SHARE = 0.1;
const WATER_STEP_ML = 5;

/** Water for a place at each watering, in mL: about a tenth of what it holds, which wets the mix and leaves none standing. */
export function usualWaterMl(cellMl: number): number {
  return Math.max(WATER_STEP_ML, Math.round((cellMl * WATER_SHARE) / WATER_STEP_ML) * WATER_STEP_ML);
}

/** A place in a grid, counted from 1; row 1 is drawn on top. */
export interface Place {
  readonly row: number;
  readonly column: number;
}

/** A place in one of several containers; `container` is its index. */
export interface PlaceInContainers extends Place {
  readonly container: number;
}

/** Number of places in a grid. */
export function placeCount(grid: Grid): number {
  return grid.rows * grid.columns;
}

/** The place number `number` (from 1) in walking order: along each row, from the top down. */
export function placeOf(number: number, grid: Grid): Place {
  return { row: Math.floor((number - 1) / grid.columns) + 1, column: ((number - 1) % grid.columns) + 1 };
}

/** All places of several containers in walking order, one container after the other. */
export function placesOf(containers: readonly Grid[]): PlaceInContainers[] {
  return containers.flatMap((grid, container) =>
    Array.from({ length: placeCount(grid) }, (_, index) => ({ container, ...placeOf(index + 1, grid) })),
  );
}

/** How many steps a place is from the bright side, from 0; 0 everywhere when there is none. */
export function stepsFromBright(place: Place, container: Grid & { readonly brightSide: BrightSide }): number {
  switch (container.brightSide) {
    case 'top':
      return place.row - 1;
    case 'bottom':
      return container.rows - place.row;
    case 'left':
      return place.column - 1;
    case 'right':
      return container.columns - place.column;
    case 'none':
      return 0;
  }
}
