import { say } from '@bright-sprout/words/imports';
import { addDays, type CalendarDay } from '../shared/index.ts';
import { type RowProblem, RowReader } from './cells.ts';
import { chainedCorrections, checkCorrections } from './check-corrections.ts';
import { MOST_DAYS } from './foreign-dates.ts';
import type { ExchangedExperiment, ExchangedReading } from './model.ts';
import { PlanCollector } from './plan-collector.ts';
import { readReading } from './read-reading.ts';
import { FACTOR_PREFIX, unguardText } from './tidy-columns.ts';

/** The most readings one file may hold. */
export const MOST_TIDY_ROWS = 50_000;

/** The most columns of a table. */
export const MOST_TABLE_COLUMNS = 400;

/** The most cells of a table. */
export const MOST_CELLS = 2_500_000;

/** The most characters of one cell: a question has three hundred. */
export const MOST_CELL_CHARACTERS = 2000;

/** An experiment, or everything that stands in the way of reading it. Never half of one. */
export type TidyResult =
  | { readonly ok: true; readonly experiment: ExchangedExperiment }
  | { readonly ok: false; readonly problems: readonly RowProblem[] };

/**
 * Reads rows of a tidy table back into an experiment. Needs the columns `unit`, `treatment` (or a factor), and
 * `observed` (or `sown` with `day`); the others have defaults. The columns may stand in any order.
 * @param rows cells with the header first, as a CSV parser gives them
 * @param name what to call the experiment when the file holds no question
 */
export function readTidy(rows: readonly (readonly string[])[], name: string): TidyResult {
  const problems: RowProblem[] = [];
  const [header = []] = rows;
  if (header.length > MOST_TABLE_COLUMNS) return { ok: false, problems: [tooManyColumns(header.length)] };
  const body = rows.slice(1);
  const columns = header.map((cell) => unguardText(cell.replace(/^\uFEFF/, '').trim()));
  const factors = columns.filter((column) => column.startsWith(FACTOR_PREFIX));
  problems.push(...headerProblems(columns, factors, body.length));
  if (problems.length > 0) return { ok: false, problems };

  const plan = new PlanCollector(factors);
  const places = new Map(columns.map((column, at) => [column, at]));
  const found: { row: number; reading: ExchangedReading }[] = [];
  body.forEach((cells, index) => {
    const rowNumber = index + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    if (cells.length !== columns.length) {
      problems.push({
        row: rowNumber,
        column: 'all',
        found: say('cells', { cellsCount: cells.length }),
        expected: say('cellsAsInTheHeader', { columnsCount: columns.length }),
      });
      return;
    }
    const reader = new RowReader(places, cells, rowNumber, problems);
    const unit = plan.unitOf(reader, sowingDay(reader));
    if (unit === undefined) return;
    const reading = readReading(reader, unit.index, unit.sownOn, plan);
    if (reading) found.push({ row: rowNumber, reading });
  });
  problems.push(...checkCorrections(found));
  if (problems.length === 0 && plan.unitCount === 0) {
    problems.push({ row: 0, column: 'unit', found: say('noRows'), expected: say('atLeastOneRowWithAUnit') });
  }
  if (problems.length > 0) return { ok: false, problems };
  return {
    ok: true,
    experiment: plan.finish(chainedCorrections(found.map((entry) => entry.reading)), name),
  };
}

/** A table that is wider than any of readings. */
export function tooManyColumns(found: number): RowProblem {
  return {
    row: 1,
    column: 'all',
    found: say('columns3', { found }),
    expected: say('atMostColumns', { mostTableColumns: MOST_TABLE_COLUMNS }),
  };
}

function headerProblems(columns: readonly string[], factors: readonly string[], rows: number): RowProblem[] {
  const problems: RowProblem[] = [];
  const need = (column: string, expected: string): void => {
    problems.push({ row: 1, column, found: say('noSuchColumn'), expected });
  };
  if (!columns.includes('unit')) need('unit', say('aColumnUnitWithTheNumberOf'));
  if (!columns.includes('treatment') && factors.length === 0) {
    need('treatment', say('aColumnTreatmentOrColumnsNamedFactor'));
  }
  if (!columns.includes('observed') && !(columns.includes('sown') && columns.includes('day'))) {
    need('observed', say('aColumnObservedWithDatesOrBoth'));
  }
  if (!columns.includes('value') && !columns.includes('state')) need('value', say('aColumnValueOrState'));
  const twice = columns.find((column, index) => column !== '' && columns.indexOf(column) !== index);
  if (twice !== undefined) {
    problems.push({ row: 1, column: twice, found: say('theColumnTwice'), expected: say('eachColumnOnce') });
  }
  if (rows > MOST_TIDY_ROWS) {
    problems.push({
      row: 0,
      column: 'all',
      found: say('rows', { rows }),
      expected: say('atMostRows', { mostTidyRows: MOST_TIDY_ROWS }),
    });
  }
  return problems;
}

/** The unit's sowing date: its own column, else worked back from the date and the day number of the reading. */
function sowingDay(reader: RowReader): CalendarDay | undefined {
  const sown = reader.day('sown');
  if (sown !== undefined || reader.text('sown') !== '') return sown;
  const observed = reader.day('observed');
  const day = reader.whole('day', 0, MOST_DAYS);
  return observed !== undefined && day !== undefined ? addDays(observed, -day) : undefined;
}
