import { type ClassOfExperimentRequest, planRoutes } from '@bright-sprout/contract/plans';
import { useMutation } from '@tanstack/react-query';
import { call } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { planScope, useKeepExperiment } from './use-save-plan.ts';

/** Says which class runs the experiment and which team has which pot. */
export function useGiveToClass() {
  const { experiment } = useExperiment();
  const keep = useKeepExperiment();
  return useMutation({
    scope: planScope(experiment.id),
    mutationFn: (body: ClassOfExperimentRequest) =>
      call(planRoutes.giveToClass, { params: { experimentId: experiment.id }, body }),
    onSuccess: keep,
  });
}
