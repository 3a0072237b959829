import { say } from '@bright-sprout/words/lessons';
import { type EntryView, journalRoutes } from '@bright-sprout/contract/journal';
import { addressOf } from '../../shared/api/index.ts';
import { useExperiment } from '../../shared/experiment/index.ts';
import { entryAbout } from '../entry-about.ts';

/** Drawings, photos and sentences on paper; whose they are only where names are wanted. */
export function EntryList({ entries, hasNames }: { entries: readonly EntryView[]; hasNames: boolean }) {
  const { experiment } = useExperiment();
  if (entries.length === 0) return null;
  return (
    <ul className="sheet-entries">
      {entries.map((entry) => {
        const about = entryAbout(entry, experiment);
        return (
          <li key={entry.id}>
            {entry.hasPicture && (
              <img
                src={addressOf(journalRoutes.picture, { experimentId: experiment.id, entryId: entry.id })}
                alt={entry.note || about}
              />
            )}
            {entry.note !== '' && <p>{entry.note}</p>}
            <small>
              {hasNames && entry.observer !== ''
                ? say('aboutBy', { about, observer: entry.observer })
                : about}
            </small>
          </li>
        );
      })}
    </ul>
  );
}
