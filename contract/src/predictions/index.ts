import type {
  ConclusionRequest,
  ConclusionView,
  PredictionRequest,
  PredictionView,
  StudentConclusionRequest,
  StudentIdeasView,
  StudentPredictionRequest,
} from './requests.ts';
import { json, request, route } from '../shared/index.ts';

export {
  ConclusionRequest,
  type ConclusionView,
  PredictionRequest,
  type PredictionView,
  StudentConclusionRequest,
  type StudentIdeasView,
  StudentPredictionRequest,
} from './requests.ts';

/** Guesses before, and conclusions after. */
export const predictionRoutes = {
  predictions: route({
    method: 'GET',
    path: '/experiments/:experimentId/predictions',
    summary: 'The guesses that count, the newest of each student',
    access: 'see',
    answer: json<PredictionView[]>(),
  }),
  keepPrediction: route({
    method: 'PUT',
    path: '/experiments/:experimentId/predictions/:predictionId',
    summary: 'Count a guess that was made in class, without a name',
    access: 'change',
    body: request<PredictionRequest>('PredictionRequest'),
  }),
  removePrediction: route({
    method: 'DELETE',
    path: '/experiments/:experimentId/predictions/:predictionId',
    summary: 'Take back a guess',
    access: 'change',
  }),
  conclusions: route({
    method: 'GET',
    path: '/experiments/:experimentId/conclusions',
    summary: 'What teacher and students concluded, the newest of each first',
    access: 'see',
    answer: json<ConclusionView[]>(),
  }),
  keepConclusion: route({
    method: 'PUT',
    path: '/experiments/:experimentId/conclusions/:conclusionId',
    summary: 'Keep a claim with its evidence and reasoning',
    access: 'change',
    body: request<ConclusionRequest>('ConclusionRequest'),
    answer: json<ConclusionView>(),
  }),
  studentIdeas: route({
    method: 'GET',
    path: '/device/ideas',
    summary: 'The experiments of the class, for guessing and concluding',
    access: 'student',
    answer: json<StudentIdeasView[]>(),
  }),
  keepOwnPrediction: route({
    method: 'PUT',
    path: '/device/predictions/:predictionId',
    summary: 'A guess of the student who chose a tile',
    access: 'student',
    body: request<StudentPredictionRequest>('StudentPredictionRequest'),
  }),
  keepOwnConclusion: route({
    method: 'PUT',
    path: '/device/conclusions/:conclusionId',
    summary: 'A conclusion of the student who chose a tile',
    access: 'student',
    body: request<StudentConclusionRequest>('StudentConclusionRequest'),
    answer: json<ConclusionView>(),
  }),
} as const;
