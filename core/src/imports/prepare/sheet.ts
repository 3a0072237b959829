import { isDate } from '../foreign-dates.ts';
import { amountOf } from '../foreign-numbers.ts';
import { isEmptyText } from '../foreign-words.ts';

/** Cells of a table, its headings first, with the row of the file that each row came from, from 1. */
export interface Sheet {
  readonly rows: readonly (readonly string[])[];
  readonly sources: readonly number[];
}

/** A row of a sheet with its place in the file. */
export interface SheetRow {
  readonly cells: readonly string[];
  readonly source: number;
}

/** The rows of a sheet one by one. */
export function rowsOf({ rows, sources }: Sheet): SheetRow[] {
  return rows.map((cells, at) => ({ cells, source: sources[at] ?? at + 1 }));
}

/** A sheet of rows. */
export function sheetOf(rows: readonly SheetRow[]): Sheet {
  return { rows: rows.map(({ cells }) => cells), sources: rows.map(({ source }) => source) };
}

/** How many columns the widest of the first rows has. */
export function widthOf(rows: Sheet['rows']): number {
  return Math.max(0, ...rows.slice(0, 200).map((row) => row.length));
}

/** A cell without spaces round it; empty where the row is shorter. */
export function cellAt(row: readonly string[] | undefined, at: number): string {
  return (row?.[at] ?? '').trim();
}

/** Where a row has text. */
export function filledPlaces(row: readonly string[]): number[] {
  return row.flatMap((text, at) => (text.trim() === '' ? [] : [at]));
}

/** The cells below the heading of a column that hold something. */
export function columnTexts({ rows }: Sheet, at: number): string[] {
  return rows.slice(1).flatMap((row) => (isEmptyText(cellAt(row, at)) ? [] : [cellAt(row, at)]));
}

/** True for a cell with a number that is no date. */
export function isNumber(text: string): boolean {
  return amountOf(text) !== undefined && !isDate(text.trim());
}

/** True for a column that holds numbers and hardly anything else. */
export function isNumbers(sheet: Sheet, at: number): boolean {
  const texts = columnTexts(sheet, at);
  return texts.length > 0 && texts.filter(isNumber).length >= 0.6 * texts.length;
}
