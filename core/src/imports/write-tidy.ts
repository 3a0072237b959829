import { STATE_IN_FILES } from './file-states.ts';
import { amountText, daysBetween, type LengthUnit } from '../shared/index.ts';
import type { ExchangedExperiment, ExchangedReading, ExchangedUnit, ExchangedVariable } from './model.ts';
import {
  COLUMNS_BEFORE_FACTORS,
  FACTOR_PREFIX,
  guardText,
  READING_COLUMNS,
  UNIT_COLUMNS,
} from './tidy-columns.ts';

/** An experiment as rows of a tidy table, all at once; see {@link tidyParts}. */
export function writeTidy(experiment: ExchangedExperiment): string[][] {
  return [...tidyParts(experiment)].map(({ unit, reading }) => [...unit, ...reading]);
}

/** A row of a tidy table in two: the cells of the unit, the very same list for all rows of it, and those of the reading. */
export interface TidyRowParts {
  readonly unit: readonly string[];
  readonly reading: readonly string[];
}

/**
 * An experiment as rows of a tidy table, each made when it is taken: a header, then one row a reading with the plan's
 * columns repeated, and one row for each unit without readings.
 */
export function* tidyParts(experiment: ExchangedExperiment): Generator<TidyRowParts> {
  const factors = experiment.factors.map((factor) => guardText(FACTOR_PREFIX + factor));
  yield {
    unit: [...COLUMNS_BEFORE_FACTORS, ...factors, ...UNIT_COLUMNS],
    reading: [...READING_COLUMNS],
  };
  const byUnit = new Map<number, ExchangedReading[]>();
  for (const reading of experiment.readings) {
    const own = byUnit.get(reading.unit);
    if (own) own.push(reading);
    else byUnit.set(reading.unit, [reading]);
  }
  const variables = experiment.variables.map(variableCells);
  for (const [index, unit] of experiment.units.entries()) {
    const cells = unitCells(experiment, unit);
    for (const reading of byUnit.get(index) ?? [undefined]) {
      yield { unit: cells, reading: readingCells(experiment, unit, reading, variables) };
    }
  }
}

function unitCells(experiment: ExchangedExperiment, unit: ExchangedUnit): string[] {
  const treatment = experiment.treatments[unit.treatment];
  const container = experiment.containers[unit.container];
  const cells: Record<(typeof COLUMNS_BEFORE_FACTORS)[number] | (typeof UNIT_COLUMNS)[number], string> = {
    question: guardText(experiment.question),
    crop: guardText(experiment.crop),
    sow_on: experiment.sowOn,
    lesson_on: experiment.lessonOn,
    container: String(unit.container + 1),
    container_kind: container?.kind ?? '',
    container_rows: String(container?.rows ?? ''),
    container_columns: String(container?.columns ?? ''),
    unit: String(unit.number),
    row: String(unit.row),
    column: String(unit.column),
    treatment: guardText(treatment?.name ?? ''),
    treatment_order: String(unit.treatment + 1),
    control: treatment?.isControl ? 'yes' : 'no',
    replicate: String(unit.replicate),
    block: guardText(unit.block),
    team: guardText(unit.team),
    seeds_sown: unit.seedsSown === null ? '' : String(unit.seedsSown),
    sown: unit.sownOn ?? '',
  };
  return [
    ...COLUMNS_BEFORE_FACTORS.map((column) => cells[column]),
    ...(treatment?.levels ?? []).map(guardText),
    ...UNIT_COLUMNS.map((column) => cells[column]),
  ];
}

/** Name, order, kind, unit and precision of a variable as planned. */
function variableCells({ name, kind, unit, step }: ExchangedVariable, order: number): string[] {
  return [guardText(name), String(order + 1), kind, guardText(unit), String(step)];
}

const NO_VARIABLE = ['', '1', '', '', ''];

/** The cells of {@link READING_COLUMNS}, in their order. */
function readingCells(
  experiment: ExchangedExperiment,
  unit: ExchangedUnit,
  reading: ExchangedReading | undefined,
  variables: readonly (readonly string[])[],
): string[] {
  const variable = variables[reading?.variable ?? 0] ?? NO_VARIABLE;
  if (!reading) return ['', '', ...variable, '', '', '', '', '', '', '', '', '', ''];
  const isLength = experiment.variables[reading.variable]?.kind === 'length';
  return [
    reading.observedOn,
    unit.sownOn === null ? '' : String(daysBetween(unit.sownOn, reading.observedOn)),
    ...variable,
    STATE_IN_FILES[reading.state],
    valueText(reading, isLength),
    guardText(reading.unitOfMeasure),
    String(reading.precision),
    guardText(reading.entered),
    guardText(reading.observer),
    reading.recordedAt,
    reading.id,
    reading.supersedes,
    guardText(reading.setAside),
  ];
}

function valueText(reading: ExchangedReading, isLength: boolean): string {
  if (reading.value === null) return '';
  return isLength ? amountText(reading.value, reading.unitOfMeasure as LengthUnit) : String(reading.value);
}
