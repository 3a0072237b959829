import { say } from '@bright-sprout/words/refusals';
import {
  MOST_CELL_CHARACTERS,
  MOST_CELLS,
  MOST_TABLE_COLUMNS,
  MOST_TIDY_ROWS,
} from '@bright-sprout/core/imports';
import Papa from 'papaparse';
import { unreadable } from './unreadable.ts';

/** Lines with nothing in them are passed over, but not without end. */
const MOST_LINES = 4 * MOST_TIDY_ROWS;

/** Twice what the most rows take. */
const MOST_BYTES = 32_000_000;

/** Quotation marks are read one by one; each cell has two. */
const MOST_QUOTES = 2 * MOST_CELLS;

/**
 * The cells of a CSV file (RFC 4180, UTF-8 with or without its mark). Lines, columns and cells are counted first.
 * @throws ApiError `unreadable_file`
 */
export function readCsv(bytes: Uint8Array): string[][] {
  if (bytes.length > MOST_BYTES)
    throw tooMuch(say('bytes', { bytesCount: bytes.length }), say('atMostBytes', { mostBytes: MOST_BYTES }));
  const text = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength)
    .toString('utf8')
    .replace(/^\uFEFF/, '');
  const lines = countOf(text, '\n') + countOf(text, '\r');
  if (lines > 2 * MOST_LINES)
    throw tooMuch(say('lines', { lines }), say('atMostRows', { mostTidyRows: MOST_TIDY_ROWS }));
  const first = Papa.parse<string[]>(text.slice(0, 1_000_000), { preview: 1 }).data[0] ?? [];
  const columns = first.length;
  if (columns > MOST_TABLE_COLUMNS)
    throw tooMuch(
      say('columns', { columns }),
      say('atMostColumns', { mostTableColumns: MOST_TABLE_COLUMNS }),
    );
  const cells = countOf(text, ',') + countOf(text, ';') + countOf(text, '\t') + lines;
  if (cells > 4 * MOST_CELLS)
    throw tooMuch(say('cells', { cells }), say('atMostCells', { mostCells: MOST_CELLS }));
  const quotes = countOf(text, '"');
  if (quotes > MOST_QUOTES)
    throw tooMuch(say('quotationMarks', { quotes }), say('atMost', { mostQuotes: MOST_QUOTES }));
  const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const quoting = errors.find((error) => error.type === 'Quotes');
  if (quoting) {
    throw unreadable([
      {
        row: (quoting.row ?? 0) + 1,
        column: 'all',
        found: say('aQuotationMarkThatIsNeverClosed'),
        expected: say('eachToHaveItsPartner'),
      },
    ]);
  }
  for (const [index, row] of data.entries()) {
    const long = row.findIndex((cell) => cell.length > MOST_CELL_CHARACTERS);
    if (long < 0) continue;
    const found = say('aTextOfCharacters', { rowCount: row[long]?.length ?? 0 });
    const expected = say('atMostCharactersInACell', { mostCellCharacters: MOST_CELL_CHARACTERS });
    throw unreadable([{ row: index + 1, column: String(long + 1), found, expected }]);
  }
  return data;
}

function tooMuch(found: string, expected: string): Error {
  return unreadable([{ row: 0, column: 'all', found, expected }]);
}

function countOf(text: string, sign: string): number {
  let count = 0;
  for (let at = text.indexOf(sign); at >= 0; at = text.indexOf(sign, at + 1)) count += 1;
  return count;
}
