import { say } from '@bright-sprout/words/lessons';
import { type EntryView, journalRoutes } from '@bright-sprout/contract/journal';
import { addressOf } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { entryAbout } from './entry-about.ts';

/** A drawing, photo or sentence with what it is about; whose it is only where names are wanted. */
export function EntryFigure({ entry, hasNames }: { entry: EntryView; hasNames: boolean }) {
  const { experiment } = useExperiment();
  const { note, observer } = entry;
  const about = entryAbout(entry, experiment);
  return (
    <>
      {entry.hasPicture && (
        <img
          src={addressOf(journalRoutes.picture, { experimentId: experiment.id, entryId: entry.id })}
          alt={note || about}
        />
      )}
      {note !== '' && <p className="entry-note">{note}</p>}
      <small>{hasNames && observer !== '' ? say('aboutBy', { about, observer }) : about}</small>
    </>
  );
}
