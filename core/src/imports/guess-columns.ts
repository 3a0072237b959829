import { dayNumberOf, isDate } from './foreign-dates.ts';
import { isEmptyText, isValueText, plainNumber } from './foreign-words.ts';
import type { ColumnRole, TableShape } from './mapping.ts';

const NAMES: readonly (readonly [RegExp, ColumnRole])[] = [
  [/^(pot|unit|cup|cell|plot|bag|jar|id|no\.?|number|pot (no\.?|number|id)|sample( id)?)$/i, 'unit'],
  [
    /^(rep|reps|replicate|replication|repeat|dish|plate|petri( dish)?|towel|dish (no\.?|number))$/i,
    'replicate',
  ],
  [/^(plant|seedling|shoot|stem|plant (no\.?|number|id))$/i, 'plant'],
  [
    /^(treatment|treat|trt|group|condition|soil|fertili[sz]er|feed|light|variety|cultivar|crop|type)$/i,
    'treatment',
  ],
  [/^(block|tray|row|shelf|bench)$/i, 'block'],
  [/^(team|group name|table)$/i, 'team'],
  [/^(observer|reader|student|pupil|name|read by|measured by|who|initials)$/i, 'observer'],
  [/^(seeds|seeds sown|sown seeds|n seeds|number sown|no\.? sown)$/i, 'seeds_sown'],
  [/^(sown|sowed|sown on|sowing|sowing date|date sown|planted|planted on)$/i, 'sown'],
  [/^(date|observed|observed on|measured on|day measured|date read|when)$/i, 'date'],
  [/^(day|days|day no\.?|days after sowing|days since sowing|das|age|weeks?|week no\.?)$/i, 'day'],
  [/^(state|status|fate|alive)$/i, 'state'],
  [/^(variable|measure|measurement|measured|trait|parameter|quantity|what)$/i, 'variable'],
  [
    /(height|length|width|weight|mass|yield|leaves|leaf|count|value|reading|result|germinat|emerged|^up$|number up|seeds up|size|cover|score|rating|area|flowers|pods)/i,
    'value',
  ],
];

const FEW_LEVELS = 24;
const FEW_NUMBERS = 8;
const FEWEST_POT_COLUMNS = 3;

/** What is in a column: its header, and the cells below it that are not empty. */
export interface Column {
  readonly name: string;
  /** The role that its header names. */
  readonly named: ColumnRole | undefined;
  readonly numbers: number;
  readonly dates: number;
  readonly filled: number;
  readonly levels: number;
  readonly texts: readonly string[];
}

/** @param texts the cells below the header, trimmed */
export function columnOf(header: string, texts: readonly string[]): Column {
  const filled = texts.filter((text) => !isEmptyText(text));
  const dates = filled.filter(isDate).length;
  const numbers = filled.filter(isValueText).length;
  const name = header.replaceAll('_', ' ').trim();
  return {
    name,
    named: settled(NAMES.find(([pattern]) => pattern.test(name))?.[1], dates, filled),
    numbers,
    dates,
    filled: filled.length,
    levels: new Set(filled).size,
    texts: filled,
  };
}

/** What is below a header tells where its name may mean two things. */
function settled(
  named: ColumnRole | undefined,
  dates: number,
  filled: readonly string[],
): ColumnRole | undefined {
  const numbers = filled.filter((text) => plainNumber(text) !== undefined).length;
  if (named === 'sown' && dates === 0 && numbers > 0) return 'seeds_sown';
  if (named === 'day' && dates > filled.length / 2) return 'date';
  if (named === 'date' && dates === 0 && filled.length > 0 && filled.every(isShortNumber)) return 'day';
  if (named === 'variable' && numbers > 0) return undefined;
  if (named === 'treatment' && filled.length > 0 && dates === filled.length) return undefined;
  return named;
}

/** How a table holds its values, by its headers and what is below them. */
export function shapeOf(header: readonly string[], columns: readonly Column[]): TableShape {
  const headDays = header.filter((name) => isDayHead(name)).length;
  const [first, ...others] = columns;
  const isTimed = first !== undefined && (first.named === 'day' || first.named === 'date' || first.dates > 0);
  if (!isTimed && headDays >= 2 && headDays >= columns.length - 5) return 'pots_in_rows';
  const unnamed = others.filter((column) => isMostlyNumbers(column) && column.named === undefined);
  const hasTexts = others.some(
    (column) => column.filled > 0 && !isMostlyNumbers(column) && column.numbers === 0,
  );
  return isTimed && unnamed.length >= FEWEST_POT_COLUMNS && !hasTexts ? 'pots_in_columns' : 'long';
}

/** True for the header of a column that holds one day: a date, or days since sowing. */
export function isDayHead(name: string): boolean {
  return isDate(name.trim()) || dayNumberOf(name.trim()) !== undefined;
}

/** True when at least six of ten cells can be values. */
export function isMostlyNumbers(column: Column): boolean {
  return column.filled > 0 && column.numbers >= column.filled * 0.6;
}

/** A few words that come again and again sort rows into groups. */
export function isSorting(column: Column): boolean {
  return (
    column.numbers === 0 && column.levels >= 2 && column.levels <= FEW_LEVELS && column.levels < column.filled
  );
}

/** A few numbers that come again and again, such as concentrations, sort rows into groups too. */
export function isSortingByNumber(column: Column): boolean {
  return (
    column.filled > 0 &&
    column.texts.every((text) => plainNumber(text) !== undefined) &&
    column.levels >= 2 &&
    column.levels <= FEW_NUMBERS &&
    column.levels <= column.filled / 2
  );
}

function isShortNumber(text: string): boolean {
  return dayNumberOf(text) !== undefined;
}
