import { say } from '@bright-sprout/words/student';
import { studentRoutes } from '@bright-sprout/contract/student';
import type { DrawingPart } from '@bright-sprout/contract/journal';
import { useMutation, useQuery } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { addressOf, call, keys } from '../shared/api/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';

/** What was made of a pot before, the newest first. */
export function PotJournal({ unitId, onGoOn }: { unitId: string; onGoOn: (drawing: DrawingPart) => void }) {
  const fetching = useMutation({
    mutationFn: (entryId: string) => call(studentRoutes.ownDrawing, { params: { entryId } }),
    onSuccess: onGoOn,
  });
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
            {entry.canGoOn && (
              <Button variant="light" disabled={fetching.isPending} onClick={() => fetching.mutate(entry.id)}>
                {say('goOnWithIt')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <FailureNote error={fetching.error} />
    </section>
  );
}
