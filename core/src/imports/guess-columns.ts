import { dayNumberOf, isDate } from './foreign-dates.ts';
import { plainNumber } from './foreign-numbers.ts';
import { isEmptyText, isValueText } from './foreign-words.ts';
import { plainHeading, roleNamed } from './heading-names.ts';
import type { ColumnRole, TableShape } from './mapping.ts';

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
    named: settled(roleNamed(name), dates, filled),
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
  if (numberedColumns(header, columns).length > 0) return 'pots_in_columns';
  if (!isTimed && headDays >= 2 && headDays >= columns.length - 5) return 'pots_in_rows';
  const unnamed = others.filter((column) => isMostlyNumbers(column) && column.named === undefined);
  const hasTexts = others.some(
    (column) => column.filled > 0 && !isMostlyNumbers(column) && column.numbers === 0,
  );
  return isTimed && unnamed.length >= FEWEST_POT_COLUMNS && !hasTexts ? 'pots_in_columns' : 'long';
}

/** Columns of values that are numbered through under one name, such as `Dish 1`, `Dish 2`: each is a pot, or a dish. */
export function numberedColumns(header: readonly string[], columns: readonly Column[]): number[] {
  const stems = header.map((name, at) => {
    const column = columns[at];
    const isOpen =
      column !== undefined && column.named === undefined && isMostlyNumbers(column) && !isDayHead(name);
    return isOpen ? /^(\D*?)[\s#_.-]*\d+\s*$/.exec(plainHeading(name))?.[1]?.trim() : undefined;
  });
  const places = (stem: string): number[] => stems.flatMap((own, at) => (own === stem ? [at] : []));
  const numbered = new Set(
    stems.filter((stem) => stem !== undefined && stem !== '' && places(stem).length >= 2),
  );
  const [stem] = numbered;
  return numbered.size === 1 && stem !== undefined && REPEATED.test(stem) ? places(stem) : [];
}

const REPEATED =
  /^(dish|plate|petri|petri dish|rep|replicate|r|pot|cup|cell|plant|seedling|p|towel|sample|schale|petrischale|topf|pflanze|wiederholung|placa|maceta|planta|repeticion|boite|plante|repetition)$/;

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
