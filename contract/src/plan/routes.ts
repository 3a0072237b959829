import { listRoute, route } from '../shared/index.ts';
import { CropView } from './crop-view.ts';
import { ExperimentView } from './experiment-view.ts';
import {
  DescriptionRequest,
  FinishRequest,
  LayoutRequest,
  PlanRequest,
  StartRequest,
} from './plan-request.ts';

/** Crops and plans. */
export const planRoutes = {
  crops: listRoute({
    method: 'GET',
    path: '/crops',
    summary: 'Crops to choose from',
    access: 'teacher',
    answer: CropView,
  }),
  start: route({
    method: 'PUT',
    path: '/experiments/:newExperimentId',
    summary: 'Start a draft under an id made on the device',
    access: 'teacher',
    body: StartRequest,
    answer: ExperimentView,
  }),
  experiment: route({
    method: 'GET',
    path: '/experiments/:experimentId',
    summary: 'One experiment with its plan',
    access: 'owner',
    answer: ExperimentView,
  }),
  savePlan: route({
    method: 'PUT',
    path: '/experiments/:experimentId/plan',
    summary: 'Change the plan of a draft; treatments and units follow',
    access: 'owner',
    body: PlanRequest,
    answer: ExperimentView,
  }),
  describe: route({
    method: 'PUT',
    path: '/experiments/:experimentId/description',
    summary: 'Change the question, the prediction or the lesson date at any time',
    access: 'owner',
    body: DescriptionRequest,
    answer: ExperimentView,
  }),
  arrange: route({
    method: 'PUT',
    path: '/experiments/:experimentId/layout',
    summary: 'Arrange the treatments of a draft by hand',
    access: 'owner',
    body: LayoutRequest,
    answer: ExperimentView,
  }),
  finish: route({
    method: 'PUT',
    path: '/experiments/:experimentId/finish',
    summary: 'Close an experiment, or open it again',
    access: 'owner',
    body: FinishRequest,
    answer: ExperimentView,
  }),
  discard: route({
    method: 'DELETE',
    path: '/experiments/:experimentId',
    summary: 'Take an experiment off the shelf; it can be put back',
    access: 'owner',
  }),
  putBack: route({
    method: 'POST',
    path: '/experiments/:experimentId/return',
    summary: 'Put an experiment back on the shelf',
    access: 'owner',
  }),
} as const;
