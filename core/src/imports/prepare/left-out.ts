import { plainNumber } from '../foreign-numbers.ts';
import { isSummaryName, roleNamed } from '../heading-names.ts';
import {
  cellAt,
  filledPlaces,
  isNumber,
  isNumbers,
  rowsOf,
  type Sheet,
  type SheetRow,
  sheetOf,
  widthOf,
} from './sheet.ts';

/** The fewest numbers above a row by which it can be told to be their sum or their mean. */
const FEWEST_ABOVE = 3;

/** A table without its rows and columns of means and sums. */
export interface LeftOut {
  readonly sheet: Sheet;
  /** Rows of the file that are left out. */
  readonly rows: readonly number[];
  /** Headings of the columns that are left out. */
  readonly columns: readonly string[];
}

/** Takes away means, sums, notes below the table and headings that come again. Undefined where there are none. */
export function withoutSummaries(sheet: Sheet): LeftOut | undefined {
  const [header = []] = sheet.rows;
  const width = widthOf(sheet.rows);
  const places = Array.from({ length: width }, (_, at) => at);
  const isValues = places.map(
    (at) => isNumbers(sheet, at) && ['value', undefined].includes(roleNamed(cellAt(header, at))),
  );
  const isMean = places.map((at) => isSummaryName(cellAt(header, at)) && isNumbers(sheet, at));
  const columns = places.filter(
    (at) => isMean[at] && places.some((other) => isValues[other] && !isMean[other]),
  );
  const values = places.filter((at) => isValues[at] && !columns.includes(at));
  const keys = places.filter((at) => !isValues[at] && roleNamed(cellAt(header, at)) !== 'observer');
  const [head, ...body] = rowsOf(sheet);
  const kept: SheetRow[] = [];
  const rows: number[] = [];
  for (const [index, row] of body.entries()) {
    const isLast = body.slice(index + 1).every(({ cells }) => isNote(cells));
    const isOut =
      keys.some((at) => isSummaryName(cellAt(row.cells, at))) ||
      isHeaderAgain(row.cells, header) ||
      (isLast && isNote(row.cells)) ||
      isUnnamedSummary(row.cells, kept, keys, values);
    if (isOut) rows.push(row.source);
    else kept.push(row);
  }
  if (!head || (rows.length === 0 && columns.length === 0)) return undefined;
  const without = ({ cells, source }: SheetRow): SheetRow => ({
    cells: cells.filter((_, at) => !columns.includes(at)),
    source,
  });
  return {
    sheet: sheetOf([head, ...kept].map(without)),
    rows,
    columns: columns.map((at) => cellAt(header, at)),
  };
}

/** One text alone below a table is a remark, such as "Pot 3 fell over". */
function isNote(cells: readonly string[]): boolean {
  const filled = filledPlaces(cells);
  return filled.length === 1 && filled[0] === 0 && cells.length > 2 && !isNumber(cellAt(cells, 0));
}

function isHeaderAgain(cells: readonly string[], header: readonly string[]): boolean {
  return filledPlaces(header).length > 1 && header.every((name, at) => name.trim() === cellAt(cells, at));
}

/** A row without any name whose numbers are the sums, or the means, of the rows above it. */
function isUnnamedSummary(
  cells: readonly string[],
  above: readonly SheetRow[],
  keys: readonly number[],
  values: readonly number[],
): boolean {
  if (keys.length === 0 || keys.some((at) => cellAt(cells, at) !== '')) return false;
  const filled = values.filter((at) => cellAt(cells, at) !== '');
  const isOf = (of: (numbers: readonly number[]) => number): boolean =>
    filled.every((at) => {
      const numbers = above.flatMap((row) => plainNumber(cellAt(row.cells, at)) ?? []).map(Number);
      const own = Number(plainNumber(cellAt(cells, at)) ?? Number.NaN);
      return (
        numbers.length >= FEWEST_ABOVE && Math.abs(of(numbers) - own) <= 0.006 * Math.max(1, Math.abs(own))
      );
    });
  const sum = (numbers: readonly number[]): number => numbers.reduce((total, number) => total + number, 0);
  return filled.length > 0 && (isOf(sum) || isOf((numbers) => sum(numbers) / numbers.length));
}
