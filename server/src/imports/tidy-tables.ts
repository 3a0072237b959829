import { READING_COLUMNS } from '@bright-sprout/core/imports';
import type { TidyTable } from './bundle-tables.ts';

type Rows = readonly (readonly string[])[];

const FIRST_OF_READING = READING_COLUMNS[0];
const OF_CONTAINER = ['container', 'container_kind', 'container_rows', 'container_columns'];
const OF_VARIABLE = ['variable', 'variable_order', 'variable_kind', 'planned_unit', 'planned_precision'];

/** Takes a tidy table apart into related tables: containers, pots, variables, and the readings with the plan repeated. */
export function apart(tidy: Rows): Readonly<Record<TidyTable, string[][]>> {
  const [header = [], ...rows] = tidy;
  const ofPot = header.slice(0, header.indexOf(FIRST_OF_READING));
  const read = header.indexOf('reading');
  return {
    containers: once(header, rows, OF_CONTAINER),
    pots: once(header, rows, ['unit', ...ofPot.filter((name) => name !== 'unit')]),
    variables: once(header, rows, OF_VARIABLE),
    readings: [[...header], ...rows.filter((row) => row[read] !== '').map((row) => [...row])],
  };
}

/**
 * The tidy table of a bundle again: its readings, and one row for each pot of which nothing was read. A bundle of before
 * has such rows among its readings and no other tables.
 */
export function together(readings: Rows, pots: Rows, variables: Rows): Rows {
  const [header = [], ...read] = readings;
  const [ofPot = [], ...potRows] = pots;
  const [ofVariable = [], first = []] = variables;
  const unit = header.indexOf('unit');
  const known = new Set(read.map((row) => row[unit]));
  const unread = potRows.filter((row) => !known.has(row[ofPot.indexOf('unit')]));
  const cells = (row: readonly string[]): string[] =>
    header.map((name) => row[ofPot.indexOf(name)] ?? first[ofVariable.indexOf(name)] ?? '');
  return [header, ...read, ...unread.map(cells)];
}

/** The rows of some columns, each once by the first of them; without those that have nothing there. */
function once(header: readonly string[], rows: Rows, columns: readonly string[]): string[][] {
  const places = columns.map((name) => header.indexOf(name));
  const found = new Map<string, string[]>();
  for (const row of rows) {
    const [key = '', ...rest] = places.map((at) => row[at] ?? '');
    if (key !== '' && !found.has(key)) found.set(key, [key, ...rest]);
  }
  return [[...columns], ...found.values()];
}
