import type { CalendarDay } from '../shared/index.ts';
import { type DateOrder, dateOf, isDate } from './foreign-dates.ts';
import { decimalMarkOf } from './foreign-numbers.ts';
import { isValueText } from './foreign-words.ts';
import type { Counting } from './counting.ts';
import { type Column, columnOf, shapeOf } from './guess-columns.ts';
import { longRoles, potColumnRoles, potRowRoles } from './guess-roles.ts';
import { countingOf } from './guess-counting.ts';
import { headingOf, variablesIn } from './guess-variables.ts';
import type { ColumnRole, MappedVariable, TableMapping } from './mapping.ts';

type Rows = readonly (readonly string[])[];

const SAMPLE = 300;

/** What is known of a table beside its cells. */
export interface TableHints {
  /** What stood above it. */
  readonly titles?: readonly string[];
  readonly sownOn?: CalendarDay | null;
}

/**
 * A first mapping of a foreign table, to be looked at and changed: by the names of columns, and by what is in them.
 * @param rows cells with the header first
 * @param today the day of values without any date
 */
export function guessMapping(
  rows: Rows,
  today: CalendarDay,
  { titles = [], sownOn = null }: TableHints = {},
): TableMapping {
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
  const mapping: TableMapping = {
    shape,
    roles,
    hasTreatmentRow,
    variables: variablesIn([header, ...body], { shape, roles }, [], titles),
    words: [],
    zeros: { before: 'not_emerged', after: 'value' },
    dateOrder: guessedDateOrder(rows).order,
    decimalMark: decimalMarkOf(numberTexts(all)).mark,
    sownOn,
    observedOn: today,
    control: controlOf(rows, roles),
  };
  const variables = mapping.variables.map((variable) => {
    const { counting } = countingOf(rows, mapping, variable, headingOf(rows, mapping, variable, titles));
    return variable.kind === 'count' ? counted(variable, counting) : variable;
  });
  return { ...mapping, variables };
}

/** A variable whose counts are taken in one way: those of what stands there are of plants, not of seeds that came up. */
export function counted(variable: MappedVariable, counting: Counting): MappedVariable {
  const isOfSeeds = variable.name === 'seeds up' || variable.name === 'plants standing';
  if (!isOfSeeds) return { ...variable, counting };
  return counting === 'standing'
    ? { ...variable, counting, name: 'plants standing', unit: 'plants' }
    : { ...variable, counting, name: 'seeds up', unit: 'seeds' };
}

/** The cells of a table that can be numbers. */
export function numberTexts(body: Rows): string[] {
  return body
    .slice(0, MOST_NUMBER_ROWS)
    .flatMap((row) => row.map((text) => text.trim()).filter((text) => !isDate(text)));
}

const MOST_NUMBER_ROWS = 2000;

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
      return potColumnRoles(header, columns, body);
    case 'pots_in_rows':
      return potRowRoles(header, columns, body);
  }
}

/** In which order the dates of a table are meant; `isSure` false where both orders give days. */
export function guessedDateOrder([header = [], ...body]: Rows): {
  readonly order: DateOrder;
  readonly isSure: boolean;
  readonly example: string;
} {
  const cells = body.slice(0, MOST_NUMBER_ROWS).flat();
  const texts = [...header, ...cells].map((text) => text.trim()).filter(isDate);
  const is = (order: DateOrder, other: DateOrder): boolean =>
    texts.some((text) => dateOf(text, other) === undefined && dateOf(text, order) !== undefined);
  const example = texts.find((text) => dateOf(text, 'dmy') !== dateOf(text, 'mdy'));
  if (is('mdy', 'dmy')) return { order: 'mdy', isSure: true, example: '' };
  return { order: 'dmy', isSure: is('dmy', 'mdy') || example === undefined, example: example ?? '' };
}

function controlOf(rows: Rows, roles: readonly ColumnRole[]): string {
  const at = roles.indexOf('treatment');
  if (at < 0) return '';
  const names = new Set(rows.slice(1).map((row) => (row[at] ?? '').trim()));
  return (
    [...names].find((name) =>
      /^(control|ctrl|ctl|none|plain water|untreated|kontrolle|ohne|testigo|sin|t[ée]moin|sans)$/i.test(name),
    ) ?? ''
  );
}
