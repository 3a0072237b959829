import type { CloseDayRequest, ReadingRequest, ReadingView, SetAsideRequest } from './requests.ts';
import type { ExperimentView } from '../plans/index.ts';
import { json, request, route } from '../shared/index.ts';

export { CloseDayRequest, ReadingRequest, type ReadingView, SetAsideRequest } from './requests.ts';

/** Readings. */
export const readingRoutes = {
  readings: route({
    method: 'GET',
    path: '/experiments/:experimentId/readings',
    summary: 'Every reading in the order they were made, corrected ones too',
    access: 'see',
    answer: json<ReadingView[]>(),
  }),
  keepReading: route({
    method: 'PUT',
    path: '/experiments/:experimentId/readings/:readingId',
    summary: 'Keep a reading under an id made on the device',
    access: 'change',
    body: request<ReadingRequest>('ReadingRequest'),
    answer: json<ReadingView>(),
  }),
  setAside: route({
    method: 'PUT',
    path: '/experiments/:experimentId/readings/:readingId/set-aside',
    summary: 'Leave a reading out of comparisons, with a reason',
    access: 'change',
    body: request<SetAsideRequest>('SetAsideRequest'),
    answer: json<ReadingView>(),
  }),
  putReadingBack: route({
    method: 'DELETE',
    path: '/experiments/:experimentId/readings/:readingId/set-aside',
    summary: 'Let a reading that was set aside count again',
    access: 'change',
    answer: json<ReadingView>(),
  }),
  closeDay: route({
    method: 'PUT',
    path: '/experiments/:experimentId/days/:dayKey',
    summary: 'Close a day, so that students add nothing to it, or open it again',
    access: 'change',
    body: request<CloseDayRequest>('CloseDayRequest'),
    answer: json<ExperimentView>(),
  }),
} as const;
