import { type ExperimentView, PlanRequest } from '@bright-sprout/contract/plan';
import { CONTAINER_GRIDS, CONTAINER_KINDS, MOST_LEVELS } from '@bright-sprout/core/design';
import type { LengthUnit } from '@bright-sprout/core/shared';

/** True when the form can show the whole design: one factor, few levels, one known container, equal replicates. */
export function fitsForm(experiment: ExperimentView): boolean {
  const { factors, treatments, containers, units } = experiment;
  const [container] = containers;
  const grid = CONTAINER_KINDS.filter((kind) => kind === container?.kind).map(
    (kind) => CONTAINER_GRIDS[kind],
  )[0];
  const isOneGrid =
    containers.length === 1 && grid?.rows === container?.rows && grid?.columns === container?.columns;
  const isFewLevels = factors.length === 1 && treatments.length >= 2 && treatments.length <= MOST_LEVELS;
  const replicates = Math.max(...units.map((unit) => unit.replicate));
  return isOneGrid && isFewLevels && units.length === treatments.length * replicates;
}

/** The plan as the form starts with it. */
export function planValues(experiment: ExperimentView): PlanRequest {
  const [container] = experiment.containers;
  const [variable] = experiment.variables;
  return Object.assign(new PlanRequest(), {
    version: experiment.version,
    question: experiment.question,
    hypothesis: experiment.hypothesis,
    cropId: experiment.crop?.id ?? '',
    factorName: experiment.factors[0]?.name ?? '',
    levels: experiment.treatments.map(({ name, isControl }) => ({ name, isControl })),
    replicates: Math.max(...experiment.units.map((unit) => unit.replicate)),
    containerKind: CONTAINER_KINDS.find((kind) => kind === container?.kind) ?? 'cups',
    measure: { unit: (variable?.unit ?? 'cm') as LengthUnit, step: variable?.step ?? 1 },
    seedsPerUnit: experiment.seedsPerUnit,
    sowOn: experiment.sowOn,
    lessonOn: experiment.lessonOn,
    layoutSeed: experiment.layoutSeed,
  });
}
