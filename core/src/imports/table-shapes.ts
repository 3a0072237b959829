import { say } from '@bright-sprout/words/imports';
import { dayNumberOf, isDate } from './foreign-dates.ts';
import { type ColumnRole, columnsWith, type TableMapping } from './mapping.ts';

/** One value of a foreign table with all that its row and column say of it, as text. */
export interface Cell {
  /** Row of the foreign table, the header is 1. */
  readonly row: number;
  readonly column: string;
  /** {@link MappedVariable.source}. */
  readonly source: string;
  /** Tells pots apart; equal for all values of one pot. */
  readonly unit: string;
  /** Empty where its column says none. */
  readonly treatment: string;
  readonly factors: readonly string[];
  readonly block: string;
  readonly team: string;
  readonly observer: string;
  readonly seedsSown: string;
  readonly sown: string;
  readonly observed: string;
  readonly day: string;
  readonly text: string;
  readonly state: string;
}

type Rows = readonly (readonly string[])[];

const ALL_ALIKE = say('allAlike');

/** The values of a table, row by row; rows without anything are left out. */
export function cellsOf(rows: Rows, mapping: TableMapping): Cell[] {
  switch (mapping.shape) {
    case 'long':
      return longCells(rows, mapping.roles);
    case 'pots_in_columns':
      return columnCells(rows, mapping);
    case 'pots_in_rows':
      return rowCells(rows, mapping.roles);
  }
}

/** What a row says beside its values. */
function rowFacts(row: readonly string[], roles: readonly ColumnRole[], header: readonly string[]) {
  const of = (role: ColumnRole): string => (row[roles.indexOf(role)] ?? '').trim();
  const isWeek = /^(week|woche|semana|semaine)/i.test((header[roles.indexOf('day')] ?? '').trim());
  const day = of('day');
  const factors = columnsWith(roles, 'factor').map((at) => (row[at] ?? '').trim());
  return {
    of,
    facts: {
      factors,
      block: of('block'),
      team: of('team'),
      observer: of('observer'),
      seedsSown: of('seeds_sown'),
      sown: of('sown'),
      observed: of('date'),
      day: isWeek && /^\d/.test(day) ? say('week', { day }) : day,
    },
    treatment: of('treatment') || (factors.every((level) => level !== '') ? factors.join(' · ') : ''),
  };
}

function longCells(rows: Rows, roles: readonly ColumnRole[]): Cell[] {
  const [header = [], ...body] = rows;
  const values = columnsWith(roles, 'value');
  const columns = values.length > 0 ? values : [-1];
  const unitOf = unitsOfRows(body, roles);
  const isSorted = roles.includes('treatment') || roles.includes('factor');
  return body.flatMap((row, index) => {
    if (isEmptyRow(row)) return [];
    const { of, facts, treatment } = rowFacts(row, roles, header);
    return columns.map((at) => ({
      ...facts,
      row: index + 2,
      column: header[at] ?? '',
      source: roles.includes('variable') ? of('variable') : values.length > 0 ? String(at) : '',
      unit: unitOf(row, index),
      treatment: treatment || (isSorted ? '' : ALL_ALIKE),
      text: (row[at] ?? '').trim(),
      state: of('state'),
    }));
  });
}

/**
 * Which pot a row is of: by its columns; without any, by its treatment where each has one value of a day, which then
 * is followed; else each row is a pot of its own.
 */
function unitsOfRows(
  body: Rows,
  roles: readonly ColumnRole[],
): (row: readonly string[], index: number) => string {
  const named = (kinds: readonly ColumnRole[]): number[] =>
    roles.flatMap((role, at) => (kinds.includes(role) ? [at] : []));
  const textOf = (row: readonly string[], columns: readonly number[]): string =>
    columns.map((at) => (row[at] ?? '').trim()).join(' · ');
  const replicate = named(['replicate']);
  const own = named(['unit']);
  if (own.length > 0) return (row) => textOf(row, [...own, ...replicate]);
  const sorting = named(['treatment', 'factor', 'block']);
  if (replicate.length > 0) return (row) => textOf(row, [...sorting, ...replicate]);
  const times = named(['date', 'day']);
  const filled = body.filter((row) => !isEmptyRow(row));
  const moments = filled.map((row) => textOf(row, [...sorting, ...times, ...named(['variable'])]));
  const isFollowed =
    times.length > 0 &&
    new Set(moments).size === moments.length &&
    new Set(filled.map((row) => textOf(row, times))).size > 1;
  return isFollowed ? (row) => textOf(row, sorting) : (_, index) => String(index + 1);
}

/** A pot's name without its number at the end is its treatment: `Salt 2` is pot `Salt 2` of `Salt`. */
function treatmentOfPot(pot: string): string {
  const name = pot.replace(/[\s_#-]*\d+\s*$/, '').trim();
  return name === '' || /^(pot|cup|cell|plant|unit|no\.?)$/i.test(name) ? ALL_ALIKE : name;
}

function columnCells(rows: Rows, { roles, hasTreatmentRow }: TableMapping): Cell[] {
  const [header = [], ...rest] = rows;
  const treatments = hasTreatmentRow ? (rest[0] ?? []) : [];
  const body = hasTreatmentRow ? rest.slice(1) : rest;
  const values = columnsWith(roles, 'value');
  const arePlants = values.every((at) =>
    /^(plant|seedling|pflanze|planta|plante)/i.test((header[at] ?? '').trim()),
  );
  return body.flatMap((row, index) => {
    if (isEmptyRow(row)) return [];
    const { of, facts, treatment } = rowFacts(row, roles, header);
    const own = of('unit');
    return values.map((at) => {
      const pot = (header[at] ?? '').trim() || say('column2', { at: at + 1 });
      const rowNames = [own || treatment, facts.block].filter((name) => name !== '');
      return {
        ...facts,
        row: index + (hasTreatmentRow ? 3 : 2),
        column: pot,
        source: '',
        unit: own !== '' && arePlants ? own : [...rowNames, pot].join(' · '),
        treatment: treatment || (treatments[at] ?? '').trim() || treatmentOfPot(pot),
        text: (row[at] ?? '').trim(),
        state: '',
      };
    });
  });
}

function rowCells(rows: Rows, roles: readonly ColumnRole[]): Cell[] {
  const [header = [], ...body] = rows;
  const values = columnsWith(roles, 'value');
  const unitOf = unitsOfRows(body, roles);
  const isSorted = roles.includes('treatment') || roles.includes('factor');
  return body.flatMap((row, index) => {
    if (isEmptyRow(row)) return [];
    const { facts, treatment } = rowFacts(row, roles, header);
    const unit = unitOf(row, index);
    return values.map((at) => {
      const head = (header[at] ?? '').trim();
      const isDay = !isDate(head) && dayNumberOf(head) !== undefined;
      return {
        ...facts,
        row: index + 2,
        column: head,
        source: '',
        unit,
        treatment: treatment || (isSorted ? '' : treatmentOfPot(unit)),
        observed: isDay ? '' : head,
        day: isDay ? head : '',
        text: (row[at] ?? '').trim(),
        state: '',
      };
    });
  });
}

function isEmptyRow(row: readonly string[]): boolean {
  return row.every((cell) => cell.trim() === '');
}
