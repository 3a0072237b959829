import { type ExperimentView, planRoutes, type PlanRequest } from '@bright-sprout/contract/plan';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ApiFailure, call, experimentQuery, shelfQuery } from '../shared/api/index.ts';

/** Puts a changed experiment where every view finds it. */
export function useKeepExperiment(): (experiment: ExperimentView) => void {
  const queries = useQueryClient();
  return (experiment) => {
    queries.setQueryData(experimentQuery(experiment.id).queryKey, experiment);
    void queries.invalidateQueries({ queryKey: shelfQuery.queryKey });
  };
}

/** A plan to save; a shuffle gives the seed of a new layout, everything else keeps the layout that stands. */
export interface PlanChange {
  readonly plan: PlanRequest;
  readonly shuffleSeed?: number;
}

/** Changes of one plan wait for each other, so that each is made on the version before it. */
export function planScope(experimentId: string): { id: string } {
  return { id: `plan-${experimentId}` };
}

/** Saves the plan of a draft. A plan changed elsewhere is fetched again. */
export function useSavePlan(experimentId: string) {
  const queries = useQueryClient();
  const keep = useKeepExperiment();
  return useMutation({
    scope: planScope(experimentId),
    mutationFn: ({ plan, shuffleSeed }: PlanChange) => {
      const latest = queries.getQueryData(experimentQuery(experimentId).queryKey);
      const body = {
        ...plan,
        version: latest?.version ?? plan.version,
        layoutSeed: shuffleSeed ?? latest?.layoutSeed ?? plan.layoutSeed,
      };
      return call(planRoutes.savePlan, { params: { experimentId }, body });
    },
    onSuccess: keep,
    onError: (error) => {
      const changedElsewhere = error instanceof ApiFailure && error.body.code === 'changed_elsewhere';
      if (changedElsewhere) void queries.invalidateQueries(experimentQuery(experimentId));
    },
  });
}
