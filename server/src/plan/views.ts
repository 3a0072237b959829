import type { CropView, ExperimentView } from '@bright-sprout/contract/plan';
import type { Crop as CropFigures } from '@bright-sprout/core/design';
import type { StoredPlan } from './experiment-store.ts';

/** A crop as the interface sees it. */
export function cropView(figures: CropFigures): CropView {
  const { id, commonName, scientificName, daysToEmergence, germinationPercent } = figures;
  const { sowingDepthMm, matureHeightMm, heightAtDay21Mm, habit, caution } = figures;
  return {
    id,
    commonName,
    scientificName,
    daysToEmergence,
    germinationPercent,
    sowingDepthMm,
    matureHeightMm,
    heightAtDay21Mm,
    habit,
    caution,
  };
}

/** An experiment as the interface sees it. */
export function experimentView(plan: StoredPlan, today: string): ExperimentView {
  const { experiment } = plan;
  return {
    id: experiment.id,
    version: experiment.version,
    status: experiment.status,
    question: experiment.question,
    hypothesis: experiment.hypothesis,
    crop: experiment.crop ? cropView(experiment.crop.figures) : null,
    cropName: experiment.cropName,
    sowOn: experiment.sowOn,
    lessonOn: experiment.lessonOn,
    today,
    layoutSeed: experiment.layoutSeed,
    seedsPerUnit: experiment.seedsPerUnit,
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
    containers: plan.containers.map(({ id, kind, gridRows, gridColumns }) => ({
      id,
      kind,
      rows: gridRows,
      columns: gridColumns,
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
      sowedOn: unit.sowedOn,
      seedsSown: unit.seedsSown,
    })),
    variables: plan.variables.map(({ id, name, kind, unit, step }) => ({ id, name, kind, unit, step })),
  };
}
