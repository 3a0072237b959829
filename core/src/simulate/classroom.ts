import { type RandomGenerator, type LengthScale, toMillimetres } from '../shared/index.ts';

/** Where a unit stands in its container: −½ to ½ of its length and of its depth from the bright side. */
export interface LayoutPlace {
  readonly along: number;
  readonly away: number;
}

/** The place of a unit by its row and column, from 1, in a grid. */
export function layoutPlaceOf(
  { row, column }: { readonly row: number; readonly column: number },
  grid: { readonly rows: number; readonly columns: number } | undefined,
): LayoutPlace {
  if (!grid) return { along: 0, away: 0 };
  return { along: (column - 0.5) / grid.columns - 0.5, away: (row - 0.5) / grid.rows - 0.5 };
}

/** What one room, its readers and its week add to how plants grow and are read. */
export interface Classroom {
  /** Multiplier on the height of a plant that stands there. */
  readonly growthAt: (place: LayoutPlace) => number;
  /** What the team that reads a unit is off by, in mm. */
  readonly readerOffMm: (unit: number) => number;
  /** Whether nobody reads a unit on a day. */
  readonly isMissed: () => boolean;
}

/**
 * From one end of a container to the other, plants differ by about this share of their height (SD over rooms): light
 * falls off and glass is cold, and which way it tells differs from room to room.
 */
export const POSITION_SLOPE = 0.12;
/** Systematic error of a team, as a share of its ruler's step (SD): the eye too high, zero not at the soil. */
export const TEAM_ERROR = 1 / 3;
/** Units that one team reads. */
export const UNITS_A_TEAM = 4;
/** Share of readings that are missed: a child away, a lesson cut short. */
export const MISSED_READINGS = 0.03;

/** Draws a classroom; the same chance gives the same one. */
export function classroomFrom(chance: RandomGenerator, scale: LengthScale): Classroom {
  const slopes = { along: POSITION_SLOPE * chance.normal(), away: POSITION_SLOPE * chance.normal() };
  const stepMm = toMillimetres(scale.step, scale.unit);
  const errors = new Map<number, number>();
  return {
    growthAt: ({ along, away }) => Math.max(0.5, 1 + slopes.along * along + slopes.away * away),
    readerOffMm: (unit) => {
      const team = Math.floor((unit - 1) / UNITS_A_TEAM);
      const known = errors.get(team) ?? TEAM_ERROR * stepMm * chance.normal();
      errors.set(team, known);
      return known;
    },
    isMissed: () => chance.happens(MISSED_READINGS),
  };
}
