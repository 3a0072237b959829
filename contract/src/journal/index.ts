import { MOST_ENTRY_BYTES } from '@bright-sprout/core/shared';
import type { EntryRequest, EntryView, HideEntryRequest } from './requests.ts';
import { change, see } from '../shared/index.ts';

export { DrawingPart, LabelPart, LinePart, MOST_LINE_NUMBERS, MOST_LINES } from './drawing.ts';
export { EntryRequest, type EntryView, HideEntryRequest } from './requests.ts';

/** The journal of an experiment. */
export const journalRoutes = {
  entries: see
    .get('/experiments/:experimentId/journal', 'Photos, drawings and sentences, the newest last')
    .answers<EntryView[]>(),
  keepEntry: change
    .put('/experiments/:experimentId/journal/:entryId', 'Keep an entry under an id made on the device')
    .takes<EntryRequest>('EntryRequest', MOST_ENTRY_BYTES)
    .answers<EntryView>(),
  hideEntry: change
    .put(
      '/experiments/:experimentId/journal/:entryId/hidden',
      'Hide an entry from everybody but who made it, or show it again',
    )
    .takes<HideEntryRequest>('HideEntryRequest')
    .answers<EntryView>(),
  removeEntry: change.remove(
    '/experiments/:experimentId/journal/:entryId',
    'Remove an entry with its picture for good',
  ),
  picture: see
    .get('/experiments/:experimentId/journal/:entryId/picture', 'The picture of an entry')
    .sends('image/*'),
} as const;
