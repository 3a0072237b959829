import type {
  ConclusionRequest,
  ConclusionView,
  PredictionRequest,
  PredictionView,
  StudentConclusionRequest,
  StudentIdeasView,
  StudentPredictionRequest,
} from './requests.ts';
import { change, see, student } from '../shared/index.ts';

export * from './requests.ts';

/** Guesses before, and conclusions after. */
export const predictionRoutes = {
  predictions: see
    .get('/experiments/:experimentId/predictions', 'The guesses that count, the newest of each student')
    .answers<PredictionView[]>(),
  keepPrediction: change
    .put(
      '/experiments/:experimentId/predictions/:predictionId',
      'Count a guess that was made in class, without a name',
    )
    .takes<PredictionRequest>('PredictionRequest'),
  removePrediction: change.remove(
    '/experiments/:experimentId/predictions/:predictionId',
    'Take back a guess',
  ),
  conclusions: see
    .get(
      '/experiments/:experimentId/conclusions',
      'What teacher and students concluded, the newest of each first',
    )
    .answers<ConclusionView[]>(),
  keepConclusion: change
    .put(
      '/experiments/:experimentId/conclusions/:conclusionId',
      'Keep a claim with its evidence and reasoning',
    )
    .takes<ConclusionRequest>('ConclusionRequest')
    .answers<ConclusionView>(),
  studentIdeas: student
    .get('/device/ideas', 'The experiments of the class, for guessing and concluding')
    .answers<StudentIdeasView[]>(),
  keepOwnPrediction: student
    .put('/device/predictions/:predictionId', 'A guess of the student who chose a tile')
    .takes<StudentPredictionRequest>('StudentPredictionRequest'),
  keepOwnConclusion: student
    .put('/device/conclusions/:conclusionId', 'A conclusion of the student who chose a tile')
    .takes<StudentConclusionRequest>('StudentConclusionRequest')
    .answers<ConclusionView>(),
} as const;
