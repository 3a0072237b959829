import { keys } from '../shared/api/index.ts';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import {
  type Plan,
  type PlannedUnit,
  sowingDayOf,
  treatmentsOf,
  unitsProblem,
} from '@bright-sprout/core/design';
import type { Finding, ReviewedUnit } from '@bright-sprout/core/review';
import { calendarDay } from '@bright-sprout/core/shared';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useExperiment, useSurroundings } from '../shared/experiment/index.ts';
import { planning } from './planning.ts';

/** The design check of a plan with the pots as they stand; undefined until it was made, or while it is not wanted. */
export function useReviewOf(plan: Plan | null, isWanted = true): readonly Finding[] | undefined {
  const { experiment } = useExperiment();
  const surroundings = useSurroundings();
  const units = plan ? reviewedUnits(plan, experiment) : [];
  const { data } = useQuery({
    queryKey: keys.review(plan, units, surroundings, experiment.status),
    queryFn: () =>
      planning().review({
        plan: plan as Plan,
        units,
        today: calendarDay(experiment.today),
        isSown: experiment.status !== 'draft',
        crops: surroundings?.crops ?? [],
        lots: surroundings?.lots ?? [],
      }),
    enabled: plan !== null && surroundings !== undefined && isWanted,
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    staleTime: Infinity,
  });
  return data;
}

/** The units as they stand on the layout, while they are those of the plan. */
function reviewedUnits(plan: Plan, experiment: ExperimentView): ReviewedUnit[] {
  if (unitsProblem(plan) !== undefined) return [];
  const treatments = treatmentsOf(plan);
  if (experiment.treatments.length !== treatments.length) return [];
  return experiment.units.map((unit): PlannedUnit & { team: string } => {
    const treatment = experiment.treatments.findIndex((one) => one.id === unit.treatmentId);
    const planned = treatments[treatment];
    return {
      number: unit.number,
      treatment,
      replicate: unit.replicate,
      block: Number(unit.block) || 0,
      container: experiment.containers.findIndex((one) => one.id === unit.containerId),
      row: unit.row,
      column: unit.column,
      sowOn: planned ? sowingDayOf(plan, planned) : plan.sowOn,
      team: unit.team,
    };
  });
}
