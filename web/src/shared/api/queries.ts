import { classRoutes } from '@bright-sprout/contract/classes';
import { compareRoutes, type ComparisonQuery } from '@bright-sprout/contract/compare';
import { peopleRoutes } from '@bright-sprout/contract/people';
import { planRoutes } from '@bright-sprout/contract/plan';
import { recordRoutes } from '@bright-sprout/contract/record';
import { shelfRoutes } from '@bright-sprout/contract/shelf';
import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { call } from './call.ts';

/** Who is signed in. */
export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: () => call(peopleRoutes.whoAmI, {}),
  retry: false,
  staleTime: Infinity,
});

/** The shelf. */
export const shelfQuery = queryOptions({
  queryKey: ['shelf'],
  queryFn: () => call(shelfRoutes.shelf, {}),
});

/** Crops to choose from. */
export const cropsQuery = queryOptions({
  queryKey: ['crops'],
  queryFn: () => call(planRoutes.crops, {}),
  staleTime: Infinity,
});

/** The packets of the seed drawer. */
export const seedLotsQuery = queryOptions({
  queryKey: ['seed-lots'],
  queryFn: () => call(planRoutes.seedLots, {}),
  staleTime: 60_000,
});

/** The teacher’s classes with their rosters. */
export const classesQuery = queryOptions({
  queryKey: ['classes'],
  queryFn: () => call(classRoutes.classes, {}),
});

/** Plans to start from. */
export const templatesQuery = queryOptions({
  queryKey: ['templates'],
  queryFn: () => call(planRoutes.templates, {}),
});

/** Container sizes of one's own. */
export const containerSizesQuery = queryOptions({
  queryKey: ['container-sizes'],
  queryFn: () => call(planRoutes.containerSizes, {}),
});

/** One experiment with its plan. */
export function experimentQuery(experimentId: string) {
  return queryOptions({
    queryKey: ['experiment', experimentId, 'plan'],
    queryFn: () => call(planRoutes.experiment, { params: { experimentId } }),
  });
}

/** Every reading of an experiment. */
export function readingsQuery(experimentId: string) {
  return queryOptions({
    queryKey: ['experiment', experimentId, 'readings'],
    queryFn: () => call(recordRoutes.readings, { params: { experimentId } }),
  });
}

/** A comparison; the last one stays in sight while the next is fetched. */
export function comparisonQuery(experimentId: string, query: ComparisonQuery) {
  return queryOptions({
    queryKey: ['experiment', experimentId, 'comparison', query],
    queryFn: () => call(compareRoutes.comparison, { params: { experimentId }, query }),
    placeholderData: keepPreviousData,
  });
}
