import type { EntryView } from '@bright-sprout/contract/journal';
import { EntryFigure } from '../entry-figure.tsx';

/** Drawings, photos and sentences on paper; whose they are only where names are wanted. */
export function EntryList({ entries, hasNames }: { entries: readonly EntryView[]; hasNames: boolean }) {
  if (entries.length === 0) return null;
  return (
    <ul className="sheet-entries">
      {entries.map((entry) => (
        <li key={entry.id}>
          <EntryFigure entry={entry} hasNames={hasNames} />
        </li>
      ))}
    </ul>
  );
}
