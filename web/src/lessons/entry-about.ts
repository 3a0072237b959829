import { say } from '@bright-sprout/words/lessons';
import type { EntryView } from '@bright-sprout/contract/journal';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { shortDay } from '../shared/ui/index.ts';

/** What an entry of the journal is about: its pot and day, or its day. */
export function entryAbout(entry: EntryView, { units }: ExperimentView): string {
  const number = units.find(({ id }) => id === entry.unitId)?.number;
  const day = shortDay(entry.happenedOn);
  return number === undefined ? day : say('potAndDay', { number, day });
}
