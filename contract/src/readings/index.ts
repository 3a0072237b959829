import type { CloseDayRequest, ReadingRequest, ReadingView, SetAsideRequest } from './requests.ts';
import type { ExperimentView } from '../plans/index.ts';
import { change, see } from '../shared/index.ts';

export { CloseDayRequest, ReadingRequest, type ReadingView, SetAsideRequest } from './requests.ts';

/** Readings. */
export const readingRoutes = {
  readings: see
    .get(
      '/experiments/:experimentId/readings',
      'Every reading in the order they were made, corrected ones too',
    )
    .answers<ReadingView[]>(),
  keepReading: change
    .put('/experiments/:experimentId/readings/:readingId', 'Keep a reading under an id made on the device')
    .takes<ReadingRequest>('ReadingRequest')
    .answers<ReadingView>(),
  setAside: change
    .put(
      '/experiments/:experimentId/readings/:readingId/set-aside',
      'Leave a reading out of comparisons, with a reason',
    )
    .takes<SetAsideRequest>('SetAsideRequest')
    .answers<ReadingView>(),
  putReadingBack: change
    .remove(
      '/experiments/:experimentId/readings/:readingId/set-aside',
      'Let a reading that was set aside count again',
    )
    .answers<ReadingView>(),
  closeDay: change
    .put(
      '/experiments/:experimentId/days/:dayKey',
      'Close a day, so that students add nothing to it, or open it again',
    )
    .takes<CloseDayRequest>('CloseDayRequest')
    .answers<ExperimentView>(),
} as const;
