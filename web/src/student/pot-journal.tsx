import { say } from '@bright-sprout/words/student';
import { studentRoutes } from '@bright-sprout/contract/student';
import { useQuery } from '@tanstack/react-query';
import { addressOf, call, keys } from '../shared/api/index.ts';
import { shortDay } from '../shared/ui/index.ts';

/** What was made of a pot before, the newest first. */
export function PotJournal({ unitId }: { unitId: string }) {
  const { data } = useQuery({
    queryKey: keys.ofDevice('journal', unitId),
    queryFn: () => call(studentRoutes.potJournal, { params: { unitId } }),
  });
  if (!data || data.length === 0) return null;
  return (
    <section className="pot-journal" aria-label={say('madeBefore')}>
      <h2>{say('madeBefore')}</h2>
      <ul>
        {[...data].reverse().map((entry) => (
          <li key={entry.id}>
            {entry.hasPicture && (
              <img
                src={addressOf(studentRoutes.classPicture, { entryId: entry.id })}
                alt={say('photoBy', {
                  ifKind: entry.kind === 'photo' ? 'yes' : 'no',
                  observer: entry.observer,
                })}
              />
            )}
            <p>
              {shortDay(entry.happenedOn)}, {entry.observer} {entry.note && <q>{entry.note}</q>}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
