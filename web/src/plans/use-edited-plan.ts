import type { SowingAdvice } from '@bright-sprout/core/calendar';
import type { Finding } from '@bright-sprout/core/review';
import { calendarDay, type Outcome } from '@bright-sprout/core/shared';
import type { FindingStyle } from '@bright-sprout/core/words';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { keys } from '../shared/api/index.ts';
import { useExperiment, useSurroundings } from '../shared/experiment/index.ts';
import { findingStyleOf } from './finding-style.ts';
import { usePlanEditor } from './plan-editor.tsx';
import { planning } from './planning.ts';
import { useReviewOf } from './use-review.ts';

/** The design check of the plan as it stands; undefined until it was made. */
export function useReview(): readonly Finding[] | undefined {
  const { plan, state } = usePlanEditor();
  return useReviewOf(plan, state !== 'not-valid');
}

/** Sowing days worked out backwards from the lesson; undefined until they are. */
export function useAdvice(): Outcome<SowingAdvice> | undefined {
  const { experiment } = useExperiment();
  const { plan, state } = usePlanEditor();
  const surroundings = useSurroundings();
  const { data } = useQuery({
    queryKey: keys.advice(plan, surroundings, experiment.today),
    queryFn: async (): Promise<Outcome<SowingAdvice>> =>
      await planning().advice(plan, surroundings ?? { crops: [], lots: [] }, calendarDay(experiment.today)),
    enabled: surroundings !== undefined && state !== 'not-valid',
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    staleTime: Infinity,
  });
  return data;
}

/** How figures of the plan that is edited are told. */
export function useFindingStyle(): FindingStyle {
  return findingStyleOf(usePlanEditor().plan.measure);
}
