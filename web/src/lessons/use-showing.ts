import {
  type LessonView,
  lessonRoutes,
  type ShowingRequest,
  type ShowingView,
} from '@bright-sprout/contract/lessons';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call, lessonQuery } from '../shared/api/index.ts';

/** What is shown now, and how to show something else: at once on this device, on the others within a second. */
export function useShowing(experimentId: string): {
  showing: ShowingView | null;
  show: (next: ShowingRequest) => void;
  end: () => void;
  error: unknown;
} {
  const queries = useQueryClient();
  const query = lessonQuery(experimentId);
  const showing = useQuery(query).data?.showing ?? null;
  const put = (next: ShowingView | null): void => {
    queries.setQueryData<LessonView>(query.queryKey, (kept) => kept && { ...kept, showing: next });
  };
  const change = useMutation({
    scope: { id: `showing-${experimentId}` },
    retry: 3,
    mutationFn: (body: ShowingRequest) => call(lessonRoutes.showBoard, { params: { experimentId }, body }),
  });
  const ending = useMutation({
    scope: { id: `showing-${experimentId}` },
    mutationFn: () => call(lessonRoutes.endLesson, { params: { experimentId } }),
  });
  return {
    showing,
    show: ({ boardId, isBlank, isRevealed, hidesTreatments, order, level, day }) => {
      const next = { boardId, isBlank, isRevealed, hidesTreatments, order, level, day };
      const now = new Date().toISOString();
      void queries.cancelQueries({ queryKey: query.queryKey });
      put({ ...next, begunAt: showing?.begunAt ?? now, shownAt: now });
      change.mutate(next);
    },
    end: () => {
      put(null);
      ending.mutate();
    },
    error: change.error ?? ending.error,
  };
}
