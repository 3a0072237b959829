import { say } from '@bright-sprout/words/imports';
import type { CalendarDay } from '../shared/index.ts';
import type { RowProblem } from './cells.ts';
import type { Counting } from './counting.ts';
import type { DateOrder } from './foreign-dates.ts';
import type { DecimalMark } from './foreign-numbers.ts';
import type { MeantWord, MeantZeros } from './foreign-words.ts';
import type { VariableKind } from './model.ts';

/** How a foreign table holds its values: a row each, a column a pot, or a row a pot. */
export const TABLE_SHAPES = ['long', 'pots_in_columns', 'pots_in_rows'] as const;
export type TableShape = (typeof TABLE_SHAPES)[number];

/**
 * What a column of a foreign table stands for. `replicate` numbers pots or dishes that share a name, such as those of
 * one treatment; `plant` tells plants apart that share a pot; `observer` names who read; `variable` names what was
 * read in long tables of several; `values` hold numbers; `day` counts days since sowing.
 */
export const COLUMN_ROLES = [
  'ignore',
  'unit',
  'replicate',
  'plant',
  'treatment',
  'factor',
  'block',
  'team',
  'observer',
  'seeds_sown',
  'sown',
  'date',
  'day',
  'variable',
  'value',
  'state',
] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** Something that was read. */
export interface MappedVariable {
  /** Text in the column of role `variable`, else the number of the value column, from 0; empty in wide tables. */
  readonly source: string;
  readonly name: string;
  readonly kind: VariableKind;
  readonly unit: string;
  /** Counts only. */
  readonly counting: Counting;
}

/** How to read a foreign table as an experiment. Columns are counted from 0. */
export interface TableMapping {
  readonly shape: TableShape;
  /** Role of each column. In wide tables `value` marks the columns that hold pots or days. */
  readonly roles: readonly ColumnRole[];
  /** Rows below the header that name the treatment of each pot column; 0 or 1, in `pots-in-columns` only. */
  readonly hasTreatmentRow: boolean;
  readonly variables: readonly MappedVariable[];
  /** What words in place of values say, where it is not as usual. */
  readonly words: readonly MeantWord[];
  readonly zeros: MeantZeros;
  readonly dateOrder: DateOrder;
  /** What begins the decimals of its numbers. */
  readonly decimalMark: DecimalMark;
  /** Sowing day of all pots where no column says; `null` when it is not known. */
  readonly sownOn: CalendarDay | null;
  /** The day of values without any date. */
  readonly observedOn: CalendarDay;
  /** Treatment that is the control; empty for none. */
  readonly control: string;
}

/** The most different words that a mapping can give a meaning. */
export const MOST_MEANT_WORDS = 60;

/** Columns with a role. */
export function columnsWith(roles: readonly ColumnRole[], role: ColumnRole): number[] {
  return roles.flatMap((own, at) => (own === role ? [at] : []));
}

/** What is missing or too much in a mapping, said of the header. */
export function mappingProblems(
  { roles, shape, variables }: TableMapping,
  header: readonly string[],
): RowProblem[] {
  const has = (role: ColumnRole): boolean => roles.includes(role);
  const need = (column: string, expected: string): RowProblem => ({
    row: 1,
    column,
    found: say('notChosen'),
    expected,
  });
  if (roles.length !== header.length) {
    return [
      {
        row: 1,
        column: 'all',
        found: say('columns', { headerCount: header.length }),
        expected: say('columns2', { rolesCount: roles.length }),
      },
    ];
  }
  const problems = has('value') || has('state') ? [] : [need('value', say('aColumnWithValues'))];
  if (shape === 'pots_in_columns' && !has('date') && !has('day') && !has('treatment') && !has('factor')) {
    problems.push(need('date', say('theColumnWithTheDatesOrThe')));
  }
  if (shape === 'long' && !has('treatment') && !has('factor') && !has('unit')) {
    problems.push(need('treatment', say('aColumnWithTheTreatmentOrWith')));
  }
  if (has('variable') && columnsWith(roles, 'value').length > 1) {
    problems.push({
      row: 1,
      column: 'value',
      found: say('columnsOfValuesBesideOneThatSays', {
        columnsWithCount: columnsWith(roles, 'value').length,
      }),
      expected: say('oneColumnOfValues'),
    });
  }
  if (variables.length === 0) problems.push(need('variable', say('whatWasRead')));
  return problems;
}
