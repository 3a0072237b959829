import { roleNamed } from '../heading-names.ts';
import { cellAt, rowsOf, type Sheet, sheetOf } from './sheet.ts';

/**
 * Joins decimals that a comma without quotation marks has cut in two: `3` and `5` below `height` are `3,5`.
 * Undefined where no row is wider than its headings, or where it is not plain which cells belong together.
 */
export function joinedCommas(sheet: Sheet): Sheet | undefined {
  const [header = []] = sheet.rows;
  const width = header.length;
  const values = header.flatMap((name, at) => (roleNamed(name) === 'value' ? [at] : []));
  const places = values.length > 0 ? values : [width - 1];
  const isWide = (row: readonly string[]): boolean =>
    row.length > width && row.slice(width).some((text) => text.trim() !== '');
  if (width === 0 || !sheet.rows.slice(1).some(isWide)) return undefined;
  const joined = rowsOf(sheet).map(({ cells, source }, index) => {
    if (index === 0 || !isWide(cells)) return { cells, source };
    const made = joinedRow(cells, width, places);
    return made && { cells: made, source };
  });
  return joined.every((row) => row !== undefined) ? sheetOf(joined) : undefined;
}

/** True where rows have more cells than there are headings, and it is not plain what belongs together. */
export function isRagged({ rows: [header = [], ...body] }: Sheet): boolean {
  return body.some((row) => row.slice(header.length).some((text) => text.trim() !== ''));
}

function joinedRow(cells: readonly string[], width: number, places: readonly number[]): string[] | undefined {
  if (cells.length - width !== places.length) return undefined;
  const made: string[] = [];
  let at = 0;
  for (let column = 0; column < width; column += 1) {
    const whole = cellAt(cells, at);
    if (places.includes(column)) {
      const part = cellAt(cells, at + 1);
      if (!/^-?\d+$/.test(whole) || !/^\d+$/.test(part)) return undefined;
      made.push(`${whole},${part}`);
      at += 2;
    } else {
      made.push(whole);
      at += 1;
    }
  }
  return made;
}
