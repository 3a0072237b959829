import type { ReadingView } from '@bright-sprout/contract/readings';

/** A reading as the database gives it, with what was made of it since. */
export interface ReadingRow {
  id: string;
  unitId: string;
  variableId: string;
  observedOn: string;
  state: ReadingView['state'];
  value: number | null;
  entered: string;
  unitOfMeasure: string;
  precision: number;
  observer: string;
  recordedAt: Date;
  supersedesId: string | null;
  isReread: number;
  isSuperseded: number;
  setAside: string | null;
}

/** True of a reading `r` that another one corrects. */
const IS_SUPERSEDED = 'EXISTS (SELECT 1 FROM reading c WHERE c.supersedes_id = r.id)';

/** Why a reading `r` is set aside now; null when it is not. */
const SET_ASIDE =
  '(SELECT s.reason FROM set_aside s WHERE s.reading_id = r.id AND s.lifted_at IS NULL LIMIT 1)';

/** Columns of a reading `r` itself. */
const OWN_COLUMNS = `
  r.id, r.unit_id AS unitId, r.variable_id AS variableId, r.observed_on AS observedOn, r.state, r.value, r.entered,
  r.unit_of_measure AS unitOfMeasure, r.precision, r.observer, r.recorded_at AS recordedAt,
  r.supersedes_id AS supersedesId, r.is_reread AS isReread`;

/** Columns of a {@link ReadingRow} of a reading `r`. */
const READING_COLUMNS = `${OWN_COLUMNS}, ${IS_SUPERSEDED} AS isSuperseded, ${SET_ASIDE} AS setAside`;

/** Every reading of an experiment in the order they were made, without what was made of it since. */
export const READINGS_OF_EXPERIMENT = `
  SELECT ${OWN_COLUMNS}
  FROM unit u JOIN reading r FORCE INDEX (ix_reading_unit) ON r.unit_id = u.id
  WHERE u.experiment_id = ?
  ORDER BY r.recorded_at, r.id`;

/** What is set aside now in an experiment. */
export const SET_ASIDE_OF_EXPERIMENT = `
  SELECT s.reading_id AS readingId, s.reason
  FROM set_aside s STRAIGHT_JOIN reading r ON r.id = s.reading_id STRAIGHT_JOIN unit u ON u.id = r.unit_id
  WHERE u.experiment_id = ? AND s.lifted_at IS NULL`;

/** One reading. */
export const READING_BY_ID = `SELECT ${READING_COLUMNS} FROM reading r WHERE r.id = ?`;

/** Readings with some ids, in the order they were made. */
export const READINGS_BY_ID = `
  SELECT ${READING_COLUMNS} FROM reading r WHERE r.id IN (?) ORDER BY r.recorded_at, r.id`;

/** One reading of an experiment. */
export const READING_OF_EXPERIMENT = `
  SELECT ${READING_COLUMNS} FROM reading r JOIN unit u ON u.id = r.unit_id WHERE r.id = ? AND u.experiment_id = ?`;

/** Every variable of some units, each with its readings of one day; joined in this order, or all days are gone through. */
const READINGS_ON = (day: string): string => `
  SELECT ${READING_COLUMNS}
  FROM unit u STRAIGHT_JOIN variable v ON v.experiment_id = u.experiment_id
  STRAIGHT_JOIN reading r FORCE INDEX (ix_reading_unit)
    ON r.unit_id = u.id AND r.variable_id = v.id AND r.observed_on = ${day}
  WHERE u.id IN (?)`;

/** The last day before one on which a unit was read and the reading counts. */
const LAST_DAY_BEFORE = `(
  SELECT l.observed_on FROM reading l FORCE INDEX (ix_reading_unit)
  WHERE l.unit_id = u.id AND l.variable_id = v.id AND l.observed_on < ?
    AND NOT EXISTS (SELECT 1 FROM reading c WHERE c.supersedes_id = l.id)
    AND NOT EXISTS (SELECT 1 FROM set_aside s WHERE s.reading_id = l.id AND s.lifted_at IS NULL)
  ORDER BY l.observed_on DESC LIMIT 1)`;

/**
 * Readings of some units on a day, and of the last day before it on which each unit and variable was read.
 * Parameters: day, units, day, units.
 */
export const RECENT_READINGS = `
  (${READINGS_ON(LAST_DAY_BEFORE)})
  UNION ALL
  (${READINGS_ON('?')})
  ORDER BY recordedAt, id`;

/** A row as it crosses the wire, with what was made of it since. */
export function readingView(
  row: Omit<ReadingRow, 'isSuperseded' | 'setAside'>,
  isSuperseded: boolean,
  setAside: string | null,
): ReadingView {
  return {
    id: row.id,
    unitId: row.unitId,
    variableId: row.variableId,
    observedOn: row.observedOn,
    state: row.state,
    value: row.value,
    entered: row.entered,
    unitOfMeasure: row.unitOfMeasure,
    precision: row.precision,
    observer: row.observer,
    recordedAt: row.recordedAt.toISOString(),
    supersedesId: row.supersedesId,
    isReread: row.isReread === 1,
    counts: !isSuperseded && setAside === null,
    setAside,
  };
}

/** The same of a row that carries it. */
export function wholeReadingView(row: ReadingRow): ReadingView {
  return readingView(row, row.isSuperseded === 1, row.setAside);
}
