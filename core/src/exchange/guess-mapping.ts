import { type CalendarDay, calendarDay } from '../shared/index.ts';
import { dateOf, isEmptyText, isValueText } from './foreign-cells.ts';
import { type ColumnRole, readMapped, type TableMapping } from './table-mapping.ts';

const NAMES: readonly (readonly [RegExp, ColumnRole])[] = [
  [/^(pot|unit|cup|cell|dish|plant|plot|rep|replicate|id|no\.?|number|pot (no\.?|number|id))$/i, 'unit'],
  [/^(treatment|treat|trt|group|condition|soil|fertili[sz]er|feed|light|variety|crop|type)$/i, 'treatment'],
  [/^(block|tray|row|shelf)$/i, 'block'],
  [/^(team|student|observer|group name)$/i, 'team'],
  [/^(seeds|seeds sown|sown seeds|n seeds)$/i, 'seeds_sown'],
  [/^(sown|sowed|sown on|sowing|sowing date|planted|planted on)$/i, 'sown'],
  [/^(date|observed|observed on|measured on|day measured)$/i, 'date'],
  [/^(day|days|day no\.?|days after sowing|das|age)$/i, 'day'],
  [/^(state|status)$/i, 'state'],
  [
    /(height|length|weight|mass|yield|leaves|leaf|count|value|germinated|emerged|^up$|number up|seeds up|size|cover)/i,
    'value',
  ],
];
const SAMPLE = 60;
const FEW_LEVELS = 24;
const FEWEST_POT_COLUMNS = 3;

/**
 * A first mapping of a foreign table, to be looked at and changed: by the names of columns, and by what is in them.
 * @param rows cells with the header first
 * @param today the day of values without any date
 */
export function guessMapping(rows: readonly (readonly string[])[], today: CalendarDay): TableMapping {
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
    shape === 'pots-in-columns' &&
    columns.every((_, at) => at === 0 || !isValueText((body[0]?.[at] ?? '').trim()));
  const roles =
    shape === 'long'
      ? longRoles(columns)
      : shape === 'pots-in-columns'
        ? potColumnRoles(columns)
        : potRowRoles(header, columns);
  const valueNames = roles.flatMap((role, at) => (role === 'value' ? [header[at] ?? ''] : []));
  const mapping: TableMapping = {
    shape,
    roles,
    hasTreatmentRow,
    counting: 'so_far',
    variable: variableOf(shape === 'long' ? (valueNames[0] ?? '') : '', header),
    dateOrder: dateOrderOf(columns, header),
    sowedOn: null,
    observedOn: today,
    control: controlOf(rows, roles),
  };
  return mapping.variable.kind === 'count' && oftenFalls(rows, mapping)
    ? { ...mapping, counting: 'new' }
    : mapping;
}

const ANY_DAY = calendarDay('2020-01-01');
/** Plants get lost now and then; counts that fall in so many pots are not counts of what there is. */
const OFTEN = 0.25;

/** True when the count falls from one check to the next in many pots, as what there is by then hardly can. */
function oftenFalls(rows: readonly (readonly string[])[], mapping: TableMapping): boolean {
  const read = readMapped(
    rows.slice(0, MOST_LOOKED_AT),
    { ...mapping, sowedOn: mapping.sowedOn ?? ANY_DAY },
    '',
  );
  if (!read.ok) return false;
  const checks = new Map<number, { day: string; value: number }[]>();
  for (const { unit, observedOn, value } of read.experiment.readings) {
    if (value !== null) checks.set(unit, [...(checks.get(unit) ?? []), { day: observedOn, value }]);
  }
  const several = [...checks.values()].filter((own) => own.length > 1);
  const falling = several.filter((own) => {
    const ordered = own.sort((a, b) => (a.day < b.day ? -1 : 1));
    return ordered.some(({ value }, index) => index > 0 && value < (ordered[index - 1]?.value ?? 0));
  });
  return several.length > 0 && falling.length >= OFTEN * several.length;
}

const MOST_LOOKED_AT = 2000;

interface Column {
  readonly name: string;
  readonly named: ColumnRole | undefined;
  readonly numbers: number;
  readonly dates: number;
  readonly filled: number;
  readonly levels: number;
  readonly texts: readonly string[];
}

function columnOf(name: string, texts: readonly string[]): Column {
  const filled = texts.filter((text) => !isEmptyText(text));
  const dates = filled.filter(isDate).length;
  const numbers = filled.filter(isValueText).length;
  const named = NAMES.find(([pattern]) => pattern.test(name))?.[1];
  return {
    name,
    // "Sown" may head the day or the number of seeds: what is below it tells.
    named: named === 'sown' && dates === 0 && numbers > 0 ? 'seeds_sown' : named,
    numbers,
    dates,
    filled: filled.length,
    levels: new Set(filled).size,
    texts: filled,
  };
}

function shapeOf(header: readonly string[], columns: readonly Column[]): TableMapping['shape'] {
  const headDays = header.filter(
    (name) => isDate(name.trim()) || /^(day|d)?\s*\d{1,3}$/i.test(name.trim()),
  ).length;
  const [first, ...others] = columns;
  const isTimed = first?.named === 'date' || first?.named === 'day';
  if (!isTimed && headDays >= 2 && headDays >= columns.length - 4) return 'pots-in-rows';
  const isDays = first && (first.dates > first.filled / 2 || isTimed);
  const unnamed = others.filter((column) => isMostlyNumbers(column) && column.named === undefined);
  const hasTexts = others.some(
    (column) => column.filled > 0 && !isMostlyNumbers(column) && column.numbers === 0,
  );
  return isDays && unnamed.length >= FEWEST_POT_COLUMNS && !hasTexts ? 'pots-in-columns' : 'long';
}

function isMostlyNumbers(column: Column): boolean {
  return column.filled > 0 && column.numbers >= column.filled * 0.6;
}

function longRoles(columns: readonly Column[]): ColumnRole[] {
  const roles = columns.map((column): ColumnRole => {
    if (column.named === 'value' && column.filled > 0 && column.numbers === 0) return 'ignore';
    if (column.named !== undefined) return column.named;
    if (column.dates > column.filled / 2) return 'date';
    return 'ignore';
  });
  keepFirst(roles, [
    'unit',
    'treatment',
    'block',
    'team',
    'seeds_sown',
    'sown',
    'date',
    'day',
    'state',
    'value',
  ]);
  if (!roles.includes('value')) {
    const at = columns.findLastIndex((column, index) => roles[index] === 'ignore' && isMostlyNumbers(column));
    if (at >= 0) roles[at] = 'value';
  }
  if (!roles.includes('treatment')) {
    const at = columns.findIndex((column, index) => roles[index] === 'ignore' && isSorting(column));
    if (at >= 0) roles[at] = 'treatment';
  }
  const others = columns.flatMap((column, at) => (roles[at] === 'ignore' && isSorting(column) ? [at] : []));
  const treatment = roles.indexOf('treatment');
  if (others.length > 0 && treatment >= 0 && others.length < 3) {
    for (const at of [treatment, ...others]) roles[at] = 'factor';
  }
  return roles;
}

/** A few words that come again and again sort rows into groups. */
function isSorting(column: Column): boolean {
  return (
    column.numbers === 0 && column.levels >= 2 && column.levels <= FEW_LEVELS && column.levels < column.filled
  );
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

function potColumnRoles(columns: readonly Column[]): ColumnRole[] {
  return columns.map((column, at) => {
    if (at === 0) return column.dates > 0 ? 'date' : 'day';
    return column.filled > 0 ? 'value' : 'ignore';
  });
}

function potRowRoles(header: readonly string[], columns: readonly Column[]): ColumnRole[] {
  const roles = columns.map((column, at): ColumnRole => {
    const head = (header[at] ?? '').trim();
    if (isDate(head) || /^(day|d)?\s*\d{1,3}$/i.test(head)) return 'value';
    return column.named && column.named !== 'value'
      ? column.named
      : isSorting(column)
        ? 'treatment'
        : at === 0
          ? 'unit'
          : 'ignore';
  });
  keepFirst(roles, ['unit', 'treatment', 'block', 'team', 'seeds_sown', 'sown', 'state']);
  return roles;
}

function variableOf(column: string, header: readonly string[]): TableMapping['variable'] {
  const all = `${column} ${header.join(' ')}`;
  const unit = /\b(mm|cm|in|inch|inches)\b/i.exec(column)?.[1]?.toLowerCase();
  const length = unit?.startsWith('in') ? 'in' : unit;
  const name = column
    .replace(/[([].*$/, '')
    .replaceAll('_', ' ')
    .trim()
    .toLowerCase();
  if (/germinat|emerged|^up$|seeds up|number up/i.test(column.trim()))
    return { name: 'seeds up', kind: 'count', unit: 'seeds' };
  if (/leaves|leaf/i.test(column)) return { name: 'leaves', kind: 'count', unit: 'leaves' };
  if (column === '' || /height|length/i.test(column)) {
    const other = /\b(mm|cm|in)\b/i.exec(all)?.[1]?.toLowerCase();
    return { name: 'height', kind: 'length', unit: length ?? other ?? 'cm' };
  }
  const ownUnit = /[([]\s*([^)\]]{1,12})\s*[)\]]/.exec(column)?.[1] ?? '';
  return { name: name || 'value', kind: 'number', unit: length ?? ownUnit };
}

function dateOrderOf(columns: readonly Column[], header: readonly string[]): TableMapping['dateOrder'] {
  const texts = [...columns.flatMap((column) => column.texts), ...header];
  const isMonthFirst = texts.some(
    (text) => dateOf(text, 'dmy') === undefined && dateOf(text, 'mdy') !== undefined,
  );
  return isMonthFirst ? 'mdy' : 'dmy';
}

function controlOf(rows: readonly (readonly string[])[], roles: readonly ColumnRole[]): string {
  const at = roles.indexOf('treatment');
  if (at < 0) return '';
  const names = new Set(rows.slice(1).map((row) => (row[at] ?? '').trim()));
  return [...names].find((name) => /^(control|ctrl|ctl|none|plain water|untreated)$/i.test(name)) ?? '';
}

function isDate(text: string): boolean {
  return dateOf(text, 'dmy') !== undefined || dateOf(text, 'mdy') !== undefined;
}
