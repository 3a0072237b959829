import type { ExchangedExperiment } from '@bright-sprout/core/imports';
import { treatmentCode } from '@bright-sprout/core/design';
import { v7 as uuid } from 'uuid';
import type {
  Container,
  Factor,
  Level,
  PlanRows,
  Treatment,
  TreatmentLevel,
  Unit,
  Variable,
} from '../plans/index.ts';
import type { Reading, SetAside } from '../readings/index.ts';

/** All rows of an experiment that comes from a file, under new ids. */
export interface ExchangedRows {
  readonly plan: PlanRows;
  readonly variables: readonly Variable[];
  readonly readings: readonly Reading[];
  readonly setAside: readonly Pick<SetAside, 'id' | 'readingId' | 'reason' | 'observer' | 'recordedAt'>[];
}

/** Turns an experiment from a file, or from the made-up school, into rows. */
export function exchangedRows(experimentId: string, from: ExchangedExperiment): ExchangedRows {
  const factors = from.factors.map(
    (name, position) => ({ id: uuid(), experimentId, position, name: name.slice(0, 60) }) as Factor,
  );
  const levels = factors.flatMap((factor, index) => {
    const names = [...new Set(from.treatments.map((treatment) => treatment.levels[index] ?? ''))];
    return names.map(
      (name, position) => ({ id: uuid(), factorId: factor.id, position, name: name.slice(0, 60) }) as Level,
    );
  });
  const treatments = from.treatments.map(
    ({ name, isControl }, position) =>
      ({ id: uuid(), experimentId, position, code: treatmentCode(position), name, isControl }) as Treatment,
  );
  const treatmentLevels = from.treatments.flatMap((treatment, at) =>
    factors.flatMap((factor, index) => {
      const wanted = (treatment.levels[index] ?? '').slice(0, 60);
      const level = levels.find((candidate) => candidate.factorId === factor.id && candidate.name === wanted);
      return level ? [{ treatmentId: treatments[at]?.id, levelId: level.id } as TreatmentLevel] : [];
    }),
  );
  const containers = from.containers.map(
    ({ kind, rows, columns }, position) =>
      ({ id: uuid(), experimentId, position, kind, gridRows: rows, gridColumns: columns }) as Container,
  );
  const units = from.units.map(
    (unit) =>
      ({
        id: uuid(),
        experimentId,
        number: unit.number,
        containerId: containers[unit.container]?.id,
        placeRow: unit.row,
        placeColumn: unit.column,
        treatmentId: treatments[unit.treatment]?.id,
        replicate: unit.replicate,
        block: unit.block,
        team: unit.team,
        sownOn: unit.sownOn,
        seedsSown: unit.seedsSown,
      }) as Unit,
  );
  const variables = from.variables.map(
    (variable, position) => ({ id: uuid(), experimentId, position, ...variable }) as Variable,
  );
  const plan = { factors, levels, treatments, treatmentLevels, containers, units };
  const readings = readingRows(from, units, variables);
  const setAside = from.readings.flatMap(({ setAside: reason }, index) =>
    reason === ''
      ? []
      : [
          {
            id: uuid(),
            readingId: readings[index]?.id ?? '',
            reason,
            observer: '',
            recordedAt: new Date(),
            isActive: 1,
          },
        ],
  );
  return { plan, variables, readings, setAside };
}

function readingRows(
  from: ExchangedExperiment,
  units: readonly Unit[],
  variables: readonly Variable[],
): Reading[] {
  const newIds = new Map(from.readings.map((reading) => [reading.id, uuid()]));
  return from.readings.map(
    (reading) =>
      ({
        id: reading.id === '' ? uuid() : newIds.get(reading.id),
        unitId: units[reading.unit]?.id,
        variableId: variables[reading.variable]?.id,
        observedOn: reading.observedOn,
        state: reading.state,
        value: reading.value,
        entered: reading.entered,
        unitOfMeasure: reading.unitOfMeasure,
        precision: reading.precision,
        observer: reading.observer,
        recordedAt: new Date(reading.recordedAt),
        supersedesId: reading.supersedes === '' ? null : (newIds.get(reading.supersedes) ?? null),
      }) as Partial<Reading> as Reading,
  );
}
