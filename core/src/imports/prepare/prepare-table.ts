import type { CalendarDay } from '../../shared/index.ts';
import { withCellUnits } from './cell-units.ts';
import { isRagged, joinedCommas } from './comma-cells.ts';
import { filledDown } from './filled-down.ts';
import { withoutSummaries } from './left-out.ts';
import { rowsOf, type Sheet, sheetOf, widthOf } from './sheet.ts';
import { splitHeadings, splitNames } from './split-names.ts';
import { sownIn, withHeadings, withoutTitles } from './title-rows.ts';
import { turnedTable } from './turned.ts';
import { oneHeading, withSections } from './two-headings.ts';
import { needsYear, withYear } from './years.ts';
import { withStates } from './yes-no.ts';

/** What can be done to a foreign table before its columns are read, in this order. */
export const PREPARATIONS = [
  'titles',
  'joined_commas',
  'headings',
  'turned',
  'sections',
  'two_headings',
  'left_out',
  'filled_down',
  'states',
  'cell_units',
  'split_names',
  'years',
] as const;
export type PreparationStep = (typeof PREPARATIONS)[number];

/** One thing that was done to a table, with what a person must see to judge it. */
export interface Prepared {
  readonly step: PreparationStep;
  /** Rows of the file that it concerns; empty where it concerns all. */
  readonly rows: readonly number[];
  /** Headings, or texts, that it concerns. */
  readonly texts: readonly string[];
}

/** A foreign table made plain: one row of headings, one thing a cell. */
export interface PreparedTable extends Sheet {
  readonly done: readonly Prepared[];
  /** What stood above the table. */
  readonly titles: readonly string[];
  /** The sowing day that stood above it. */
  readonly sownOn: CalendarDay | null;
  /** True where dates have no year and none was given. */
  readonly lacksYear: boolean;
  /** Names such as `A1`, which may say a treatment or a place; undefined where there are none. */
  readonly openName: Prepared | undefined;
  /** True where rows have more cells than there are headings. */
  readonly isRagged: boolean;
}

/** What a person said of a table before its columns. */
export interface PreparationChoices {
  /** Steps not to be taken. */
  readonly undone: readonly PreparationStep[];
  /** The year of dates without one; `null` where nobody said. */
  readonly year: number | null;
}

interface Step {
  readonly sheet: Sheet;
  readonly rows?: readonly number[];
  readonly texts?: readonly string[];
}

/** Makes a foreign table plain, by what is in it; each step can be left out. */
export function prepareTable(
  rows: readonly (readonly string[])[],
  choices: PreparationChoices,
): PreparedTable {
  let sheet = wholeRows(rows);
  const done: Prepared[] = [];
  const titles: string[] = [];
  const take = (step: PreparationStep, of: (sheet: Sheet) => Step | undefined): void => {
    if (choices.undone.includes(step)) return;
    const taken = of(sheet);
    if (!taken) return;
    sheet = taken.sheet;
    done.push({ step, rows: taken.rows ?? [], texts: taken.texts ?? [] });
  };
  const whole = (make: (sheet: Sheet) => Sheet | undefined) => (before: Sheet) => {
    const made = make(before);
    return made && { sheet: made };
  };
  take('titles', (before) => {
    const titled = withoutTitles(before);
    titles.push(...(titled?.titles ?? []));
    return titled && { sheet: titled.sheet, texts: titled.titles };
  });
  take('joined_commas', whole(joinedCommas));
  const ragged =
    isRagged(sheet) && !done.some(({ step }) => step === 'joined_commas') && hasDigitsPast(sheet);
  sheet = padded(sheet);
  take('headings', whole(withHeadings));
  take('turned', whole(turnedTable));
  take('sections', whole(withSections));
  take('two_headings', whole(oneHeading));
  take('left_out', (before) => {
    const left = withoutSummaries(before);
    return left && { sheet: left.sheet, rows: left.rows, texts: left.columns };
  });
  take('filled_down', (before) => {
    const filled = filledDown(before);
    return filled && { sheet: filled.sheet, texts: filled.columns };
  });
  take('states', (before) => {
    const stated = withStates(before);
    return stated && { sheet: stated.sheet, texts: stated.columns };
  });
  take('cell_units', whole(withCellUnits));
  const splitting = { isOpen: false };
  take('split_names', (before) => {
    const split = splitNames(before) ?? splitHeadings(before);
    splitting.isOpen = split?.isOpen ?? false;
    return split && { sheet: split.sheet, texts: [split.example.name, split.example.treatment] };
  });
  const lacksYear = choices.year === null && needsYear(sheet);
  take('years', (before) => {
    const dated = choices.year === null ? undefined : withYear(before, choices.year);
    return dated && { sheet: dated, texts: [String(choices.year)] };
  });
  const openName = splitting.isOpen ? done.find(({ step }) => step === 'split_names') : undefined;
  return {
    ...padded(sheet),
    done,
    titles,
    sownOn: sownIn(titles) ?? null,
    lacksYear,
    openName,
    isRagged: ragged,
  };
}

/** The rows that hold something, with their places in the file. */
function wholeRows(rows: readonly (readonly string[])[]): Sheet {
  const all = rowsOf({ rows, sources: rows.map((_, at) => at + 1) });
  return sheetOf(all.filter(({ cells }) => cells.some((text) => text.trim() !== '')));
}

/** All rows as wide as the widest of the first, without columns at the end that hold nothing. */
function padded({ rows, sources }: Sheet): Sheet {
  const width = Math.max(
    1,
    widthOf(rows.map((row) => row.slice(0, row.findLastIndex((text) => text.trim() !== '') + 1))),
  );
  return { rows: rows.map((row) => Array.from({ length: width }, (_, at) => row[at] ?? '')), sources };
}

/** True where what stands past the headings is digits, as of decimals that were cut. */
function hasDigitsPast({ rows: [header = [], ...body] }: Sheet): boolean {
  return body.some((row) => row.slice(header.length).some((text) => /^\d+$/.test(text.trim())));
}
