import type {
  SowingNoteRequest,
  SowingRequest,
  TakeBackSowingRequest,
  TickRequest,
  TickView,
} from './requests.ts';
import type { ExperimentView } from '../plans/index.ts';
import { json, request, route } from '../shared/index.ts';

export {
  SowingNoteRequest,
  SowingRequest,
  TakeBackSowingRequest,
  TickRequest,
  type TickView,
} from './requests.ts';

/** Sowing. */
export const sowingRoutes = {
  sowAll: route({
    method: 'PUT',
    path: '/experiments/:experimentId/sowing',
    summary: 'Mark all units, or some of them, as sown on a day',
    access: 'change',
    body: request<SowingRequest>('SowingRequest'),
    answer: json<ExperimentView>(),
  }),
  takeBackSowing: route({
    method: 'PUT',
    path: '/experiments/:experimentId/sowing/taken-back',
    summary: 'Take the sowing of units back that nothing was read of yet',
    access: 'change',
    body: request<TakeBackSowingRequest>('TakeBackSowingRequest'),
    answer: json<ExperimentView>(),
  }),
  ticks: route({
    method: 'GET',
    path: '/experiments/:experimentId/sowing/ticks',
    summary: 'What is ticked of the sowing of each unit',
    access: 'see',
    answer: json<TickView[]>(),
  }),
  tick: route({
    method: 'PUT',
    path: '/experiments/:experimentId/sowing/ticks',
    summary: 'Tick an item of the sowing for some units, or take the tick away',
    access: 'change',
    body: request<TickRequest>('TickRequest'),
    answer: json<TickView[]>(),
  }),
  noteSowing: route({
    method: 'PUT',
    path: '/experiments/:experimentId/sowing/notes',
    summary: 'Note what was different when a unit was sown',
    access: 'change',
    body: request<SowingNoteRequest>('SowingNoteRequest'),
    answer: json<ExperimentView>(),
  }),
} as const;
