import { type ExperimentView, PlanRequest } from '@bright-sprout/contract/plan';
import { CONTAINER_KINDS } from '@bright-sprout/core/design';
import type { LengthUnit } from '@bright-sprout/core/shared';

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
