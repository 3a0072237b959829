import { say } from '@bright-sprout/words/lessons';
import { planRoutes, type PlanRequest } from '@bright-sprout/contract/plans';
import type { Finding } from '@bright-sprout/core/review';
import { findingWords } from '@bright-sprout/core/words';
import { useMutation } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { findingStyleOf, useKeepExperiment, useReviewOf } from '../../plans/index.ts';
import { ApiFailure, call } from '../../shared/api/index.ts';
import { useExperiment } from '../../shared/experiment/index.ts';
import { FailureNote } from '../../shared/ui/index.ts';
import { useLessonPlace } from '../lesson-place.ts';

/** What of a design a class would do otherwise the next time. */
const NEXT_TIME: readonly Finding['facts']['code'][] = [
  'more_than_one_thing',
  'no_control',
  'too_few_units',
  'seeds_as_replicates',
  'lined_up',
  'pots_stay_empty',
  'reads_before_up',
  'no_readings',
  'tallest_of_many',
  'missing_combinations',
];
const MOST = 3;

/** What the design check would change, each with a button that starts the next plan so. */
export function NextPlan() {
  const { experiment } = useExperiment();
  const place = useLessonPlace();
  const findings = useReviewOf(experiment.plan);
  const start = useNextPlan(experiment.id);
  const next = (findings ?? []).filter(({ facts }) => NEXT_TIME.includes(facts.code)).slice(0, MOST);
  if (!experiment.plan) return null;
  const style = findingStyleOf(experiment.plan.measure);
  return (
    <section className="next-plan" aria-label={say('nextTime')}>
      <h3>{say('nextTime')}</h3>
      <ul>
        {next.map((finding) => {
          const { title, detail, mend } = findingWords(finding.facts, style);
          return (
            <li key={JSON.stringify(finding.facts)}>
              <b>{title}.</b> {detail}{' '}
              {place === 'desk' && finding.mend && (
                <Button
                  size="sm"
                  variant="light"
                  disabled={start.isPending}
                  onClick={() => start.mutate(finding.mend?.changes ?? {})}
                >
                  {say('startNextPlanWith', { mend })}
                </Button>
              )}
            </li>
          );
        })}
        {next.length === 0 && <li>{say('theSameAgain')}</li>}
      </ul>
      {place === 'desk' && (
        <Button size="sm" variant="light" disabled={start.isPending} onClick={() => start.mutate({})}>
          {say('startNextPlan')}
        </Button>
      )}
      <FailureNote error={start.error} />
    </section>
  );
}

/** Copies the plan to a new draft, changes what mends it, and opens it. A change that does not fit is left out. */
function useNextPlan(experimentId: string) {
  const navigate = useNavigate();
  const keep = useKeepExperiment();
  return useMutation({
    mutationFn: async (changes: NonNullable<Finding['mend']>['changes']) => {
      const newExperimentId = uuid();
      const copy = await call(planRoutes.copy, { params: { experimentId, newExperimentId } });
      if (!copy.plan || Object.keys(changes).length === 0) return copy;
      const body = { ...copy.plan, ...changes, version: copy.version } as PlanRequest;
      try {
        return await call(planRoutes.savePlan, { params: { experimentId: newExperimentId }, body });
      } catch (thrown) {
        if (thrown instanceof ApiFailure && thrown.body.code === 'invalid_fields') return copy;
        throw thrown;
      }
    },
    onSuccess: (experiment) => {
      keep(experiment);
      void navigate(`/experiments/${experiment.id}/plan`);
    },
  });
}
