import {
  CONTAINER_KINDS,
  type Plan,
  PLAIN_LEVEL,
  startPlan,
  usualContainer,
} from '@bright-sprout/core/design';
import type { CalendarDay, LengthUnit } from '@bright-sprout/core/shared';
import type { StoredPlan } from './experiment-store.ts';

/**
 * The plan of an experiment: its document, or one made from its rows when they are of one factor with equal
 * replicates in known containers, as those from a file may be. Null for anything else.
 */
export function planOf(stored: StoredPlan): Plan | null {
  const plan = stored.experiment.planDocument;
  return plan ? wholePlan(plan) : planFromRows(stored);
}

/** What plans have gained since the first were stored. */
const ADDED_LATER = { alsoRead: [] };

/** A stored plan with everything that plans have by now. */
export function wholePlan(stored: Plan): Plan {
  return { ...ADDED_LATER, ...stored };
}

function planFromRows(stored: StoredPlan): Plan | null {
  const { experiment, factors, treatments, containers, units, variables } = stored;
  const [factor] = factors;
  const [variable] = variables;
  const kinds = containers.map((container) => CONTAINER_KINDS.find((kind) => kind === container.kind));
  const replicates = Math.max(0, ...units.map((unit) => unit.replicate));
  const isPlain =
    experiment.crop !== null &&
    factor !== undefined &&
    factors.length === 1 &&
    variable?.kind === 'length' &&
    treatments.length >= 2 &&
    kinds.every((kind) => kind !== undefined) &&
    units.length === treatments.length * replicates;
  if (!isPlain || !experiment.crop) return null;
  const started = startPlan({
    kind: 'one_factor',
    question: experiment.question,
    crop: experiment.crop.figures,
    otherCrops: [],
    sowOn: experiment.sowOn as CalendarDay,
    lessonOn: experiment.lessonOn as CalendarDay,
  });
  return {
    ...started,
    hypothesis: experiment.hypothesis,
    factors: [
      {
        name: factor.name,
        aspect: 'other',
        levels: treatments.map(({ name, isControl }) => ({
          ...PLAIN_LEVEL,
          name: name.slice(0, 60),
          isControl,
        })),
      },
    ],
    replicates,
    seedsPerUnit: experiment.seedsPerUnit,
    containers: containers.map((container, index) => ({
      ...usualContainer(kinds[index] ?? 'pots'),
      name: container.name,
      rows: container.gridRows,
      columns: container.gridColumns,
      brightSide: container.brightSide,
    })),
    layoutMethod: 'by_hand',
    layoutSeed: experiment.layoutSeed,
    measure: { variable: 'height', unit: variable.unit as LengthUnit, step: variable.step },
  };
}
