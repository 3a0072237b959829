import { classRoutes, type RosterRequest } from '@bright-sprout/contract/classes';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { call, classesQuery } from '../shared/api/index.ts';

/** Stores the whole roster of a class; changes go one after the other. */
export function useSaveRoster(classId: string) {
  const queries = useQueryClient();
  return useMutation({
    scope: { id: `roster-${classId}` },
    mutationFn: (body: RosterRequest) => call(classRoutes.saveRoster, { params: { classId }, body }),
    onSuccess: (kept) => {
      queries.setQueryData(classesQuery.queryKey, (all = []) =>
        all.map((one) => (one.id === kept.id ? kept : one)),
      );
    },
  });
}
