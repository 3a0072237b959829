import type { CalendarDay } from '../shared/index.ts';

/** A place in a container of an experiment; row and column from 1. */
export interface UnitPlace {
  readonly containerId: string;
  readonly row: number;
  readonly column: number;
}

/** Where a unit was moved to. */
export interface UnitMove extends UnitPlace {
  readonly unitId: string;
}

/** Units moved on a day. */
export interface MoveEvent {
  readonly happenedOn: CalendarDay | string;
  readonly isUndone: boolean;
  readonly moves: readonly UnitMove[];
}

/**
 * The units as they stand at the end of a day: where they were sown, moved by every event up to then.
 * @param events in the order in which they were noted; of two on one day the later one counts
 */
export function placedOn<T extends UnitPlace & { readonly id: string }>(
  units: readonly T[],
  events: readonly MoveEvent[],
  day: CalendarDay | string,
): T[] {
  const done = events.filter(({ happenedOn, isUndone }) => !isUndone && happenedOn <= day);
  const places = new Map<string, UnitPlace>();
  for (const { moves } of done.sort((a, b) =>
    a.happenedOn < b.happenedOn ? -1 : a.happenedOn > b.happenedOn ? 1 : 0,
  ))
    for (const { unitId, containerId, row, column } of moves)
      places.set(unitId, { containerId, row, column });
  return places.size === 0 ? [...units] : units.map((unit) => ({ ...unit, ...places.get(unit.id) }));
}

/** The first place in which two units would stand; undefined where every unit has its own. */
export function doublyTaken(units: readonly UnitPlace[]): UnitPlace | undefined {
  const taken = new Set<string>();
  return units.find(({ containerId, row, column }) => {
    const key = `${containerId} ${row} ${column}`;
    const isTaken = taken.has(key);
    taken.add(key);
    return isTaken;
  });
}
