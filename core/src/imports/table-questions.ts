import type { CalendarDay } from '../shared/index.ts';
import { COUNTINGS, type Counting } from './counting.ts';
import { DATE_ORDERS, type DateOrder, dateOf, isDate } from './foreign-dates.ts';
import { amountOf, decimalMarkOf, plainNumber } from './foreign-numbers.ts';
import { countingOf } from './guess-counting.ts';
import { counted, guessedDateOrder, numberTexts } from './guess-mapping.ts';
import { headingOf, isLengthHeading, lengthUnitOf, isUnnamed, valueCells } from './guess-variables.ts';
import type { MappedVariable, TableMapping } from './mapping.ts';
import type { PreparedTable } from './prepare/prepare-table.ts';

/** What can be asked of a foreign table, where two readings of it fit. */
export const TABLE_QUESTIONS = [
  'year',
  'names',
  'decimal_mark',
  'date_order',
  'measured',
  'counting',
] as const;
export type TableQuestionId = (typeof TABLE_QUESTIONS)[number];

/** What values of no named measure, or of no named unit, can be. */
export const MEASURED_AS = ['mm', 'cm', 'in', 'seeds_up', 'number'] as const;
export type MeasuredAs = (typeof MEASURED_AS)[number];

/** One way to read a table; `from` and `to` show what it would make of the example, as text. */
export interface TableAnswer {
  readonly value: string;
  readonly from: string;
  readonly to: string;
}

/** Something that only a person can say of a table. */
export interface TableQuestion {
  readonly id: TableQuestionId;
  /** What is asked about, as it stands in the table: a number, a date, a pot's name. */
  readonly example: string;
  /** {@link MappedVariable.source}, where it is about one variable. */
  readonly source: string;
  /** The name of that variable, and whether the table gave it. */
  readonly name: string;
  readonly isNamed: boolean;
  readonly answers: readonly TableAnswer[];
}

const answer = (value: string, from = '', to = ''): TableAnswer => ({ value, from, to });

/** What cannot be told from a table alone. @param today by which a missing year is proposed */
export function questionsOf(
  table: PreparedTable,
  mapping: TableMapping,
  today: CalendarDay,
): TableQuestion[] {
  const plain = { source: '', name: '', isNamed: false };
  const questions: TableQuestion[] = [];
  if (table.lacksYear) {
    const year = Number(today.slice(0, 4));
    questions.push({
      ...plain,
      id: 'year',
      example: '',
      answers: [answer(String(year)), answer(String(year - 1))],
    });
  }
  if (table.openName) {
    const [name = '', treatment = ''] = table.openName.texts;
    questions.push({
      ...plain,
      id: 'names',
      example: name,
      answers: [answer('treatment', treatment), answer('place')],
    });
  }
  const texts = numberTexts(table.rows.slice(1));
  if (!decimalMarkOf(texts).isSure) {
    const example = texts.find((text) => /\d[.,]\d{3}\b/.test(text)) ?? '';
    const read = (mark: 'point' | 'comma'): TableAnswer => answer(mark, plainNumber(example, mark) ?? '');
    questions.push({ ...plain, id: 'decimal_mark', example, answers: [read('point'), read('comma')] });
  }
  const dates = guessedDateOrder(table.rows);
  if (!dates.isSure) {
    const answers = DATE_ORDERS.map((order) => answer(order, ...spanOf(table.rows, order)));
    questions.push({ ...plain, id: 'date_order', example: dates.example, answers });
  }
  for (const variable of mapping.variables) questions.push(...ofVariable(table, mapping, variable));
  return questions;
}

/** The mapping with an answer to one of its questions; `year` and `names` are answered by preparing anew. */
export function withAnswer(
  mapping: TableMapping,
  { id, source }: TableQuestion,
  value: string,
): TableMapping {
  const each = (change: (variable: MappedVariable) => MappedVariable): TableMapping => ({
    ...mapping,
    variables: mapping.variables.map((own) => (own.source === source ? change(own) : own)),
  });
  switch (id) {
    case 'decimal_mark':
      return { ...mapping, decimalMark: value === 'comma' ? 'comma' : 'point' };
    case 'date_order':
      return { ...mapping, dateOrder: value as DateOrder };
    case 'counting':
      return each((variable) => counted(variable, value as Counting));
    case 'measured':
      return each((variable) => measuredAs(variable, value as MeasuredAs));
    case 'year':
    case 'names':
      return mapping;
  }
}

function measuredAs(variable: MappedVariable, as: MeasuredAs): MappedVariable {
  if (as === 'seeds_up') return { ...variable, kind: 'count', name: 'seeds up', unit: 'seeds' };
  const name = isUnnamed(variable.name) || variable.name === 'seeds up' ? 'height' : variable.name;
  if (as !== 'number') return { ...variable, kind: 'length', name, unit: as };
  return {
    ...variable,
    kind: 'number',
    name: variable.name === 'height' ? 'value' : variable.name,
    unit: '',
  };
}

function ofVariable(table: PreparedTable, mapping: TableMapping, variable: MappedVariable): TableQuestion[] {
  const heading = headingOf(table.rows, mapping, variable, table.titles);
  const cells = valueCells(table.rows, mapping, variable.source);
  const isNamed = variable.source !== '' && !isUnnamed(variable.name);
  const about = { source: variable.source, name: variable.name, isNamed };
  const example = cells.find((text) => amountOf(text) !== undefined) ?? '';
  if (variable.kind === 'length') {
    const whole = lengthUnitOf([heading, ...table.titles].join(' '));
    const bare = cells.some((text) => amountOf(text)?.unit === '');
    if (whole !== undefined || !bare) return [];
    const lengths = ['cm', 'mm', 'in'].map((unit) => answer(unit));
    const others = isLengthHeading(heading) ? [] : [answer('seeds_up'), answer('number')];
    return [{ ...about, id: 'measured', example, answers: [...lengths, ...others] }];
  }
  if (variable.kind === 'number' && variable.unit === '' && isUnnamed(variable.name) && example !== '') {
    const answers = ['cm', 'mm', 'in', 'seeds_up', 'number'].map((as) => answer(as));
    return [{ ...about, id: 'measured', example, answers }];
  }
  if (variable.kind === 'count') {
    const { isSure } = countingOf(table.rows, mapping, variable, heading);
    if (!isSure) return [{ ...about, id: 'counting', example, answers: COUNTINGS.map((way) => answer(way)) }];
  }
  return [];
}

/** The first and the last day of a table by an order of its dates. */
function spanOf(rows: PreparedTable['rows'], order: DateOrder): [string, string] {
  const days = rows
    .flatMap((row) => row.flatMap((text) => (isDate(text.trim()) ? (dateOf(text.trim(), order) ?? []) : [])))
    .sort();
  const [first = ''] = days;
  return [first, days.at(-1) ?? first];
}
