import type { ExperimentView, PlanDocument } from '@bright-sprout/contract/plans';
import type { SharedView } from '@bright-sprout/contract/sharing';
import { cropView } from '../inventory/index.ts';
import type { StoredPlan } from './experiment-store.ts';
import { planOf } from './plan-from-rows.ts';

/** An experiment as the interface sees it. */
export function experimentView(plan: StoredPlan, today: string, shared?: SharedView): ExperimentView {
  const { experiment } = plan;
  return {
    id: experiment.id,
    version: experiment.version,
    status: experiment.status,
    classId: experiment.classId,
    shared: shared ?? null,
    studyId: experiment.studyId,
    closedDays: plan.closedDays.map(({ day }) => day),
    question: experiment.question,
    hypothesis: experiment.hypothesis,
    crop: experiment.crop ? cropView(experiment.crop) : null,
    cropName: experiment.cropName,
    sowOn: experiment.sowOn,
    lessonOn: experiment.lessonOn,
    today,
    layoutSeed: experiment.layoutSeed,
    seedsPerUnit: experiment.seedsPerUnit,
    plan: planOf(plan) as PlanDocument | null,
    tasks: plan.tasks.map(({ taskKey, movedTo, doneOn, who, title }) => ({
      key: taskKey,
      movedTo,
      doneOn,
      who,
      title,
    })),
    factors: plan.factors.map((factor) => ({
      name: factor.name,
      levels: plan.levels.filter((level) => level.factorId === factor.id).map((level) => level.name),
    })),
    treatments: plan.treatments.map(({ id, code, name, isControl, position }) => ({
      id,
      code,
      name,
      isControl,
      style: position,
    })),
    containers: plan.containers.map(({ id, kind, gridRows, gridColumns, name, brightSide }) => ({
      id,
      kind,
      rows: gridRows,
      columns: gridColumns,
      name,
      brightSide,
    })),
    units: plan.units.map((unit) => ({
      id: unit.id,
      number: unit.number,
      containerId: unit.containerId,
      row: unit.placeRow,
      column: unit.placeColumn,
      treatmentId: unit.treatmentId,
      replicate: unit.replicate,
      block: unit.block,
      team: unit.team,
      teamId: unit.teamId,
      sowOn: unit.sowOn,
      sownOn: unit.sownOn,
      seedsSown: unit.seedsSown,
      sowingNote: unit.sowingNote,
    })),
    variables: plan.variables.map(({ id, name, kind, unit, step }) => ({ id, name, kind, unit, step })),
  };
}
