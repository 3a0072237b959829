import { listRoute, route } from '../shared/index.ts';
import { StudyView } from './class-views.ts';
import {
  ConclusionRequest,
  ConclusionView,
  PredictionRequest,
  PredictionView,
  StudentConclusionRequest,
  StudentIdeasView,
  StudentPredictionRequest,
} from './ideas.ts';
import { ComparisonQuery, StudyQuery } from './query.ts';
import { ComparisonView } from './views.ts';

export { StudyView } from './class-views.ts';
export {
  COMPARISON_PARTS,
  type ComparisonPart,
  ComparisonQuery,
  PER_RULES,
  SET_ASIDE_RULES,
  StudyQuery,
} from './query.ts';
export {
  ConclusionRequest,
  ConclusionView,
  MOST_CLAIM_CHARACTERS,
  PredictionRequest,
  PredictionView,
  StudentConclusionRequest,
  StudentIdeasView,
  StudentPredictionRequest,
} from './ideas.ts';
export { ComparisonView } from './views.ts';

/** Comparisons. */
export const compareRoutes = {
  comparison: route({
    method: 'GET',
    path: '/experiments/:experimentId/comparison',
    summary: 'Every figure of Compare in full precision: the answer, its words, and the parts asked for',
    access: 'owner',
    query: ComparisonQuery,
    answer: ComparisonView,
  }),
  study: route({
    method: 'GET',
    path: '/experiments/:experimentId/study',
    summary: 'All runs of the same plan pooled, classes as blocks',
    access: 'owner',
    query: StudyQuery,
    answer: StudyView,
  }),
  predictions: listRoute({
    method: 'GET',
    path: '/experiments/:experimentId/predictions',
    summary: 'The guesses that count, the newest of each student',
    access: 'owner',
    answer: PredictionView,
  }),
  keepPrediction: route({
    method: 'PUT',
    path: '/experiments/:experimentId/predictions/:predictionId',
    summary: 'Count a guess that was made in class, without a name',
    access: 'owner',
    body: PredictionRequest,
  }),
  removePrediction: route({
    method: 'DELETE',
    path: '/experiments/:experimentId/predictions/:predictionId',
    summary: 'Take back a guess',
    access: 'owner',
  }),
  conclusions: listRoute({
    method: 'GET',
    path: '/experiments/:experimentId/conclusions',
    summary: 'What teacher and students concluded, the newest of each first',
    access: 'owner',
    answer: ConclusionView,
  }),
  keepConclusion: route({
    method: 'PUT',
    path: '/experiments/:experimentId/conclusions/:conclusionId',
    summary: 'Keep a claim with its evidence and reasoning',
    access: 'owner',
    body: ConclusionRequest,
    answer: ConclusionView,
  }),
  studentIdeas: listRoute({
    method: 'GET',
    path: '/door/ideas',
    summary: 'The experiments of the class, for guessing and concluding',
    access: 'student',
    answer: StudentIdeasView,
  }),
  keepOwnPrediction: route({
    method: 'PUT',
    path: '/door/predictions/:predictionId',
    summary: 'A guess of the student who chose a tile',
    access: 'student',
    body: StudentPredictionRequest,
  }),
  keepOwnConclusion: route({
    method: 'PUT',
    path: '/door/conclusions/:conclusionId',
    summary: 'A conclusion of the student who chose a tile',
    access: 'student',
    body: StudentConclusionRequest,
    answer: ConclusionView,
  }),
} as const;
