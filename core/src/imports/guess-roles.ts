import {
  type Column,
  isDayHead,
  isMostlyNumbers,
  isSorting,
  isSortingByNumber,
  numberedColumns,
} from './guess-columns.ts';
import { COLUMN_ROLES, type ColumnRole, columnsWith } from './mapping.ts';

type Rows = readonly (readonly string[])[];

/** Roles that one column at most may have. */
const ONCE = COLUMN_ROLES.filter((role) => role !== 'ignore' && role !== 'factor' && role !== 'value');

/** Roles of the columns of a table with a value a row. */
export function longRoles(columns: readonly Column[], body: Rows): ColumnRole[] {
  const roles = columns.map((column): ColumnRole => {
    if (column.named === 'value' && column.filled > 0 && column.numbers === 0) return 'ignore';
    if (column.named !== undefined) return column.named;
    return column.dates > column.filled / 2 ? 'date' : 'ignore';
  });
  keepFirst(roles, roles.includes('variable') ? [...ONCE, 'value'] : ONCE);
  if (!roles.includes('value')) {
    const at = columns.findLastIndex((column, index) => roles[index] === 'ignore' && isMostlyNumbers(column));
    if (at >= 0) roles[at] = 'value';
  }
  settlePots(roles, body);
  settleTreatments(roles, columns, body);
  return settlePots(roles, body);
}

/** Roles of the columns of a table with a pot a column. */
export function potColumnRoles(
  header: readonly string[],
  columns: readonly Column[],
  body: Rows,
): ColumnRole[] {
  const numbered = numberedColumns(header, columns);
  if (numbered.length > 0) {
    const roles = columns.map((column, at): ColumnRole => {
      if (numbered.includes(at)) return 'value';
      if (column.named === 'value') return 'ignore';
      return column.named ?? (column.dates > column.filled / 2 ? 'date' : 'ignore');
    });
    keepFirst(roles, ONCE);
    settleTreatments(roles, columns, body);
    return roles;
  }
  return columns.map((column, at) => {
    if (at === 0) return column.dates > 0 ? 'date' : 'day';
    if (column.named === 'observer' && !isMostlyNumbers(column)) return 'observer';
    return column.filled > 0 ? 'value' : 'ignore';
  });
}

/** Roles of the columns of a table with a pot a row. */
export function potRowRoles(header: readonly string[], columns: readonly Column[], body: Rows): ColumnRole[] {
  const roles = columns.map((column, at): ColumnRole => {
    if (isDayHead(header[at] ?? '')) return 'value';
    if (column.named && column.named !== 'value') return column.named;
    return isSorting(column) ? 'treatment' : at === 0 ? 'unit' : 'ignore';
  });
  keepFirst(roles, ONCE);
  settleTreatments(roles, columns, body);
  return settlePots(roles, body);
}

/** A role that one column at most may have stays with the first. */
function keepFirst(roles: ColumnRole[], once: readonly ColumnRole[]): void {
  for (const role of once) {
    const first = roles.indexOf(role);
    roles.forEach((own, at) => {
      if (own === role && at > first) roles[at] = 'ignore';
    });
  }
}

/** Columns of no other use that sort pots: one is the treatment, several that cross are factors. */
function settleTreatments(roles: ColumnRole[], columns: readonly Column[], body: Rows): void {
  const pots = columnsOf(roles, ['unit']);
  const sorts = (column: Column, at: number): boolean =>
    roles[at] === 'ignore' &&
    (isSorting(column) || isSortingByNumber(column)) &&
    (pots.length === 0 || isFixed(body, pots, at));
  const candidates = (): number[] => columns.flatMap((column, at) => (sorts(column, at) ? [at] : []));
  if (!roles.includes('treatment')) {
    const [words] = candidates().filter((at) => isSorting(columns[at] as Column));
    const at = words ?? candidates()[0];
    if (at !== undefined) roles[at] = 'treatment';
  }
  const treatment = roles.indexOf('treatment');
  if (treatment < 0) return;
  const others = candidates().filter((at) => !isFixed(body, [treatment], at));
  if (others.length > 0 && others.length < 3) {
    for (const at of [treatment, ...others]) roles[at] = 'factor';
  }
}

/** Whether a column tells pots apart alone, or only together with the treatment; and plants within a pot. */
function settlePots(roles: ColumnRole[], body: Rows): ColumnRole[] {
  const [unit] = columnsWith(roles, 'unit');
  const [replicate] = columnsWith(roles, 'replicate');
  const [plant] = columnsWith(roles, 'plant');
  const sorting = columnsOf(roles, ['treatment', 'factor']);
  if (unit !== undefined && replicate !== undefined && isFixed(body, [unit], replicate))
    roles[replicate] = 'ignore';
  if (unit === undefined && replicate === undefined && plant !== undefined) roles[plant] = 'unit';
  const [own] = columnsOf(roles, ['unit', 'replicate']);
  if (own === undefined || (unit !== undefined && replicate !== undefined)) return roles;
  roles[own] = sorting.some((at) => isShared(body, own, at)) ? 'replicate' : 'unit';
  return roles;
}

function columnsOf(roles: readonly ColumnRole[], kinds: readonly ColumnRole[]): number[] {
  return roles.flatMap((role, at) => (kinds.includes(role) ? [at] : []));
}

/** True when most names come under several groups; a few that do are more likely mistyped. */
function isShared(body: Rows, names: number, groups: number): boolean {
  const found = new Map<string, Set<string>>();
  for (const row of body) {
    const name = (row[names] ?? '').trim();
    if (name !== '') found.set(name, (found.get(name) ?? new Set()).add((row[groups] ?? '').trim()));
  }
  const shared = [...found.values()].filter((own) => own.size > 1);
  return shared.length > found.size / 2;
}

/** True when rows that are equal in `by` are equal in the column too. */
function isFixed(body: Rows, by: readonly number[], column: number): boolean {
  const known = new Map<string, string>();
  return body.every((row) => {
    const text = (row[column] ?? '').trim();
    const key = by.map((at) => (row[at] ?? '').trim()).join('\u0000');
    const before = known.get(key);
    known.set(key, before ?? text);
    return before === undefined || before === text;
  });
}
