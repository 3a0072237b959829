import { MOST_ENTRY_BYTES } from '@bright-sprout/core/shared';
import type { EntryRequest, EntryView, HideEntryRequest } from './requests.ts';
import { json, request, route } from '../shared/index.ts';

export { DrawingPart, LabelPart, LinePart, MOST_LINE_NUMBERS, MOST_LINES } from './drawing.ts';
export { EntryRequest, type EntryView, HideEntryRequest } from './requests.ts';

/** The journal of an experiment. */
export const journalRoutes = {
  entries: route({
    method: 'GET',
    path: '/experiments/:experimentId/journal',
    summary: 'Photos, drawings and sentences, the newest last',
    access: 'see',
    answer: json<EntryView[]>(),
  }),
  keepEntry: route({
    method: 'PUT',
    path: '/experiments/:experimentId/journal/:entryId',
    summary: 'Keep an entry under an id made on the device',
    access: 'change',
    maxBytes: MOST_ENTRY_BYTES,
    body: request<EntryRequest>('EntryRequest'),
    answer: json<EntryView>(),
  }),
  hideEntry: route({
    method: 'PUT',
    path: '/experiments/:experimentId/journal/:entryId/hidden',
    summary: 'Hide an entry from everybody but who made it, or show it again',
    access: 'change',
    body: request<HideEntryRequest>('HideEntryRequest'),
    answer: json<EntryView>(),
  }),
  removeEntry: route({
    method: 'DELETE',
    path: '/experiments/:experimentId/journal/:entryId',
    summary: 'Remove an entry with its picture for good',
    access: 'change',
  }),
  picture: route({
    method: 'GET',
    path: '/experiments/:experimentId/journal/:entryId/picture',
    summary: 'The picture of an entry',
    access: 'see',
    file: 'image/*',
  }),
} as const;
