import type {
  SowingNoteRequest,
  SowingRequest,
  TakeBackSowingRequest,
  TickRequest,
  TickView,
} from './requests.ts';
import type { ExperimentView } from '../plans/index.ts';
import { change, see } from '../shared/index.ts';

export * from './requests.ts';

/** Sowing. */
export const sowingRoutes = {
  sowAll: change
    .put('/experiments/:experimentId/sowing', 'Mark all units, or some of them, as sown on a day')
    .takes<SowingRequest>('SowingRequest')
    .answers<ExperimentView>(),
  takeBackSowing: change
    .put(
      '/experiments/:experimentId/sowing/taken-back',
      'Take the sowing of units back that nothing was read of yet',
    )
    .takes<TakeBackSowingRequest>('TakeBackSowingRequest')
    .answers<ExperimentView>(),
  ticks: see
    .get('/experiments/:experimentId/sowing/ticks', 'What is ticked of the sowing of each unit')
    .answers<TickView[]>(),
  tick: change
    .put(
      '/experiments/:experimentId/sowing/ticks',
      'Tick an item of the sowing for some units, or take the tick away',
    )
    .takes<TickRequest>('TickRequest')
    .answers<TickView[]>(),
  noteSowing: change
    .put('/experiments/:experimentId/sowing/notes', 'Note what was different when a unit was sown')
    .takes<SowingNoteRequest>('SowingNoteRequest')
    .answers<ExperimentView>(),
} as const;
