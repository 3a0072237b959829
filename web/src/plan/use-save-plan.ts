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

/** A plan to save; what it says of the layout is left out unless it is said here. */
export interface PlanChange {
  readonly plan: PlanRequest;
  readonly layout?: Partial<Pick<PlanRequest, 'layoutSeed' | 'layoutMethod'>>;
}

/** Changes of one plan wait for each other, so that each is made on the version before it. */
export function planScope(experimentId: string): { id: string } {
  return { id: `plan-${experimentId}` };
}

/** Saves a plan. A plan changed elsewhere is fetched again. */
export function useSavePlan(experimentId: string) {
  const queries = useQueryClient();
  const keep = useKeepExperiment();
  return useMutation({
    scope: planScope(experimentId),
    mutationFn: ({ plan, layout }: PlanChange) => {
      const latest = queries.getQueryData(experimentQuery(experimentId).queryKey);
      const body: PlanRequest = {
        ...plan,
        version: latest?.version ?? plan.version,
        layoutSeed: layout?.layoutSeed ?? latest?.plan?.layoutSeed ?? plan.layoutSeed,
        layoutMethod: layout?.layoutMethod ?? latest?.plan?.layoutMethod ?? plan.layoutMethod,
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
