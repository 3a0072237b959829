import { say } from '@bright-sprout/words/refusals';
import type { SheetView } from '@bright-sprout/contract/imports';
import {
  MOST_CELL_CHARACTERS,
  MOST_CELLS,
  MOST_TABLE_COLUMNS,
  MOST_TIDY_ROWS,
} from '@bright-sprout/core/imports';
import readExcelFile from 'read-excel-file/node';
import { ApiError } from '../shared/index.ts';
import { sheetCells, sheetParts } from './sheet-cells.ts';
import { unzipBounded } from './unzip-bounded.ts';

const MOST_SHEETS = 30;
const MOST_UNPACKED = 60_000_000;

/**
 * The sheets of a spreadsheet as text: dates as YYYY-MM-DD, formulas by their results. Its size is measured before
 * anything is made of it: a cell far outside makes a program build all cells up to it.
 * @throws ApiError `unreadable_file` for anything that is no XLSX file, or a larger one than can be opened here
 */
export async function readSheets(file: Buffer): Promise<SheetView[]> {
  const parts = unzipBounded(file, MOST_UNPACKED, (name) => /^xl\/.*\.(xml|rels)$/.test(name));
  if (!parts) throw noSheet();
  const sheets = [...parts].filter(([name]) => name.startsWith('xl/worksheets/sheet'));
  if (sheets.length === 0) throw noSheet();
  if (sheets.length > MOST_SHEETS) throw tooLarge(say('itHasSheets', { sheetsCount: sheets.length }));
  for (const [, bytes] of sheets) measure(bytes);
  const read = await readExcelFile(file).catch(() => {
    throw noSheet();
  });
  const ordered = sheetParts(parts);
  const filled = read
    .map(({ sheet, data }, index) => {
      const part = ordered[index];
      const shown = part === undefined ? undefined : sheetCells(part, parts.get('xl/styles.xml'));
      if (shown?.unsolved !== undefined) throw unsolved(sheet, shown.unsolved);
      return {
        name: sheet,
        rows: data.map((row, at) =>
          row.map((value, column) => shownText(value, shown?.percent.has(placeOf(at, column)) ?? false)),
        ),
      };
    })
    .filter(({ rows }) => rows.some(hasText));
  if (filled.length === 0) throw noSheet();
  return filled;
}

/** How far the cells of a sheet reach, by the places that they name. */
function measure(bytes: Uint8Array): void {
  const xml = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('latin1');
  let rows = 0;
  let columns = 0;
  let cells = 0;
  for (const [, letters = '', number = ''] of xml.matchAll(
    /<(?:\w{1,8}:)?(?:c|row)\b[^>]{0,200}?\br="([A-Za-z]{0,8})(\d{1,12})"/g,
  )) {
    cells += 1;
    rows = Math.max(rows, Number(number));
    columns = Math.max(columns, columnNumber(letters));
  }
  if (rows > MOST_TIDY_ROWS + 1) throw tooLarge(say('aCellStandsInRow', { rows }));
  if (columns > MOST_TABLE_COLUMNS) throw tooLarge(say('aCellStandsInColumn', { columns }));
  if (rows * columns > MOST_CELLS || cells > MOST_CELLS) throw tooLarge(say('itHasTooManyCells'));
}

function columnNumber(letters: string): number {
  let number = 0;
  for (const letter of letters.toUpperCase()) number = number * 26 + letter.charCodeAt(0) - 64;
  return number;
}

function hasText(row: readonly string[]): boolean {
  return row.some((cell) => cell !== '');
}

function cellText(value: unknown): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return Number.isNaN(value.getTime()) ? '' : value.toISOString().slice(0, 10);
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  if (text.length > MOST_CELL_CHARACTERS) throw tooLarge(say('aCellHoldsAVeryLongText'));
  return text;
}

/** A value that is shown as per cent is text with its sign, so that nobody takes 0.85 for it. */
function shownText(value: unknown, isPercent: boolean): string {
  return isPercent && typeof value === 'number'
    ? `${Number((value * 100).toPrecision(12))}%`
    : cellText(value);
}

function placeOf(row: number, column: number): string {
  const letter = String.fromCodePoint(65 + (column % 26));
  return `${column < 26 ? '' : String.fromCodePoint(64 + Math.floor(column / 26))}${letter}${row + 1}`;
}

function unsolved(sheet: string, cell: string): ApiError {
  return new ApiError('unreadable_file', say('formulaWithoutResult', { sheet, cell }), {
    rows: [],
    rowCount: 0,
  });
}

function noSheet(): ApiError {
  return new ApiError('unreadable_file', say('thisIsNotASpreadsheetThatCan'), { rows: [], rowCount: 0 });
}

function tooLarge(what: string): ApiError {
  return new ApiError(
    'unreadable_file',
    say('thisSpreadsheetIsTooLargeToOpen', {
      what,
      mostTidyRows: MOST_TIDY_ROWS,
      mostTableColumns: MOST_TABLE_COLUMNS,
    }),
    { rows: [], rowCount: 0 },
  );
}
