import { addDays, type CalendarDay } from '../shared/index.ts';
import { dateOf, type DateOrder, isEmptyText, plainNumber, stateOf } from './foreign-cells.ts';
import { MOST_ROW_PROBLEMS, type RowProblem } from './cells.ts';
import { addUp, type Counting } from './counting.ts';
import type { VariableKind } from './model.ts';
import { type TidyResult, readTidy } from './read-tidy.ts';
import { sizeProblems } from './table-size.ts';
import { FACTOR_PREFIX } from './tidy-columns.ts';

/** How a foreign table holds its values: a row each, a column a pot, or a row a pot. */
export const TABLE_SHAPES = ['long', 'pots-in-columns', 'pots-in-rows'] as const;
export type TableShape = (typeof TABLE_SHAPES)[number];

/** What a column of a foreign table stands for. `values` hold numbers; `day` counts days since sowing. */
export const COLUMN_ROLES = [
  'ignore',
  'unit',
  'treatment',
  'factor',
  'block',
  'team',
  'seeds_sown',
  'sown',
  'date',
  'day',
  'value',
  'state',
] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** How to read a foreign table as an experiment. Columns are counted from 0. */
export interface TableMapping {
  readonly shape: TableShape;
  /** Role of each column. In wide tables `value` marks the columns that hold pots or days. */
  readonly roles: readonly ColumnRole[];
  /** Rows below the header that name the treatment of each pot column; 0 or 1, in `pots-in-columns` only. */
  readonly hasTreatmentRow: boolean;
  readonly variable: { readonly name: string; readonly kind: VariableKind; readonly unit: string };
  /** Counts only. */
  readonly counting: Counting;
  readonly dateOrder: DateOrder;
  /** Sowing day of all pots where no column says; `null` when it is not known. */
  readonly sowedOn: CalendarDay | null;
  /** The day of values without any date. */
  readonly observedOn: CalendarDay;
  /** Treatment that is the control; empty for none. */
  readonly control: string;
}

const HEADER = [
  'unit',
  'treatment',
  'control',
  'block',
  'team',
  'seeds_sown',
  'sown',
  'observed',
  'variable',
  'variable_kind',
  'planned_unit',
  'state',
  'value',
  'unit_of_measure',
  'entered',
] as const;

interface Cell {
  /** Row of the foreign table, the header is 1. */
  readonly row: number;
  readonly column: string;
  readonly unit: string;
  readonly treatment: string;
  readonly factors: readonly string[];
  readonly block: string;
  readonly team: string;
  readonly seedsSown: string;
  readonly sown: string;
  readonly observed: string;
  readonly day: string;
  readonly text: string;
  readonly state: string;
}

/**
 * Reads a foreign table as an experiment, whole or not at all. Pots without a number are numbered as first met;
 * a long table without a column for the pot has one pot a row. Empty cells are no readings, never zeros.
 * @param rows cells with the header first
 * @param name what to call the experiment
 */
export function readMapped(
  rows: readonly (readonly string[])[],
  mapping: TableMapping,
  name: string,
): TidyResult {
  const [header = []] = rows;
  const problems: RowProblem[] = sizeProblems(rows, columnsWith(mapping.roles, 'value').length);
  if (problems.length === 0) problems.push(...mappingProblems(mapping, header));
  if (problems.length > 0) return { ok: false, problems: eachOnce(problems) };
  const cells = cellsOf(rows, mapping);
  const factors = header
    .filter((_, at) => mapping.roles[at] === 'factor')
    .map((text) => text.trim() || 'Factor');
  const numbers = new Map<string, number>();
  const used = new Set(
    cells.map((cell) => Number(cell.unit)).filter((number) => Number.isInteger(number) && number > 0),
  );
  let next = 1;
  const numberOf = (unit: string): number => {
    const known = numbers.get(unit);
    if (known !== undefined) return known;
    const own = /^\d{1,4}$/.test(unit) && Number(unit) > 0 ? Number(unit) : undefined;
    while (own === undefined && used.has(next)) next += 1;
    const number = own ?? next;
    used.add(number);
    numbers.set(unit, number);
    return number;
  };
  const sources: Cell[] = [];
  const tidy: string[][] = [[...HEADER, ...factors.map((factor) => FACTOR_PREFIX + factor)]];
  for (const cell of cells) {
    const made = tidyRow(cell, mapping, numberOf, problems);
    if (problems.length >= MOST_ROW_PROBLEMS) break;
    if (!made) continue;
    tidy.push([...made, ...cell.factors]);
    sources.push(cell);
  }
  if (problems.length === 0 && tidy.length === 1) {
    problems.push({
      row: 0,
      column: 'all',
      found: 'no values',
      expected: 'at least one value in the columns chosen',
    });
  }
  if (problems.length > 0) return { ok: false, problems: eachOnce(problems) };
  if (mapping.variable.kind === 'count' && mapping.counting === 'new') addUp(tidy, HEADER);
  const result = readTidy(tidy, name);
  return result.ok
    ? result
    : { ok: false, problems: result.problems.map((problem) => atSource(problem, sources)) };
}

/** A row with one bad date has a problem in each of its pots; it is said once. */
function eachOnce(problems: readonly RowProblem[]): RowProblem[] {
  return [...new Map(problems.map((problem) => [JSON.stringify(problem), problem])).values()];
}

function mappingProblems({ roles, shape }: TableMapping, header: readonly string[]): RowProblem[] {
  const has = (role: ColumnRole): boolean => roles.includes(role);
  const need = (column: string, expected: string): RowProblem => ({
    row: 1,
    column,
    found: 'not chosen',
    expected,
  });
  if (roles.length !== header.length) {
    return [
      { row: 1, column: 'all', found: `${header.length} columns`, expected: `${roles.length} columns` },
    ];
  }
  const problems = has('value') ? [] : [need('value', 'a column with values')];
  if (shape === 'pots-in-columns' && !has('date') && !has('day')) {
    problems.push(need('date', 'the column with the dates, or the days since sowing'));
  }
  if (shape === 'long' && !has('treatment') && !has('factor') && !has('unit')) {
    problems.push(need('treatment', 'a column with the treatment, or with the pot'));
  }
  return problems;
}

function cellsOf(rows: readonly (readonly string[])[], mapping: TableMapping): Cell[] {
  switch (mapping.shape) {
    case 'long':
      return longCells(rows, mapping);
    case 'pots-in-columns':
      return columnCells(rows, mapping);
    case 'pots-in-rows':
      return rowCells(rows, mapping);
  }
}

/** The first cell of a row with a role. */
function reader(row: readonly string[], roles: readonly ColumnRole[]): (role: ColumnRole) => string {
  return (role) => (row[roles.indexOf(role)] ?? '').trim();
}

function columnsWith(roles: readonly ColumnRole[], role: ColumnRole): number[] {
  return roles.flatMap((own, at) => (own === role ? [at] : []));
}

function longCells(rows: readonly (readonly string[])[], { roles }: TableMapping): Cell[] {
  const [header = [], ...body] = rows;
  const factors = columnsWith(roles, 'factor');
  const values = columnsWith(roles, 'value');
  return body.flatMap((row, index) => {
    if (row.every((cell) => cell.trim() === '')) return [];
    const of = reader(row, roles);
    const levels = factors.map((at) => (row[at] ?? '').trim());
    const unit = roles.includes('unit') ? of('unit') : String(index + 1);
    return values.map((at) => ({
      row: index + 2,
      column: header[at] ?? '',
      unit,
      treatment: of('treatment') || levels.join(' · ') || 'All alike',
      factors: levels,
      block: of('block'),
      team: of('team'),
      seedsSown: of('seeds_sown'),
      sown: of('sown'),
      observed: of('date'),
      day: of('day'),
      text: (row[at] ?? '').trim(),
      state: of('state'),
    }));
  });
}

/** A pot's name without its number at the end is its treatment: `Salt 2` is pot `Salt 2` of `Salt`. */
function treatmentOfPot(pot: string): string {
  const name = pot.replace(/[\s_#-]*\d+\s*$/, '').trim();
  return name === '' || /^(pot|cup|cell|plant|unit|no\.?)$/i.test(name) ? 'All alike' : name;
}

function columnCells(rows: readonly (readonly string[])[], { roles, hasTreatmentRow }: TableMapping): Cell[] {
  const [header = [], ...rest] = rows;
  const treatments = hasTreatmentRow ? (rest[0] ?? []) : [];
  const body = hasTreatmentRow ? rest.slice(1) : rest;
  const values = columnsWith(roles, 'value');
  return body.flatMap((row, index) => {
    if (row.every((cell) => cell.trim() === '')) return [];
    const of = reader(row, roles);
    return values.map((at) => {
      const pot = (header[at] ?? '').trim() || `column ${at + 1}`;
      return {
        row: index + (hasTreatmentRow ? 3 : 2),
        column: pot,
        unit: pot,
        treatment: (treatments[at] ?? '').trim() || treatmentOfPot(pot),
        factors: [],
        block: '',
        team: '',
        seedsSown: '',
        sown: '',
        observed: of('date'),
        day: of('day'),
        text: (row[at] ?? '').trim(),
        state: '',
      };
    });
  });
}

function rowCells(rows: readonly (readonly string[])[], { roles }: TableMapping): Cell[] {
  const [header = [], ...body] = rows;
  const factors = columnsWith(roles, 'factor');
  const values = columnsWith(roles, 'value');
  return body.flatMap((row, index) => {
    if (row.every((cell) => cell.trim() === '')) return [];
    const of = reader(row, roles);
    const levels = factors.map((at) => (row[at] ?? '').trim());
    const unit = roles.includes('unit') ? of('unit') : String(index + 1);
    return values.map((at) => {
      const head = (header[at] ?? '').trim();
      const day = /^(?:day|d)?\s*(\d{1,3})$/i.exec(head)?.[1];
      return {
        row: index + 2,
        column: head,
        unit,
        treatment: of('treatment') || levels.join(' · ') || treatmentOfPot(unit),
        factors: levels,
        block: of('block'),
        team: of('team'),
        seedsSown: of('seeds_sown'),
        sown: of('sown'),
        observed: day === undefined ? head : '',
        day: day ?? '',
        text: (row[at] ?? '').trim(),
        state: '',
      };
    });
  });
}

function tidyRow(
  cell: Cell,
  mapping: TableMapping,
  numberOf: (unit: string) => number,
  problems: RowProblem[],
): string[] | undefined {
  const { variable } = mapping;
  const state = stateOf(cell.state) ?? stateOf(cell.text);
  const isEmpty = isEmptyText(cell.text);
  if (isEmpty && state === undefined && isEmptyText(cell.state)) return undefined;
  const bad = (column: string, found: string, expected: string): undefined => {
    problems.push({ row: cell.row, column, found, expected });
    return undefined;
  };
  const sown = cell.sown === '' ? mapping.sowedOn : dateOf(cell.sown, mapping.dateOrder);
  if (sown === undefined) return bad('sown', cell.sown, 'a date such as 2026-03-02 or 2/3/2026');
  const observed = observedDay(cell, mapping, sown);
  if (typeof observed !== 'string')
    return bad(cell.observed === '' ? 'day' : 'date', observed.found, observed.expected);
  if (stateOf(cell.state) === undefined && !isEmptyText(cell.state)) {
    return bad('state', cell.state, 'a word such as "up", "not up", "dead" or "not read"');
  }
  const value = state === undefined || state === 'up' ? plainNumber(cell.text) : '';
  if (value === undefined)
    return bad(cell.column, cell.text, 'a number, or a word such as "not up" or "dead"');
  const isControl = mapping.control !== '' && cell.treatment === mapping.control;
  return [
    String(numberOf(cell.unit)),
    cell.treatment,
    isControl ? 'yes' : 'no',
    cell.block,
    cell.team,
    cell.seedsSown,
    sown ?? '',
    observed,
    variable.name,
    variable.kind,
    variable.unit,
    state ?? 'up',
    value,
    variable.unit,
    cell.text,
  ];
}

function observedDay(
  cell: Cell,
  mapping: TableMapping,
  sown: CalendarDay | null,
): CalendarDay | { readonly found: string; readonly expected: string } {
  if (cell.observed !== '') {
    const day = dateOf(cell.observed, mapping.dateOrder);
    return day ?? { found: cell.observed, expected: 'a date such as 2026-03-02 or 2/3/2026' };
  }
  if (cell.day !== '') {
    const count = Number(cell.day);
    if (!Number.isInteger(count) || count < 0 || count > 1000) {
      return { found: cell.day, expected: 'whole days since sowing' };
    }
    return sown === null
      ? { found: cell.day, expected: 'a sowing day to count from: give one above' }
      : addDays(sown, count);
  }
  return mapping.observedOn;
}

/** A problem of the tidy table, said of the cell it came from. */
function atSource(problem: RowProblem, sources: readonly Cell[]): RowProblem {
  const source = sources[problem.row - 2];
  if (!source) return problem;
  const column = problem.column === 'value' ? source.column : problem.column;
  return { ...problem, row: source.row, column };
}
