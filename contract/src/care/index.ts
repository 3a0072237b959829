import type {
  CareRequest,
  CareView,
  DeviceSamplesRequest,
  LoggerKeyView,
  SamplesRequest,
  SensorDayView,
  UndoCareRequest,
} from './requests.ts';
import { json, request, route } from '../shared/index.ts';

export {
  CareRequest,
  type CareView,
  DeviceSamplesRequest,
  type LoggerKeyView,
  SamplePart,
  SamplesRequest,
  type SensorDayView,
  UndoCareRequest,
} from './requests.ts';

/** Care of plants, and loggers. */
export const careRoutes = {
  care: route({
    method: 'GET',
    path: '/experiments/:experimentId/care',
    summary: 'Everything done to the plants in the order it was noted, what was taken back too',
    access: 'see',
    answer: json<CareView[]>(),
  }),
  keepCare: route({
    method: 'PUT',
    path: '/experiments/:experimentId/care/:careId',
    summary: 'Note something done to plants under an id made on the device',
    access: 'change',
    body: request<CareRequest>('CareRequest'),
    answer: json<CareView>(),
  }),
  undoCare: route({
    method: 'PUT',
    path: '/experiments/:experimentId/care/:careId/undone',
    summary: 'Take a care event back, or put it there again',
    access: 'change',
    body: request<UndoCareRequest>('UndoCareRequest'),
    answer: json<CareView>(),
  }),
  loggerKey: route({
    method: 'POST',
    path: '/experiments/:experimentId/logger',
    summary: 'A new key for a logger; the old one no longer works',
    access: 'change',
    answer: json<LoggerKeyView>(),
  }),
  sensorDays: route({
    method: 'GET',
    path: '/experiments/:experimentId/logger-days',
    summary: 'What loggers measured, by day',
    access: 'see',
    answer: json<SensorDayView[]>(),
  }),
  keepSamples: route({
    method: 'PUT',
    path: '/experiments/:experimentId/logger-samples',
    summary: 'Keep values of a logger, from its file',
    access: 'change',
    body: request<SamplesRequest>('SamplesRequest'),
    maxBytes: 524_288,
  }),
  streamSamples: route({
    method: 'POST',
    path: '/logger-samples',
    summary: 'Values from a logger, which shows its key',
    access: 'anyone',
    body: request<DeviceSamplesRequest>('DeviceSamplesRequest'),
  }),
} as const;
