import type { RowProblem } from './cells.ts';
import { MOST_CELL_CHARACTERS, MOST_TABLE_COLUMNS, MOST_TIDY_ROWS, tooManyColumns } from './read-tidy.ts';

/**
 * What makes a table larger than a class can have filled; counted before anything is made of its cells.
 * @param values columns that hold values
 */
export function sizeProblems(rows: readonly (readonly string[])[], values: number): RowProblem[] {
  const [header = []] = rows;
  if (header.length > MOST_TABLE_COLUMNS) return [tooManyColumns(header.length)];
  if (values * rows.length > 2 * MOST_TIDY_ROWS) {
    const found = `${rows.length} rows of ${values} values`;
    return [{ row: 0, column: 'all', found, expected: `at most ${MOST_TIDY_ROWS} values` }];
  }
  for (const [index, row] of rows.entries()) {
    const long = row.findIndex((cell) => cell.length > MOST_CELL_CHARACTERS);
    if (long < 0) continue;
    const found = `a text of ${row[long]?.length ?? 0} characters`;
    const expected = `at most ${MOST_CELL_CHARACTERS} characters in a cell`;
    return [{ row: index + 1, column: String(long + 1), found, expected }];
  }
  return [];
}
