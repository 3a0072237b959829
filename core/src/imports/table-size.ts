import { say } from '@bright-sprout/words/imports';
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
    const found = say('rowsOfValues', { rowsCount: rows.length, values });
    return [
      { row: 0, column: 'all', found, expected: say('atMostValues', { mostTidyRows: MOST_TIDY_ROWS }) },
    ];
  }
  for (const [index, row] of rows.entries()) {
    const long = row.findIndex((cell) => cell.length > MOST_CELL_CHARACTERS);
    if (long < 0) continue;
    const found = say('aTextOfCharacters', { rowCount: row[long]?.length ?? 0 });
    const expected = say('atMostCharactersInACell', { mostCellCharacters: MOST_CELL_CHARACTERS });
    return [{ row: index + 1, column: String(long + 1), found, expected }];
  }
  return [];
}
