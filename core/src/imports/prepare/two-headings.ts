import { dayNumberOf, isDate } from '../foreign-dates.ts';
import { isDayHead } from '../guess-columns.ts';
import { unitOf } from '../foreign-numbers.ts';
import { isSummaryName, roleNamed } from '../heading-names.ts';
import { cellAt, filledPlaces, isNumber, rowsOf, type Sheet, sheetOf, widthOf } from './sheet.ts';

/** A column under two headings: `above` is empty where one stands alone. */
interface Headed {
  readonly at: number;
  readonly above: string;
  readonly own: string;
}

/** Makes one row of headings of two: units are put behind their names, groups of columns become rows. */
export function oneHeading(sheet: Sheet): Sheet | undefined {
  return withUnits(sheet) ?? withoutGroups(sheet);
}

/** A row below the headings that holds units alone goes into the headings, in brackets. */
function withUnits({ rows: [header = [], second = [], ...body], sources }: Sheet): Sheet | undefined {
  const texts = second.map((text) => text.trim().replace(/^[([]\s*|\s*[)\]]$/g, ''));
  const filled = texts.filter((text) => text !== '');
  const isUnits =
    filled.length > 0 &&
    filled.every((text) => unitOf(text) !== undefined || /^(days?|dates?|nr|no|-)$/i.test(text));
  if (!isUnits || body.length === 0 || !filled.some((text) => unitOf(text))) return undefined;
  const named = header.map((name, at) =>
    unitOf(texts[at] ?? '') ? `${name.trim()} (${unitOf(texts[at] ?? '')})` : name,
  );
  return { rows: [named, ...body], sources: [sources[0] ?? 1, ...sources.slice(2)] };
}

function withoutGroups(sheet: Sheet): Sheet | undefined {
  const [upper = [], lower = [], ...body] = sheet.rows;
  if (!isGrouped(upper, lower, body)) return undefined;
  const columns = headedColumns(upper, lower, widthOf(sheet.rows));
  const single = columns.filter(({ above }) => above === '');
  const grouped = columns.filter(
    ({ above, own }) => above !== '' && !isSummaryName(own) && !isSummaryName(above),
  );
  if (grouped.length < 2) return undefined;
  const isTimed = single.some((column) => ['date', 'day'].includes(roleNamed(column.own) ?? ''));
  const above = kindOf(
    grouped.map((column) => column.above),
    isTimed,
  );
  const own = kindOf(
    grouped.map((column) => column.own),
    isTimed,
  );
  const bodyRows = rowsOf(sheet).slice(2);
  const longer = (heads: readonly string[], made: (cells: readonly string[]) => string[][]): Sheet => ({
    rows: [
      [...single.map((column) => column.own), ...heads],
      ...bodyRows.flatMap(({ cells }) => made(cells)),
    ],
    sources: [
      sheet.sources[0] ?? 1,
      ...bodyRows.flatMap(({ cells, source }) => made(cells).map(() => source)),
    ],
  });
  const fixed = (cells: readonly string[]): string[] => single.map(({ at }) => cellAt(cells, at));
  if (own === 'value' || above === 'value') {
    const [side, value] = own === 'value' ? (['above', 'own'] as const) : (['own', 'above'] as const);
    const sides = [...new Set(grouped.map((column) => column[side]))];
    const values = [...new Set(grouped.map((column) => column[value]))];
    return longer([headFor(side === 'above' ? above : own, single, sides), ...values], (cells) =>
      sides.map((name) => [
        ...fixed(cells),
        name,
        ...values.map((head) => {
          const at = grouped.find((column) => column[side] === name && column[value] === head)?.at;
          return at === undefined ? '' : cellAt(cells, at);
        }),
      ]),
    );
  }
  return longer(
    [headFor(above, single, []), headFor(own, [{ own: 'treatment' }, ...single], []), 'value'],
    (cells) => grouped.map((column) => [...fixed(cells), column.above, column.own, cellAt(cells, column.at)]),
  );
}

/** Two rows of headings: no numbers in the second but days, names that span several columns in the first. */
function isGrouped(upper: readonly string[], lower: readonly string[], body: Sheet['rows']): boolean {
  const below = filledPlaces(lower);
  const isText = below.every((at) => !isNumber(cellAt(lower, at)) || isDayHead(cellAt(lower, at)));
  const spans = below.filter(
    (at) => cellAt(upper, at) === '' && filledPlaces(upper).some((place) => place < at),
  );
  const names = filledPlaces(upper).map((at) => cellAt(upper, at));
  const isRepeated = new Set(names).size < names.length && below.length >= names.length;
  const isNumbered = below.some((at) => at > 0 && body.some((row) => isNumber(cellAt(row, at))));
  const isLower = below.some(
    (at) =>
      roleNamed(cellAt(lower, at)) !== undefined ||
      isDayHead(cellAt(lower, at)) ||
      /\d$/.test(cellAt(lower, at)) ||
      isRepeated,
  );
  return (
    body.length > 0 &&
    below.length >= 2 &&
    isText &&
    isNumbered &&
    isLower &&
    (spans.length > 0 || isRepeated)
  );
}

function headedColumns(upper: readonly string[], lower: readonly string[], width: number): Headed[] {
  let group = '';
  return Array.from({ length: width }, (_, at) => {
    const [above, own] = [cellAt(upper, at), cellAt(lower, at)];
    if (own === '') return { at, above: '', own: above };
    if (above !== '') group = above;
    return { at, above: group, own };
  });
}

/** @param isTimed whether a column tells the day, so that numbers alone are no days */
function kindOf(names: readonly string[], isTimed: boolean): 'day' | 'date' | 'value' | 'name' {
  if (names.every((name) => isDate(name))) return 'date';
  if (!isTimed && names.every((name) => dayNumberOf(name) !== undefined)) return 'day';
  return names.every((name) => roleNamed(name) === 'value') ? 'value' : 'name';
}

/** What to call the column that a row of headings becomes. */
function headFor(
  kind: ReturnType<typeof kindOf>,
  beside: readonly { readonly own: string }[],
  names: readonly string[],
): string {
  if (kind === 'day' || kind === 'date') return kind;
  const arePots =
    names.length > 0 && names.every((name) => /^(pot|cup|plant|topf|maceta)?\s*\d+$/i.test(name));
  const hasTreatment = beside.some(({ own }) => roleNamed(own) === 'treatment');
  return arePots ? 'pot' : hasTreatment ? 'replicate' : 'treatment';
}

/** Sheets whose rows are blocks under names of their own: `Salt`, its rows, `Plain`, its rows. */
export function withSections(sheet: Sheet): Sheet | undefined {
  const [header = [], ...body] = rowsOf(sheet);
  const heads = 'cells' in header ? header.cells : [];
  const isSection = ({ cells }: { cells: readonly string[] }): boolean => {
    const filled = filledPlaces(cells);
    return (
      filled.length === 1 &&
      filled[0] === 0 &&
      !isNumber(cellAt(cells, 0)) &&
      !isSummaryName(cellAt(cells, 0))
    );
  };
  const sections = body.filter(isSection);
  const hasTreatment = heads.some((name) => ['treatment', 'factor'].includes(roleNamed(name) ?? ''));
  const [first] = body;
  const last = body.at(-1);
  if (hasTreatment || sections.length < 2 || !first || !last || !isSection(first) || isSection(last))
    return undefined;
  let name = '';
  const made = body.flatMap(({ cells, source }) => {
    if (isSection({ cells })) {
      name = cellAt(cells, 0);
      return [];
    }
    return [{ cells: [name, ...cells], source }];
  });
  return sheetOf([{ cells: ['treatment', ...heads], source: sheet.sources[0] ?? 1 }, ...made]);
}
