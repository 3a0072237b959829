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

/** Saves the plan of a draft. A plan changed elsewhere is fetched again. */
export function useSavePlan(experimentId: string) {
  const queries = useQueryClient();
  const keep = useKeepExperiment();
  return useMutation({
    scope: { id: `plan-${experimentId}` },
    mutationFn: (plan: PlanRequest) => {
      const latest = queries.getQueryData(experimentQuery(experimentId).queryKey);
      const body = { ...plan, version: latest?.version ?? plan.version };
      return call(planRoutes.savePlan, { params: { experimentId }, body });
    },
    onSuccess: keep,
    onError: (error) => {
      const changedElsewhere = error instanceof ApiFailure && error.body.code === 'changed_elsewhere';
      if (changedElsewhere) void queries.invalidateQueries(experimentQuery(experimentId));
    },
  });
}
