import { roleNamed } from '../heading-names.ts';
import type { ColumnRole } from '../mapping.ts';
import { cellAt, filledPlaces, isNumbers, rowsOf, type Sheet, sheetOf, widthOf } from './sheet.ts';

const SORTING: readonly (ColumnRole | undefined)[] = [
  'unit',
  'replicate',
  'treatment',
  'block',
  'team',
  'sown',
  'date',
  'day',
  'seeds_sown',
  undefined,
];
/** Below so few gaps, a cell is more likely forgotten than merged. */
const FEWEST_EMPTY = 0.3;

/** A table whose merged cells are filled, with the headings of the columns that were. */
export interface FilledDown {
  readonly sheet: Sheet;
  readonly columns: readonly string[];
}

/** Fills what stands once for several rows into each of them. Undefined where nothing does. */
export function filledDown(sheet: Sheet): FilledDown | undefined {
  const [header = [], ...body] = sheet.rows;
  const filled = body.filter((row) => filledPlaces(row).length > 0);
  const columns = Array.from({ length: widthOf(sheet.rows) }, (_, at) => at).filter((at) => {
    const role = roleNamed(cellAt(header, at));
    const isSorting = SORTING.includes(role) && (role !== undefined || !isNumbers(sheet, at));
    const empty = filled.filter((row) => cellAt(row, at) === '').length;
    const texts = new Set(filled.map((row) => cellAt(row, at))).size - 1;
    const isMerged = texts >= 2 || role === 'date' || role === 'day' || role === 'sown';
    return isSorting && isMerged && cellAt(filled[0], at) !== '' && empty >= FEWEST_EMPTY * filled.length;
  });
  if (columns.length === 0) return undefined;
  const last = new Map<number, string>();
  const rows = rowsOf(sheet).map(({ cells, source }, index) => {
    if (index === 0 || filledPlaces(cells).length === 0) return { cells, source };
    const made = [...cells];
    for (const at of columns) {
      if (cellAt(cells, at) === '') made[at] = last.get(at) ?? '';
      else last.set(at, cellAt(cells, at));
    }
    return { cells: made, source };
  });
  return { sheet: sheetOf(rows), columns: columns.map((at) => cellAt(header, at)) };
}
