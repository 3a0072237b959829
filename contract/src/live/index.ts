import { route } from '../shared/index.ts';

/** What a change can be of. */
export const CHANGED_THINGS = ['readings', 'care', 'journal', 'sowing'] as const;
export type ChangedThing = (typeof CHANGED_THINGS)[number];

/** How often a stream says `beat`, so that a reader notices one that is dead, in milliseconds. */
export const BEAT_MS = 15_000;

/** One change, as the data of a server-sent event of the type `change`. */
export interface ChangeEvent {
  readonly experimentId: string;
  readonly thing: ChangedThing;
}

/** News from the server as it happens. */
export const liveRoutes = {
  changes: route({
    method: 'GET',
    path: '/experiments/:experimentId/changes',
    summary: 'Server-sent events: `change` for each kind of thing that was saved, `beat` now and then',
    access: 'owner',
    file: 'text/event-stream',
  }),
  classChanges: route({
    method: 'GET',
    path: '/door/changes',
    summary: 'The same for the experiments of the class that this device joined',
    access: 'student',
    file: 'text/event-stream',
  }),
} as const;
