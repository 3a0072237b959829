import type { TidyRowParts } from '@bright-sprout/core/imports';
import Papa from 'papaparse';
import { joined } from './joined.ts';

const PART_CHARACTERS = 262_144;
const LINE_END = '\r\n';

/** A cell that must stand in quotation marks, in a row whose cells are joined by a sign that no text holds. */
const SPECIAL = /[",\r\n]|^ | $|\0 | \0/;

/**
 * Rows as CSV (RFC 4180, UTF-8), one after the other. The cells of a unit are written out once, as hundreds of rows
 * begin with them; a row in which nothing needs quoting is joined as it is.
 */
export function writeCsv(rows: Iterable<TidyRowParts>): Uint8Array {
  const parts: Uint8Array[] = [];
  const encoder = new TextEncoder();
  let text = '';
  let unit: readonly string[] | undefined;
  let unitText = '';
  for (const row of rows) {
    if (row.unit !== unit) {
      unit = row.unit;
      unitText = Papa.unparse([[...row.unit]]);
    }
    text += `${unitText},${lineOf(row.reading)}${LINE_END}`;
    if (text.length < PART_CHARACTERS) continue;
    parts.push(encoder.encode(text));
    text = '';
  }
  parts.push(encoder.encode(text));
  return joined(parts);
}

function lineOf(cells: readonly string[]): string {
  return SPECIAL.test(cells.join('\0')) ? Papa.unparse([[...cells]]) : cells.join(',');
}
