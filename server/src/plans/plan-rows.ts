import {
  alsoReadVariable,
  type Plan,
  plannedUnits,
  type PlanTreatment,
  treatmentsOf,
  seedsIn,
} from '@bright-sprout/core/design';
import { v7 as uuid } from 'uuid';
import type {
  Container,
  Factor,
  Level,
  Treatment,
  TreatmentLevel,
  Unit,
  Variable,
} from './design.entities.ts';
import type { PlanRows, StoredPlan } from './experiment-store.ts';

/** Makes the treatments and units of a plan and lays them out by its seed. */
export function planRows(experimentId: string, plan: Plan): PlanRows {
  const factors = plan.factors.map(
    ({ name }, position) => ({ id: uuid(), experimentId, position, name }) as Factor,
  );
  const levelRows = plan.factors.map((factor, index) =>
    factor.levels.map(
      ({ name }, position) => ({ id: uuid(), factorId: factors[index]?.id, position, name }) as Level,
    ),
  );
  const planned = treatmentsOf(plan);
  const treatments = planned.map(
    (treatment, position) =>
      ({ id: uuid(), experimentId, position, ...treatmentWords(treatment) }) as Treatment,
  );
  const treatmentLevels = planned.flatMap(({ levels }, index) =>
    levels.map(
      (level, factor) =>
        ({ treatmentId: treatments[index]?.id, levelId: levelRows[factor]?.[level]?.id }) as TreatmentLevel,
    ),
  );
  const containers = plan.containers.map(
    ({ kind, rows, columns, name, brightSide }, position) =>
      ({
        id: uuid(),
        experimentId,
        position,
        kind,
        gridRows: rows,
        gridColumns: columns,
        name,
        brightSide,
      }) as Container,
  );
  const units = plannedUnits(plan).map(
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
        block: unit.block === 0 ? '' : String(unit.block),
        team: '',
        teamId: null,
        sowOn: unit.sowOn,
        sownOn: null,
        seedsSown: seedsOf(plan, planned[unit.treatment]),
      }) as unknown as Unit,
  );
  return { factors, levels: levelRows.flat(), treatments, treatmentLevels, containers, units };
}

/** What a treatment is called. */
export function treatmentWords(treatment: PlanTreatment): Pick<Treatment, 'code' | 'name' | 'isControl'> {
  return { code: treatment.code, name: treatment.name.slice(0, 120), isControl: treatment.isControl };
}

/** Seeds that go into a unit of a treatment. */
export function seedsOf(plan: Plan, treatment: PlanTreatment | undefined): number {
  return treatment ? seedsIn(plan, treatment.settings) : plan.seedsPerUnit;
}

/** What a plan reads: its measure first, then what is read as well. */
export function variablesOf(plan: Plan): VariableWords[] {
  const also = plan.alsoRead.filter((name) => name !== plan.measure.variable);
  return [variableOf(plan), ...also.map(alsoReadVariable)];
}

type VariableWords = Pick<Variable, 'name' | 'kind' | 'unit' | 'step'>;

/** The variable that a plan compares. */
function variableOf(plan: Plan): VariableWords {
  const { variable, unit, step } = plan.measure;
  const kind = variable === 'height' ? 'length' : variable === 'green cover' ? 'number' : 'count';
  return { name: variable, kind, unit, step };
}

/** True when stored rows have the shape of a plan, so that they can keep their ids. */
export function isSameDesign(stored: StoredPlan, plan: Plan): boolean {
  const made = planRows(stored.experiment.id, plan);
  const shape = (rows: PlanRows): string =>
    JSON.stringify([
      rows.factors.length,
      rows.levels.length,
      rows.treatments.length,
      linkedLevels(rows),
      rows.containers.map(({ kind, gridRows, gridColumns }) => [kind, gridRows, gridColumns]),
      rows.units.length,
      countByTreatment(rows),
      placesTaken(rows),
    ]);
  return shape(stored) === shape(made);
}

/** Level positions of each treatment, in plan order. */
function linkedLevels(rows: PlanRows): string[] {
  const positions = new Map(rows.levels.map((level) => [level.id, level.position]));
  const factorOf = new Map(rows.levels.map((level) => [level.id, level.factorId]));
  return rows.treatments.map((treatment) => {
    const own = rows.treatmentLevels.filter((link) => link.treatmentId === treatment.id);
    return rows.factors
      .map((factor) => own.find((link) => factorOf.get(link.levelId) === factor.id))
      .map((link) => (link ? positions.get(link.levelId) : '-'))
      .join('.');
  });
}

/** Which places hold a unit, in walking order. */
function placesTaken({ containers, units }: PlanRows): string[] {
  const positions = new Map(containers.map(({ id }, position) => [id, position]));
  return units
    .map(({ containerId, placeRow, placeColumn }) =>
      [positions.get(containerId), placeRow, placeColumn].map((part) => String(part).padStart(3, '0')).join(),
    )
    .sort();
}

function countByTreatment(rows: PlanRows): number[] {
  return rows.treatments.map(
    (treatment) => rows.units.filter((unit) => unit.treatmentId === treatment.id).length,
  );
}
