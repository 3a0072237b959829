import type {
  CareRequest,
  CareView,
  DeviceSamplesRequest,
  LoggerKeyView,
  SamplesRequest,
  SensorDayView,
  UndoCareRequest,
} from './requests.ts';
import { anyone, change, see } from '../shared/index.ts';

export * from './requests.ts';

/** Care of plants, and loggers. */
export const careRoutes = {
  care: see
    .get(
      '/experiments/:experimentId/care',
      'Everything done to the plants in the order it was noted, what was taken back too',
    )
    .answers<CareView[]>(),
  keepCare: change
    .put(
      '/experiments/:experimentId/care/:careId',
      'Note something done to plants under an id made on the device',
    )
    .takes<CareRequest>('CareRequest')
    .answers<CareView>(),
  undoCare: change
    .put('/experiments/:experimentId/care/:careId/undone', 'Take a care event back, or put it there again')
    .takes<UndoCareRequest>('UndoCareRequest')
    .answers<CareView>(),
  loggerKey: change
    .post('/experiments/:experimentId/logger', 'A new key for a logger; the old one no longer works')
    .answers<LoggerKeyView>(),
  sensorDays: see
    .get('/experiments/:experimentId/logger-days', 'What loggers measured, by day')
    .answers<SensorDayView[]>(),
  keepSamples: change
    .put('/experiments/:experimentId/logger-samples', 'Keep values of a logger, from its file')
    .takes<SamplesRequest>('SamplesRequest', 524_288),
  streamSamples: anyone
    .post('/logger-samples', 'Values from a logger, which shows its key')
    .takes<DeviceSamplesRequest>('DeviceSamplesRequest'),
} as const;
