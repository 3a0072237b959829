import type { Area } from './picture.ts';

/** Rows and columns of a container. */
export interface PlaceGrid {
  readonly rows: number;
  readonly columns: number;
}

/** Of each side of a place so much is left out: walls, rims and neighbours that lean over. */
export const MARGIN = 0.06;

/** Pixels of the longer side of a container seen from above. */
const LONGEST = 1600;
const MOST_A_PLACE = 320;

/** Inner size of a container in mm, between its marked corners. */
export interface RealSize {
  readonly acrossMm: number;
  readonly downMm: number;
}

/** Width of a container by its height; places are taken as square where its size is not known. */
export function containerShape({ rows, columns }: PlaceGrid, size: RealSize | null): number {
  return size ? size.acrossMm / size.downMm : columns / rows;
}

/**
 * Size in pixels of a container that is rectified: every place as large as the next, and as many pixels to a
 * millimetre across as down where its size is known.
 */
export function rectifiedSize(
  grid: PlaceGrid,
  size: RealSize | null = null,
): { width: number; height: number } {
  const { rows, columns } = grid;
  const stretch = (containerShape(grid, size) * rows) / columns;
  const across = Math.min(1, stretch);
  const down = Math.min(1, 1 / stretch);
  const place = Math.min(MOST_A_PLACE, LONGEST / Math.max(rows * down, columns * across));
  const side = (share: number): number => Math.max(8, Math.floor(place * share));
  return { width: columns * side(across), height: rows * side(down) };
}

/**
 * Area in mm² that plants cover in a place, of what is looked at of it.
 * @param share of that area, 0 to 1
 */
export function greenArea(share: number, { rows, columns }: PlaceGrid, size: RealSize): number {
  const place = (size.acrossMm / columns) * (size.downMm / rows);
  return share * place * (1 - 2 * MARGIN) ** 2;
}

/** A whole place of a rectified container; row and column from 1. */
export function placeArea(
  size: { readonly width: number; readonly height: number },
  grid: PlaceGrid,
  place: { readonly row: number; readonly column: number },
  margin = 0,
): Area {
  const across = size.width / grid.columns;
  const down = size.height / grid.rows;
  const left = Math.ceil((place.column - 1 + margin) * across);
  const top = Math.ceil((place.row - 1 + margin) * down);
  return {
    left,
    top,
    width: Math.floor((place.column - margin) * across) - left,
    height: Math.floor((place.row - margin) * down) - top,
  };
}

/** Edges are looked for at this share of a place: about as wide as a stem. */
const EDGE_SHARE = 1 / 64;

/** How far apart neighbours are when a rectified container is looked at for edges, in pixels. */
export function edgeReach({ width }: { readonly width: number }, { columns }: PlaceGrid): number {
  return Math.max(1, Math.round((width / columns) * EDGE_SHARE));
}
