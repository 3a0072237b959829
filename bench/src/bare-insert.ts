import { v7 as uuid } from 'uuid';

/** Keeps a reading, and nothing else. */
export const INSERT = `INSERT INTO reading (id, unit_id, variable_id, observed_on, state, value, entered, unit_of_measure, \`precision\`, observer)
  VALUES (?, ?, ?, ?, 'emerged', 12.5, '1.25', 'cm', 0.1, 'bench')`;

/** Values of {@link INSERT} under a new id. */
export function insertValues(
  unitId: string | undefined,
  variableId: string | undefined,
  observedOn: string | undefined,
): (string | null)[] {
  return [uuid(), unitId ?? null, variableId ?? null, observedOn ?? null];
}
