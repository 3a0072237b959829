import { FILE_STATES, stateOfFile } from './file-states.ts';
import { say } from '@bright-sprout/words/imports';
import {
  addDays,
  type CalendarDay,
  daysBetween,
  isInstant,
  LENGTH_UNITS,
  type LengthUnit,
  LONGEST_MM,
  toMillimetres,
} from '../shared/index.ts';
import type { RowReader } from './cells.ts';
import { type ExchangedReading, type ExchangedVariable, VARIABLE_KINDS, type VariableKind } from './model.ts';
import { MOST_DAYS } from './foreign-dates.ts';
import { MOST_VARIABLES, type PlanCollector } from './plan-collector.ts';

const LENGTHS: readonly string[] = LENGTH_UNITS;

/** The reading on a row; undefined when the row only names a unit, or when something is wrong with it. */
export function readReading(
  reader: RowReader,
  unit: number,
  sownOn: CalendarDay | null,
  plan: PlanCollector,
): ExchangedReading | undefined {
  const variable = readVariable(reader, plan);
  if (!variable) return undefined;
  if (plan.isFullOfVariables && !plan.knownVariable(variable.name)) {
    reader.problem(
      'variable',
      say('moreThanDifferentThingsRead', { mostVariables: MOST_VARIABLES }),
      say('atMost', { mostVariables: MOST_VARIABLES }),
    );
    return undefined;
  }
  const variableIndex = plan.variable(variable, reader.whole('variable_order', 1, 999));
  const valueText = reader.text('value');
  const stateText = reader.text('state');
  if (valueText === '' && stateText === '') {
    if (reader.text('observed') !== '') reader.problem('value', 'nothing', say('aValueOrAStateInIts'));
    return undefined;
  }
  const observedOn = observationDay(reader, sownOn);
  const state = stateText === '' ? 'emerged' : stateOfFile(stateText);
  if (state === undefined) reader.oneOf('state', FILE_STATES);
  const unitOfMeasure = reader.text('unit_of_measure', 20) || variable.unit;
  const value = readValue(reader, variable.kind, unitOfMeasure);
  if (valueText !== '' && value === undefined) return undefined;
  if (state !== undefined && state !== 'emerged' && value !== undefined) {
    reader.problem('value', valueText, say('noValueBesideTheState', { state: stateText }));
    return undefined;
  }
  if (observedOn === undefined || state === undefined) return undefined;
  return {
    id: reader.text('reading', 60),
    unit,
    variable: variableIndex,
    observedOn,
    state,
    value: value ?? null,
    unitOfMeasure,
    precision: reader.number('precision', 0.0001, 1000) ?? variable.step,
    entered: reader.text('entered', 60) || valueText,
    observer: reader.text('observer', 60),
    recordedAt: instant(reader) ?? `${observedOn}T12:00:00.000Z`,
    supersedes: reader.text('supersedes', 60),
    setAside: reader.text('set_aside', 200),
  };
}

function readVariable(reader: RowReader, plan: PlanCollector): ExchangedVariable | undefined {
  const name = reader.text('variable', 60) || 'height';
  const unit = reader.text('planned_unit', 20) || reader.text('unit_of_measure', 20);
  const known = plan.knownVariable(name);
  const kindText = reader.text('variable_kind');
  const stated = kindText === '' ? undefined : reader.oneOf('variable_kind', VARIABLE_KINDS);
  if (kindText !== '' && stated === undefined) return undefined;
  const kind = stated ?? known?.kind ?? (LENGTHS.includes(unit) ? 'length' : 'number');
  if (known && known.kind !== kind) {
    reader.problem('variable_kind', kind, say('asInTheFirstRowOf', { kind: known.kind, name }));
    return undefined;
  }
  const step = reader.number('planned_precision', 0.0001, 1000) ?? reader.number('precision', 0.0001, 1000);
  return (
    known ?? {
      name,
      kind,
      unit: kind === 'length' && unit === '' ? 'cm' : unit,
      step: step ?? defaultStep(kind, unit),
    }
  );
}

function defaultStep(kind: VariableKind, unit: string): number {
  if (kind !== 'length') return kind === 'number' ? 0.01 : 1;
  return unit === 'mm' ? 1 : unit === 'in' ? 0.25 : 0.1;
}

function observationDay(reader: RowReader, sownOn: CalendarDay | null): CalendarDay | undefined {
  const observed = reader.day('observed');
  const day = reader.whole('day', 0, MOST_DAYS);
  if (observed === undefined) {
    if (reader.text('observed') !== '') return undefined;
    if (sownOn !== null && day !== undefined) return addDays(sownOn, day);
    reader.problem('observed', 'nothing', say('theDateOfTheReadingAsYyyy'));
    return undefined;
  }
  if (sownOn !== null && observed < sownOn) {
    reader.problem('observed', observed, say('aDateOnOrAfterTheSowing', { sownOn }));
    return undefined;
  }
  if (sownOn !== null && day !== undefined && daysBetween(sownOn, observed) !== day) {
    reader.problem(
      'day',
      String(day),
      say('theDaysFromTo', { daysBetween: daysBetween(sownOn, observed), sownOn, observed }),
    );
    return undefined;
  }
  return observed;
}

function readValue(reader: RowReader, kind: VariableKind, unit: string): number | undefined {
  switch (kind) {
    case 'count':
      return reader.whole('value', 0, 100_000);
    case 'score':
      return reader.whole('value', 1, 20);
    case 'number':
      return reader.number('value', -1e9, 1e9);
    case 'length': {
      if (!LENGTHS.includes(unit)) {
        reader.problem('unit_of_measure', unit, say('mmCmOrIn'));
        return undefined;
      }
      const longest = Math.floor(LONGEST_MM / toMillimetres(1, unit as LengthUnit));
      const amount = reader.number('value', 0, longest);
      return amount === undefined ? undefined : toMillimetres(amount, unit as LengthUnit);
    }
  }
}

function instant(reader: RowReader): string | undefined {
  const text = reader.text('recorded_at', 40);
  if (text === '') return undefined;
  if (isInstant(text)) return new Date(text).toISOString();
  reader.problem('recorded_at', text, say('anInstantSuchAs20260302t09'));
  return undefined;
}
