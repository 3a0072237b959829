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

/** Size in pixels of a container that is rectified: every place as large as the next. */
export function rectifiedSize({ rows, columns }: PlaceGrid): { width: number; height: number } {
  const place = Math.max(8, Math.min(MOST_A_PLACE, Math.floor(LONGEST / Math.max(rows, columns))));
  return { width: columns * place, height: rows * place };
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
