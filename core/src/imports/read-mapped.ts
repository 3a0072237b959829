import { say } from '@bright-sprout/words/imports';
import { addDays, type CalendarDay, LENGTH_UNITS } from '../shared/index.ts';
import { MOST_ROW_PROBLEMS, type RowProblem } from './cells.ts';
import { addUp } from './counting.ts';
import { dateOrSerial, dayNumberOf, EXPECTED_DATE, MOST_DAYS } from './foreign-dates.ts';
import { amountOf, unitFactor } from './foreign-numbers.ts';
import { meaningsBy, plainWord, type WordMeaning } from './foreign-words.ts';
import { columnsWith, type MappedVariable, mappingProblems, type TableMapping } from './mapping.ts';
import { sayZeros, type ZerosFound } from './meant-zeros.ts';
import { readTidy, type TidyResult } from './read-tidy.ts';
import { type Cell, cellsOf } from './table-shapes.ts';
import { sizeProblems } from './table-size.ts';
import { FACTOR_PREFIX } from './tidy-columns.ts';
import { MADE_COLUMNS } from './tidy-places.ts';

/** What a table was taken to say where it could have been meant otherwise. */
export interface TakenAs {
  /** Values of a day with a part, such as 2.5, that count as read on its whole day. */
  readonly partDays: number;
  /** Values beside a state such as dead, which are not kept. */
  readonly valuesDropped: number;
  readonly zeros: ZerosFound;
}

/** A foreign table as an experiment, or all that stands in the way of reading it. */
export type MappedResult =
  | {
      readonly ok: true;
      readonly experiment: (TidyResult & { ok: true })['experiment'];
      readonly taken: TakenAs;
    }
  | { readonly ok: false; readonly problems: readonly RowProblem[] };

/**
 * Reads a foreign table as an experiment, whole or not at all. Pots without a number are numbered as first met. Empty
 * cells are no readings, never zeros, unless the mapping says what they are.
 * @param rows cells with the header first
 * @param name what to call the experiment
 */
export function readMapped(
  rows: readonly (readonly string[])[],
  mapping: TableMapping,
  name: string,
): MappedResult {
  const [header = []] = rows;
  const problems: RowProblem[] = sizeProblems(rows, columnsWith(mapping.roles, 'value').length);
  if (problems.length === 0) problems.push(...mappingProblems(mapping, header));
  if (problems.length > 0) return { ok: false, problems: eachOnce(problems) };
  const cells = cellsOf(rows, mapping);
  const factors = header
    .filter((_, at) => mapping.roles[at] === 'factor')
    .map((text) => text.trim() || say('factor'));
  const writer = new TidyWriter(mapping, numbering(cells), problems);
  const sources: Cell[] = [];
  const tidy: string[][] = [[...MADE_COLUMNS, ...factors.map((factor) => FACTOR_PREFIX + factor)]];
  for (const cell of cells) {
    const made = writer.row(cell);
    if (problems.length >= MOST_ROW_PROBLEMS) break;
    if (!made) continue;
    tidy.push([...made, ...cell.factors]);
    sources.push(cell);
  }
  if (problems.length === 0 && tidy.length === 1) {
    problems.push({
      row: 0,
      column: 'all',
      found: say('noValues'),
      expected: say('atLeastOneValueInTheColumns'),
    });
  }
  if (problems.length > 0) return { ok: false, problems: eachOnce(problems) };
  const [, ...made] = tidy;
  addUp(made, mapping.variables);
  const zeros = sayZeros(made, mapping.zeros);
  const result = readTidy(tidy, name);
  return result.ok
    ? { ...result, taken: { partDays: writer.partDays, valuesDropped: writer.valuesDropped, zeros } }
    : { ok: false, problems: result.problems.map((problem) => atSource(problem, sources)) };
}

/** A row with one bad date has a problem in each of its pots; it is said once. */
function eachOnce(problems: readonly RowProblem[]): RowProblem[] {
  return [...new Map(problems.map((problem) => [JSON.stringify(problem), problem])).values()];
}

/** The number of each pot: its own where its name is one, else the next that is free. */
function numbering(cells: readonly Cell[]): (unit: string) => number {
  const numbers = new Map<string, number>();
  const used = new Set(
    cells.map((cell) => Number(cell.unit)).filter((number) => Number.isInteger(number) && number > 0),
  );
  let next = 1;
  return (unit) => {
    const known = numbers.get(unit);
    if (known !== undefined) return known;
    const own = /^\d{1,4}$/.test(unit) && Number(unit) > 0 ? Number(unit) : undefined;
    while (own === undefined && used.has(next)) next += 1;
    const number = own ?? next;
    used.add(number);
    numbers.set(unit, number);
    return number;
  };
}

/** Makes rows of a tidy table from cells, and notes what cannot be read. */
class TidyWriter {
  partDays = 0;
  valuesDropped = 0;
  readonly #mapping: TableMapping;
  readonly #numberOf: (unit: string) => number;
  readonly #problems: RowProblem[];
  readonly #variables: ReadonlyMap<string, MappedVariable>;
  readonly #meaningOf: ReturnType<typeof meaningsBy>;

  constructor(mapping: TableMapping, numberOf: (unit: string) => number, problems: RowProblem[]) {
    this.#mapping = mapping;
    this.#numberOf = numberOf;
    this.#problems = problems;
    this.#meaningOf = meaningsBy(mapping.words);
    this.#variables = new Map(mapping.variables.map((variable) => [plainWord(variable.source), variable]));
  }

  /** The row of a cell; undefined when it holds nothing, or something wrong. */
  row(cell: Cell): string[] | undefined {
    const { control } = this.#mapping;
    const said = this.#stateOf(cell);
    if (said === undefined || said === 'nothing') return undefined;
    const sown = cell.sown === '' ? this.#mapping.sownOn : dateOrSerial(cell.sown, this.#mapping.dateOrder);
    if (sown === undefined) return this.#bad(cell, 'sown', cell.sown, EXPECTED_DATE);
    const observed = this.#observedDay(cell, sown);
    if (observed === undefined) return undefined;
    const amount = amountOf(cell.text, this.#mapping.decimalMark);
    const isWord = amount === undefined && this.#meaningOf(cell.text) !== undefined;
    if (said === 'emerged' && amount === undefined && !isWord) {
      return this.#bad(cell, cell.column, cell.text, say('aNumberOrAWordWithA'));
    }
    if (cell.treatment === '')
      return this.#bad(cell, 'treatment', say('nothing'), say('theTreatmentOfThePot'));
    const variable = this.#variables.get(plainWord(cell.source));
    if (!variable) return this.#bad(cell, say('whatWasRead'), cell.source, say('oneOfTheThingsListedAbove'));
    const measured = amount && inUnitOf(variable, amount);
    if (measured === null) {
      return this.#bad(cell, cell.column, cell.text, say('aValueIn', { unit: variable.unit }));
    }
    if (said !== 'emerged' && amount !== undefined && Number(amount.number) !== 0) this.valuesDropped += 1;
    return [
      String(this.#numberOf(cell.unit)),
      cell.treatment,
      control !== '' && cell.treatment === control ? 'yes' : 'no',
      cell.block,
      cell.team,
      cell.observer,
      cell.seedsSown,
      sown ?? '',
      observed,
      variable.name,
      variable.kind,
      variable.unit,
      said,
      said === 'emerged' ? (measured?.number ?? '') : '',
      measured?.unit ?? variable.unit,
      cell.text,
    ];
  }

  /** What the state column says, else what a word in place of the value says, else that the pot is up. */
  #stateOf(cell: Cell): WordMeaning | undefined {
    const stated = this.#meaningOf(cell.state);
    if (cell.state !== '' && stated === undefined) {
      return this.#bad(cell, 'state', cell.state, say('aWordWithAMeaningGivenAbove'));
    }
    if (cell.state !== '' && stated !== 'nothing') return stated;
    const isNumber = amountOf(cell.text, this.#mapping.decimalMark) !== undefined;
    return isNumber ? 'emerged' : (this.#meaningOf(cell.text) ?? 'emerged');
  }

  #observedDay(cell: Cell, sown: CalendarDay | null): CalendarDay | undefined {
    const { dateOrder, observedOn } = this.#mapping;
    if (cell.observed !== '') {
      const day = dateOrSerial(cell.observed, dateOrder);
      return day ?? this.#bad(cell, 'date', cell.observed, EXPECTED_DATE);
    }
    if (cell.day === '') return observedOn;
    const days = dayNumberOf(cell.day);
    if (days === undefined) {
      return this.#bad(cell, 'day', cell.day, say('daysSinceSowingFrom0To', { mostDays: MOST_DAYS }));
    }
    if (sown === null) {
      return this.#bad(cell, 'day', cell.day, say('aSowingDayToCountFromGive'));
    }
    if (!Number.isInteger(days)) this.partDays += 1;
    return addDays(sown, Math.floor(days));
  }

  #bad(cell: Cell, column: string, found: string, expected: string): undefined {
    this.#problems.push({ row: cell.row, column, found, expected });
    return undefined;
  }
}

/** A value in a unit that its variable can be told in; `null` where it is none of them. */
function inUnitOf(
  { kind, unit }: MappedVariable,
  { number, unit: own }: { readonly number: string; readonly unit: string },
): { readonly number: string; readonly unit: string } | null {
  if (own === '' || own === unit || (unit === '' && kind === 'number')) return { number, unit };
  if (kind === 'length' && (LENGTH_UNITS as readonly string[]).includes(own)) return { number, unit: own };
  const factor = unitFactor(own, unit);
  return factor === undefined || (kind !== 'length' && kind !== 'number')
    ? null
    : { number: String(Number((Number(number) * factor).toPrecision(12))), unit };
}

/** A problem of the tidy table, said of the cell it came from. */
function atSource(problem: RowProblem, sources: readonly Cell[]): RowProblem {
  const source = sources[problem.row - 2];
  if (!source) return problem;
  const column = problem.column === 'value' ? source.column : problem.column;
  return { ...problem, row: source.row, column };
}
