import { json, route } from '../shared/index.ts';

import {
  ConclusionRequest,
  type ConclusionView,
  PredictionRequest,
  type PredictionView,
  StudentConclusionRequest,
  type StudentIdeasView,
  StudentPredictionRequest,
} from './ideas.ts';
import { ComparisonQuery, StudyQuery } from './query.ts';
import type { ComparisonView, StudyView } from './views.ts';

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
  type ConclusionView,
  MOST_CLAIM_CHARACTERS,
  PredictionRequest,
  type PredictionView,
  StudentConclusionRequest,
  type StudentIdeasView,
  StudentPredictionRequest,
} from './ideas.ts';
export type { ComparisonView, StudyView } from './views.ts';

/** Comparisons. */
export const compareRoutes = {
  comparison: route({
    method: 'GET',
    path: '/experiments/:experimentId/comparison',
    summary: 'Every figure of Compare in full precision: the answer, its words, and the parts asked for',
    access: 'owner',
    query: ComparisonQuery,
    answer: json<ComparisonView>(),
  }),
  study: route({
    method: 'GET',
    path: '/experiments/:experimentId/study',
    summary: 'All runs of the same plan pooled, classes as blocks',
    access: 'owner',
    query: StudyQuery,
    answer: json<StudyView>(),
  }),
  predictions: route({
    method: 'GET',
    path: '/experiments/:experimentId/predictions',
    summary: 'The guesses that count, the newest of each student',
    access: 'owner',
    answer: json<PredictionView[]>(),
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
  conclusions: route({
    method: 'GET',
    path: '/experiments/:experimentId/conclusions',
    summary: 'What teacher and students concluded, the newest of each first',
    access: 'owner',
    answer: json<ConclusionView[]>(),
  }),
  keepConclusion: route({
    method: 'PUT',
    path: '/experiments/:experimentId/conclusions/:conclusionId',
    summary: 'Keep a claim with its evidence and reasoning',
    access: 'owner',
    body: ConclusionRequest,
    answer: json<ConclusionView>(),
  }),
  studentIdeas: route({
    method: 'GET',
    path: '/door/ideas',
    summary: 'The experiments of the class, for guessing and concluding',
    access: 'student',
    answer: json<StudentIdeasView[]>(),
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
    answer: json<ConclusionView>(),
  }),
} as const;
