import { studentRoutes } from '@bright-sprout/contract/student';
import { queryOptions } from '@tanstack/react-query';
import { call } from '../shared/api/index.ts';

/** The class that this device joined. */
export const doorQuery = queryOptions({
  queryKey: ['door', 'class'],
  queryFn: () => call(studentRoutes.door, {}),
  retry: false,
  staleTime: Infinity,
});

/** The pots of the student at this device. */
export const potsQuery = queryOptions({
  queryKey: ['door', 'pots'],
  queryFn: () => call(studentRoutes.pots, {}),
});
