import { say } from '@bright-sprout/words/imports';
import { importRoutes } from '@bright-sprout/contract/imports';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { MOST_TABLE_COLUMNS, MOST_TIDY_ROWS } from '@bright-sprout/core/imports';
import { MOST_BUNDLE_BYTES, MOST_FILE_BYTES } from '@bright-sprout/core/shared';
import Papa from 'papaparse';
import { ApiFailure, call, sendFile } from '../shared/api/index.ts';

/** Long enough for the header of any table. */
const HEADER_CHARACTERS = 1_000_000;

/** A file as it was picked, with the id that its experiment will have. */
export interface PickedFile {
  readonly id: string;
  readonly file: File;
}

/** A table that is not ours, to be mapped. */
export interface ForeignTable {
  readonly id: string;
  readonly fileName: string;
  readonly sheets: readonly { readonly name: string; readonly rows: readonly (readonly string[])[] }[];
}

/**
 * Reads a file: ours is opened at once, the cells of another are given to be mapped.
 * @param onSent told the share of a bundle that has arrived, 0 to 1
 */
export async function readPicked(
  { id, file }: PickedFile,
  onSent: (share: number) => void,
): Promise<ExperimentView | ForeignTable> {
  const params = { newExperimentId: id };
  const fileName = file.name;
  const isBundle = /\.zip$/i.test(fileName);
  if (file.size > (isBundle ? MOST_BUNDLE_BYTES : MOST_FILE_BYTES)) throw tooLarge();
  if (file.size === 0) throw emptyTable();
  if (isBundle) {
    const sent = await sendFile(file, { onSent: (bytes) => onSent(bytes / file.size) });
    return call(importRoutes.openBundle, { params, body: { fileName, ...sent } });
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (/\.xlsx$/i.test(fileName)) {
    const sheets = await call(importRoutes.readSheets, { body: await sendFile(bytes) });
    return { id, fileName, sheets };
  }
  const text = textOf(bytes);
  if (isOurs(text)) {
    return call(importRoutes.openTidy, { params, body: { fileName, ...(await sendFile(bytes)) } });
  }
  const first = Papa.parse<string[]>(text.slice(0, HEADER_CHARACTERS), { preview: 1 }).data[0] ?? [];
  if (first.length > MOST_TABLE_COLUMNS) throw tooWide(first.length);
  const { data } = Papa.parse<string[]>(text, { preview: 2 * MOST_TIDY_ROWS });
  if (data.filter((row) => row.some((cell) => cell.trim() !== '')).length < 2) throw emptyTable();
  return { id, fileName, sheets: [{ name: fileName, rows: data }] };
}

/** The text of a file: UTF-8 or UTF-16, else as older programs of the west write it. */
function textOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** A tidy table has the columns that one cannot do without; others are mapped by hand. */
function isOurs(text: string): boolean {
  const columns = (Papa.parse<string[]>(text.slice(0, HEADER_CHARACTERS), { preview: 1 }).data[0] ?? []).map(
    (cell) => cell.trim(),
  );
  const has = (...names: string[]): boolean => names.some((name) => columns.includes(name));
  const hasTreatment = has('treatment') || columns.some((column) => column.startsWith('factor:'));
  return (
    has('unit') && hasTreatment && (has('observed') || (has('sown') && has('day'))) && has('value', 'state')
  );
}

function emptyTable(): ApiFailure {
  return new ApiFailure({
    code: 'unreadable_file',
    message: say('thisFileHasNoRowsOfValues'),
    fields: [],
  });
}

function tooWide(columns: number): ApiFailure {
  return new ApiFailure({
    code: 'unreadable_file',
    message: say('thisTableHasColumnsUpToCan', { columns, mostTableColumns: MOST_TABLE_COLUMNS }),
    fields: [],
  });
}

function tooLarge(): ApiFailure {
  return new ApiFailure({
    code: 'too_large',
    message: say('thisFileIsTooLargeFilesOf'),
    fields: [],
  });
}
