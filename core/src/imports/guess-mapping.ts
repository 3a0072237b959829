import { type CalendarDay, calendarDay } from '../shared/index.ts';
import { type DateOrder, dateOf, isDate } from './foreign-dates.ts';
import { isValueText } from './foreign-words.ts';
import { type Column, columnOf, isDayHead, shapeOf } from './guess-columns.ts';
import { longRoles, potColumnRoles, potRowRoles } from './guess-roles.ts';
import { variablesIn } from './guess-variables.ts';
import type { ColumnRole, TableMapping } from './mapping.ts';
import { readMapped } from './read-mapped.ts';

type Rows = readonly (readonly string[])[];

const SAMPLE = 300;

/**
 * A first mapping of a foreign table, to be looked at and changed: by the names of columns, and by what is in them.
 * @param rows cells with the header first
 * @param today the day of values without any date
 */
export function guessMapping(rows: Rows, today: CalendarDay): TableMapping {
  const [header = [], ...all] = rows;
  const body = all.slice(0, SAMPLE);
  const columns = header.map((name, at) =>
    columnOf(
      name.trim(),
      body.map((row) => (row[at] ?? '').trim()),
    ),
  );
  const shape = shapeOf(header, columns);
  const hasTreatmentRow =
    shape === 'pots_in_columns' &&
    columns.every((_, at) => at === 0 || !isValueText((body[0]?.[at] ?? '').trim()));
  const roles = rolesOf(shape, header, columns, body);
  return countedNew(rows, {
    shape,
    roles,
    hasTreatmentRow,
    variables: variablesIn([header, ...body], { shape, roles }, []),
    words: [],
    zeros: { before: 'not_emerged', after: 'value' },
    dateOrder: dateOrderOf(columns, header),
    sownOn: null,
    observedOn: today,
    control: controlOf(rows, roles),
  });
}

function rolesOf(
  shape: TableMapping['shape'],
  header: readonly string[],
  columns: readonly Column[],
  body: Rows,
): ColumnRole[] {
  switch (shape) {
    case 'long':
      return longRoles(columns, body);
    case 'pots_in_columns':
      return potColumnRoles(columns);
    case 'pots_in_rows':
      return potRowRoles(header, columns, body);
  }
}

const ANY_DAY = calendarDay('1900-01-01');
/** Plants get lost now and then; counts that fall in so many pots are not counts of what there is. */
const OFTEN = 0.25;
const MOST_LOOKED_AT = 2000;

/** Counts that fall from one check to the next in many pots, as what there is by then hardly can, are new ones. */
function countedNew(rows: Rows, mapping: TableMapping): TableMapping {
  if (!mapping.variables.some(({ kind }) => kind === 'count')) return mapping;
  const read = readMapped(rows.slice(0, MOST_LOOKED_AT), { ...mapping, sownOn: ANY_DAY }, '');
  if (!read.ok) return mapping;
  const { variables, readings } = read.experiment;
  const falling = (name: string): boolean => {
    const checks = new Map<number, { day: string; value: number }[]>();
    for (const { unit, variable, observedOn, value } of readings) {
      if (value !== null && variables[variable]?.name === name)
        checks.set(unit, [...(checks.get(unit) ?? []), { day: observedOn, value }]);
    }
    const several = [...checks.values()].filter((own) => own.length > 1);
    return several.length > 0 && several.filter(falls).length >= OFTEN * several.length;
  };
  return {
    ...mapping,
    variables: mapping.variables.map((variable) =>
      variable.kind === 'count' && falling(variable.name) ? { ...variable, counting: 'new' } : variable,
    ),
  };
}

function falls(checks: readonly { readonly day: string; readonly value: number }[]): boolean {
  const ordered = [...checks].sort((a, b) => (a.day < b.day ? -1 : 1));
  return ordered.some(({ value }, index) => index > 0 && value < (ordered[index - 1]?.value ?? 0));
}

function dateOrderOf(columns: readonly Column[], header: readonly string[]): DateOrder {
  const texts = [...columns.flatMap((column) => column.texts), ...header.filter(isDayHead)].filter(isDate);
  const isMonthFirst = texts.some(
    (text) => dateOf(text, 'dmy') === undefined && dateOf(text, 'mdy') !== undefined,
  );
  return isMonthFirst ? 'mdy' : 'dmy';
}

function controlOf(rows: Rows, roles: readonly ColumnRole[]): string {
  const at = roles.indexOf('treatment');
  if (at < 0) return '';
  const names = new Set(rows.slice(1).map((row) => (row[at] ?? '').trim()));
  return [...names].find((name) => /^(control|ctrl|ctl|none|plain water|untreated)$/i.test(name)) ?? '';
}
