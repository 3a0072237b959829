/** What each thing is kept under. A key stands for all that begin with it. */
export const keys = {
  session: ['session'],
  sessions: ['sessions'],
  network: ['network'],
  registration: ['registration'],
  experiments: ['experiments'],
  crops: ['crops'],
  seedLots: ['seed-lots'],
  templates: ['templates'],
  containerSizes: ['container-sizes'],
  classes: ['classes'],
  shares: (kind: 'class' | 'experiment', id: string) => ['shares', kind, id],
  invitation: (code: string) => ['invitation', code],
  practice: (classId: string) => ['classes', classId, 'practice'],
  anyExperiment: ['experiment'],
  experiment: (experimentId: string) => ['experiment', experimentId],
  ofExperiment: (experimentId: string, thing: ExperimentThing, ...more: readonly unknown[]) => [
    'experiment',
    experimentId,
    thing,
    ...more,
  ],
  device: ['device'],
  ofDevice: (thing: DeviceThing, ...more: readonly unknown[]) => ['device', thing, ...more],
  review: (...about: readonly unknown[]) => ['review', ...about],
  advice: (...about: readonly unknown[]) => ['advice', ...about],
} as const;

/** What is kept of an experiment. */
export type ExperimentThing =
  | 'plan'
  | 'inventory'
  | 'photos'
  | 'readings'
  | 'comparison'
  | 'predictions'
  | 'conclusions'
  | 'care'
  | 'logger-days'
  | 'journal'
  | 'ticks'
  | 'lesson'
  | 'poll';

/** What a student's device keeps. */
export type DeviceThing = 'class' | 'pots' | 'sowing' | 'ideas' | 'journal' | 'poll' | 'unit';
