import { type SheetView } from '@bright-sprout/contract/exchange';
import ExcelJS from 'exceljs';
import { ApiError } from '../shared/index.ts';

const MOST_ROWS = 50_001;
const MOST_COLUMNS = 400;

/** Rows as a spreadsheet with one sheet; numbers as numbers, so that they can be added up. */
export async function writeSheet(rows: readonly (readonly string[])[]): Promise<Buffer> {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet('readings', { views: [{ state: 'frozen', ySplit: 1 }] });
  const [header = [], ...body] = rows;
  sheet.addRow([...header]).font = { bold: true };
  for (const row of body) sheet.addRow(row.map((cell) => (isPlainNumber(cell) ? Number(cell) : cell)));
  return Buffer.from(await book.xlsx.writeBuffer());
}

/** Numbers that a spreadsheet gives back as they are; ids and codes with leading zeros stay text. */
function isPlainNumber(cell: string): boolean {
  return /^-?(0|[1-9]\d{0,14})(\.\d{1,10})?$/.test(cell);
}

/**
 * The sheets of a spreadsheet as text: dates as YYYY-MM-DD, formulas by their results.
 * @throws ApiError `unreadable_file` for anything that is no XLSX file
 */
export async function readSheets(file: Buffer): Promise<SheetView[]> {
  const book = new ExcelJS.Workbook();
  try {
    await book.xlsx.load(file as unknown as ArrayBuffer);
  } catch {
    throw unreadable();
  }
  const sheets = book.worksheets.map((sheet) => ({ name: sheet.name, rows: rowsOf(sheet) }));
  const filled = sheets.filter((sheet) => sheet.rows.length > 0);
  if (filled.length === 0) throw unreadable();
  return filled;
}

function unreadable(): ApiError {
  return new ApiError(
    'unreadable_file',
    'This is not a spreadsheet that can be read. Save it as XLSX or CSV.',
    {
      rows: [],
      rowCount: 0,
    },
  );
}

function rowsOf(sheet: ExcelJS.Worksheet): string[][] {
  const width = Math.min(sheet.columnCount, MOST_COLUMNS);
  const rows: string[][] = [];
  sheet.eachRow({ includeEmpty: false }, (row) => {
    if (rows.length >= MOST_ROWS) return;
    rows.push(Array.from({ length: width }, (_, at) => cellText(row.getCell(at + 1).value)));
  });
  return rows;
}

function cellText(value: ExcelJS.CellValue): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value !== 'object') return String(value);
  if ('result' in value) return cellText(value.result ?? null);
  if ('richText' in value) return value.richText.map((part) => part.text).join('');
  return 'text' in value ? value.text : '';
}
