import type { Crop, Grid } from '../design/index.ts';

/** A bed or box to be sown in rows, in mm. */
export interface Bed {
  readonly lengthMm: number;
  readonly widthMm: number;
}

/** The room that plants are given, in mm: along a row, and from row to row. */
export interface Spacing {
  readonly alongMm: number;
  readonly betweenRowsMm: number;
}

/** The spacing of a crop, as far along a row as between rows. */
export function usualSpacing({ spacingMm }: Pick<Crop, 'spacingMm'>): Spacing | null {
  return spacingMm === null || spacingMm <= 0 ? null : { alongMm: spacingMm, betweenRowsMm: spacingMm };
}

/**
 * Rows across a bed and places along each, when every plant has its spacing and the outer ones half of it to the edge:
 * the whole number of spacings that the bed is long and wide, rows running along its length.
 */
export function placesThatFit({ lengthMm, widthMm }: Bed, { alongMm, betweenRowsMm }: Spacing): Grid {
  return { rows: spacings(widthMm, betweenRowsMm), columns: spacings(lengthMm, alongMm) };
}

/** A bed that is as long as its plants need to a hair, written in decimals, still holds them. */
const HAIR = 1e-9;

function spacings(lengthMm: number, spacingMm: number): number {
  return Math.floor(lengthMm / spacingMm + HAIR);
}

/** What so many seeds weigh, in g, by a few that were counted and weighed. */
export function weightOfSeeds(
  seeds: number,
  counted: { readonly seeds: number; readonly grams: number },
): number {
  return (seeds * counted.grams) / counted.seeds;
}
