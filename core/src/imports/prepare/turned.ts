import { dayNumberOf, isDate } from '../foreign-dates.ts';
import { roleNamed } from '../heading-names.ts';
import { cellAt, rowsOf, type Sheet, widthOf } from './sheet.ts';

/** Turns a table whose headings stand in its first column, one below the other. Undefined where they do not. */
export function turnedTable(sheet: Sheet): Sheet | undefined {
  const rows = rowsOf(sheet);
  const width = widthOf(sheet.rows);
  const side = rows.map(({ cells }) => cellAt(cells, 0));
  const top = Array.from({ length: width }, (_, at) => cellAt(sheet.rows[0], at));
  if (rows.length < 2 || width < 3) return undefined;
  const facts = (texts: readonly string[]): number =>
    texts.filter((text) => {
      const role = roleNamed(text);
      return role !== undefined && role !== 'plant';
    }).length;
  const isSide = facts(side) >= 2 && facts(top) <= 1 && facts(side) > facts(top);
  const isAllNamed = side.every(
    (text) => roleNamed(text) !== undefined || isDate(text) || dayNumberOf(text) !== undefined,
  );
  if (!isSide || !isAllNamed) return undefined;
  return {
    rows: Array.from({ length: width }, (_, at) => rows.map(({ cells }) => cellAt(cells, at))),
    sources: Array.from({ length: width }, (_, at) => at + 1),
  };
}
