import type { ChangedThing } from '@bright-sprout/core/shared';
import type { ReadingView } from '../readings/index.ts';
import { see, student } from '../shared/index.ts';

/** How often a stream says `beat`, so that a reader notices one that is dead, in milliseconds. */
export const BEAT_MS = 15_000;

/** What a device learns of a reading: that it was made, not by whom or of what value. */
export interface ReadPot extends Pick<ReadingView, 'unitId' | 'variableId' | 'observedOn' | 'state'> {
  readonly isCorrection: boolean;
}

/**
 * One change, as the data of a server-sent event of the type `change`. News of readings carries them, so that nobody has
 * to ask; without them, as when many came at once, all is fetched anew.
 */
export interface ChangeEvent {
  readonly experimentId: string;
  readonly thing: ChangedThing;
  /** For teachers. */
  readonly readings?: readonly ReadingView[];
  /** For devices. */
  readonly read?: readonly ReadPot[];
}

/** News from the server as it happens. */
export const liveRoutes = {
  changes: see
    .get(
      '/experiments/:experimentId/changes',
      'Server-sent events: `change` for each kind of thing that was saved, `beat` now and then',
    )
    .sends('text/event-stream'),
  classChanges: student
    .get('/device/changes', 'The same for the experiments of the class that this device joined')
    .sends('text/event-stream'),
} as const;
