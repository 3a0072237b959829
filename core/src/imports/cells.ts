import { say } from '@bright-sprout/words/imports';
import { type CalendarDay, isCalendarDay } from '../shared/index.ts';
import { unguardText } from './tidy-columns.ts';

/** One thing wrong with a file: where, what was found, and what was expected instead. */
export interface RowProblem {
  /** Row as a spreadsheet counts it: the header is row 1. 0 when it is about the file as a whole. */
  readonly row: number;
  readonly column: string;
  readonly found: string;
  readonly expected: string;
}

/** The most problems of a file that are collected. */
export const MOST_ROW_PROBLEMS = 10_000;

/** Reads the cells of one row and collects what is wrong with them. */
export class RowReader {
  readonly #places: ReadonlyMap<string, number>;
  readonly #cells: readonly string[];
  readonly #row: number;
  readonly #problems: RowProblem[];

  /** @param places where each column stands, the same for all rows */
  constructor(
    places: ReadonlyMap<string, number>,
    cells: readonly string[],
    row: number,
    problems: RowProblem[],
  ) {
    this.#places = places;
    this.#cells = cells;
    this.#row = row;
    this.#problems = problems;
  }

  /** The cell as text; empty when the column is absent. At most `longest` characters. */
  text(column: string, longest = 300): string {
    const text = unguardText((this.#cells[this.#places.get(column) ?? -1] ?? '').trim());
    if (text.length > longest) {
      this.problem(
        column,
        `${text.slice(0, 30)}…`,
        say('atMostCharactersFound', { longest, textCount: text.length }),
      );
      return '';
    }
    return text;
  }

  /** A whole number from `low` to `high`; undefined when the cell is empty or wrong. */
  whole(column: string, low: number, high: number): number | undefined {
    const text = this.text(column);
    if (text === '') return undefined;
    const value = Number(text);
    if (/^\d+$/.test(text) && value >= low && value <= high) return value;
    this.problem(column, text, say('aWholeNumberFromTo', { low, high }));
    return undefined;
  }

  /** A number that is at least `low` and at most `high`; undefined when the cell is empty or wrong. */
  number(column: string, low: number, high: number): number | undefined {
    const text = this.text(column);
    if (text === '') return undefined;
    const value = Number(text.replace(',', '.'));
    if (/^-?\d*[.,]?\d+([eE][-+]?\d+)?$/.test(text) && value >= low && value <= high) return value;
    this.problem(column, text, say('aNumberFromTo', { low, high }));
    return undefined;
  }

  /** A date; undefined when the cell is empty or wrong. */
  day(column: string): CalendarDay | undefined {
    const text = this.text(column);
    if (text === '') return undefined;
    if (isCalendarDay(text)) return text;
    this.problem(column, text, say('aDateThatExistsAsYyyyMm'));
    return undefined;
  }

  /** One of `choices`; undefined when the cell is empty or wrong. */
  oneOf<T extends string>(column: string, choices: readonly T[]): T | undefined {
    const text = this.text(column);
    if (text === '') return undefined;
    const choice = choices.find((candidate) => candidate === text.toLowerCase());
    if (choice === undefined) this.problem(column, text, say('oneOf', { choices: choices.join(', ') }));
    return choice;
  }

  /** Notes a problem with this row. */
  problem(column: string, found: string, expected: string): void {
    if (this.#problems.length < MOST_ROW_PROBLEMS)
      this.#problems.push({ row: this.#row, column, found, expected });
  }
}
