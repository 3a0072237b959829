import { amountText, daysBetween, type LengthUnit } from '../shared/index.ts';
import type { ExchangedExperiment, ExchangedReading, ExchangedUnit } from './model.ts';
import {
  COLUMNS_AFTER_FACTORS,
  COLUMNS_BEFORE_FACTORS,
  FACTOR_PREFIX,
  guardText,
  type TidyColumn,
} from './tidy-columns.ts';

/** An experiment as rows of a tidy table, all at once; see {@link tidyRows}. */
export function writeTidy(experiment: ExchangedExperiment): string[][] {
  return [...tidyRows(experiment)];
}

/**
 * An experiment as rows of a tidy table, each made when it is taken: a header, then one row a reading with the plan's
 * columns repeated, and one row for each unit without readings.
 */
export function* tidyRows(experiment: ExchangedExperiment): Generator<string[]> {
  yield [
    ...COLUMNS_BEFORE_FACTORS,
    ...experiment.factors.map((factor) => guardText(FACTOR_PREFIX + factor)),
    ...COLUMNS_AFTER_FACTORS,
  ];
  const byUnit = new Map<number, ExchangedReading[]>();
  for (const reading of experiment.readings) {
    const own = byUnit.get(reading.unit);
    if (own) own.push(reading);
    else byUnit.set(reading.unit, [reading]);
  }
  for (const [index, unit] of experiment.units.entries()) {
    for (const reading of byUnit.get(index) ?? [undefined]) yield tidyRow(experiment, unit, reading);
  }
}

function tidyRow(
  experiment: ExchangedExperiment,
  unit: ExchangedUnit,
  reading: ExchangedReading | undefined,
): string[] {
  const treatment = experiment.treatments[unit.treatment];
  const container = experiment.containers[unit.container];
  const cells: Record<TidyColumn, string> = {
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
    sown: unit.sowedOn ?? '',
    ...readingCells(experiment, unit, reading),
  };
  return [
    ...COLUMNS_BEFORE_FACTORS.map((column) => cells[column]),
    ...(treatment?.levels ?? []).map(guardText),
    ...COLUMNS_AFTER_FACTORS.map((column) => cells[column]),
  ];
}

type ReadingColumn =
  | 'observed'
  | 'day'
  | 'variable'
  | 'variable_order'
  | 'variable_kind'
  | 'planned_unit'
  | 'planned_precision'
  | 'state'
  | 'value'
  | 'unit_of_measure'
  | 'precision'
  | 'entered'
  | 'observer'
  | 'recorded_at'
  | 'reading'
  | 'supersedes'
  | 'set_aside';

function readingCells(
  experiment: ExchangedExperiment,
  unit: ExchangedUnit,
  reading: ExchangedReading | undefined,
): Record<ReadingColumn, string> {
  const variable = experiment.variables[reading?.variable ?? 0];
  const plan = {
    variable: guardText(variable?.name ?? ''),
    variable_order: String((reading?.variable ?? 0) + 1),
    variable_kind: variable?.kind ?? '',
    planned_unit: guardText(variable?.unit ?? ''),
    planned_precision: String(variable?.step ?? ''),
  };
  if (!reading) {
    return {
      ...plan,
      observed: '',
      day: '',
      state: '',
      value: '',
      unit_of_measure: '',
      precision: '',
      entered: '',
      observer: '',
      recorded_at: '',
      reading: '',
      supersedes: '',
      set_aside: '',
    };
  }
  return {
    ...plan,
    observed: reading.observedOn,
    day: unit.sowedOn === null ? '' : String(daysBetween(unit.sowedOn, reading.observedOn)),
    state: reading.state,
    value: valueText(reading, variable?.kind === 'length'),
    unit_of_measure: guardText(reading.unitOfMeasure),
    precision: String(reading.precision),
    entered: guardText(reading.entered),
    observer: guardText(reading.observer),
    recorded_at: reading.recordedAt,
    reading: reading.id,
    supersedes: reading.supersedes,
    set_aside: guardText(reading.setAside),
  };
}

function valueText(reading: ExchangedReading, isLength: boolean): string {
  if (reading.value === null) return '';
  return isLength ? amountText(reading.value, reading.unitOfMeasure as LengthUnit) : String(reading.value);
}
