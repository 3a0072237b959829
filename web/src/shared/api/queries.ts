import { keys } from './keys.ts';
import { classRoutes } from '@bright-sprout/contract/classes';
import { predictionRoutes } from '@bright-sprout/contract/predictions';
import { comparisonRoutes, type ComparisonQuery, type StudyQuery } from '@bright-sprout/contract/comparison';
import { networkRoutes } from '@bright-sprout/contract/network';
import { accountRoutes } from '@bright-sprout/contract/accounts';
import { inventoryRoutes } from '@bright-sprout/contract/inventory';
import { photoRoutes } from '@bright-sprout/contract/photos';
import { planRoutes } from '@bright-sprout/contract/plans';
import { readingRoutes } from '@bright-sprout/contract/readings';
import { experimentRoutes } from '@bright-sprout/contract/experiments';
import { careRoutes } from '@bright-sprout/contract/care';
import { journalRoutes } from '@bright-sprout/contract/journal';
import { sharingRoutes } from '@bright-sprout/contract/sharing';
import { sowingRoutes } from '@bright-sprout/contract/sowing';
import { lessonRoutes } from '@bright-sprout/contract/lessons';
import { studentRoutes } from '@bright-sprout/contract/student';
import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { call } from './call.ts';

/** Who is signed in. */
export const sessionQuery = queryOptions({
  queryKey: keys.session,
  queryFn: () => call(accountRoutes.whoAmI, {}),
  retry: false,
  staleTime: Infinity,
});

/** The experiments. */
export const experimentsQuery = queryOptions({
  queryKey: keys.experiments,
  queryFn: () => call(experimentRoutes.experiments, {}),
});

/** Crops to choose from. */
export const cropsQuery = queryOptions({
  queryKey: keys.crops,
  queryFn: () => call(inventoryRoutes.crops, {}),
  staleTime: Infinity,
});

/** The packets of the inventory. */
export const seedLotsQuery = queryOptions({
  queryKey: keys.seedLots,
  queryFn: () => call(inventoryRoutes.seedLots, {}),
  staleTime: 60_000,
});

/** The teacher’s classes with their rosters. */
export const classesQuery = queryOptions({
  queryKey: keys.classes,
  queryFn: () => call(classRoutes.classes, {}),
});

/** Who else may see or change a class or an experiment of one's own. */
export function sharesQuery(kind: 'class' | 'experiment', id: string) {
  return queryOptions({
    queryKey: keys.shares(kind, id),
    queryFn: () =>
      kind === 'class'
        ? call(sharingRoutes.sharesOfClass, { params: { classId: id } })
        : call(sharingRoutes.sharesOfExperiment, { params: { experimentId: id } }),
  });
}

/** What a code invites to. */
export function invitationQuery(code: string) {
  return queryOptions({
    queryKey: keys.invitation(code),
    queryFn: () => call(sharingRoutes.invitation, { params: { codeKey: code } }),
    retry: false,
  });
}

/** What the owner of a shared experiment has to plant with. */
export function inventoryOfQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'inventory'),
    queryFn: () => call(inventoryRoutes.inventoryOf, { params: { experimentId } }),
    staleTime: 60_000,
  });
}

/** Plans to start from. */
export const templatesQuery = queryOptions({
  queryKey: keys.templates,
  queryFn: () => call(planRoutes.templates, {}),
});

/** Container sizes of one's own. */
export const containerSizesQuery = queryOptions({
  queryKey: keys.containerSizes,
  queryFn: () => call(inventoryRoutes.containerSizes, {}),
});

/** One experiment with its plan. */
export function experimentQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'plan'),
    queryFn: () => call(planRoutes.experiment, { params: { experimentId } }),
  });
}

/** Every reading of an experiment. */
export function readingsQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'readings'),
    queryFn: () => call(readingRoutes.readings, { params: { experimentId } }),
  });
}

/** A comparison; the last one stays in sight while the next is fetched. */
export function comparisonQuery(experimentId: string, query: ComparisonQuery) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'comparison', query),
    queryFn: () => call(comparisonRoutes.comparison, { params: { experimentId }, query }),
    placeholderData: keepPreviousData,
  });
}

/** Runs of the same plan pooled. */
export function studyQuery(experimentId: string, query: StudyQuery) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'comparison', 'study', query),
    queryFn: () => call(comparisonRoutes.study, { params: { experimentId }, query }),
    placeholderData: keepPreviousData,
  });
}

/** Guesses that count. */
export function predictionsQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'predictions'),
    queryFn: () => call(predictionRoutes.predictions, { params: { experimentId } }),
  });
}

/** What teacher and students concluded. */
export function conclusionsQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'conclusions'),
    queryFn: () => call(predictionRoutes.conclusions, { params: { experimentId } }),
  });
}

/** How well a class reads drawn rulers. */
export function practiceQuery(classId: string) {
  return queryOptions({
    queryKey: keys.practice(classId),
    queryFn: () => call(studentRoutes.practice, { params: { classId } }),
  });
}

/** Care of an experiment's plants. */
export function careQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'care'),
    queryFn: () => call(careRoutes.care, { params: { experimentId } }),
  });
}

/** Where tablets open the application. */
export const networkQuery = queryOptions({
  queryKey: keys.network,
  queryFn: () => call(networkRoutes.network, {}),
});

/** How an account is opened here. */
export const registrationQuery = queryOptions({
  queryKey: keys.registration,
  queryFn: () => call(accountRoutes.registration, {}),
  staleTime: 60_000,
});

/** Where the teacher is signed in. */
export const sessionsQuery = queryOptions({
  queryKey: keys.sessions,
  queryFn: () => call(accountRoutes.sessions, {}),
});

/** What loggers measured, by day. */
export function sensorDaysQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'logger-days'),
    queryFn: () => call(careRoutes.sensorDays, { params: { experimentId } }),
  });
}

/** Photos, drawings and sentences. */
export function journalQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'journal'),
    queryFn: () => call(journalRoutes.entries, { params: { experimentId } }),
  });
}

/** Photos of containers and pots, with what was measured on them. */
export function photosQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'photos'),
    queryFn: () => call(photoRoutes.photos, { params: { experimentId } }),
  });
}

/** What is ticked of the sowing of each unit. */
export function ticksQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'ticks'),
    queryFn: () => call(sowingRoutes.ticks, { params: { experimentId } }),
  });
}

/** The boards of a lesson, and what is shown now. */
export function lessonQuery(experimentId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'lesson'),
    queryFn: () => call(lessonRoutes.lesson, { params: { experimentId } }),
  });
}

/** A vote of the class with how many chose what. */
export function pollQuery(experimentId: string, pollId: string) {
  return queryOptions({
    queryKey: keys.ofExperiment(experimentId, 'poll', pollId),
    queryFn: () => call(lessonRoutes.poll, { params: { experimentId, pollId } }),
    retry: false,
  });
}
