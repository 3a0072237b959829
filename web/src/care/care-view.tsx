import { say } from '@bright-sprout/words/care';
import { careText } from '@bright-sprout/core/words';
import { careRoutes } from '@bright-sprout/contract/care';
import { journalRoutes } from '@bright-sprout/contract/journal';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Camera } from 'lucide-react';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { addressOf, call, careQuery, journalQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { useKeep } from '../shared/outbox/index.ts';
import { smallPicture } from '../shared/pictures/index.ts';
import { shortDay } from '../shared/ui/index.ts';
import { CareForm } from './care-form.tsx';
import { DueTasks } from './due-tasks.tsx';
import { LoggerPanel } from './logger-panel.tsx';
import './care.scss';

/** Care: what is due, what was done, all pots in a photo, and the logger. */
export function CareView({ chosenIds }: { chosenIds: readonly string[] }) {
  return (
    <section className="panel care-view" aria-label={say('care')}>
      <DueTasks />
      <CareForm chosenIds={chosenIds} />
      <CareOfDay />
      <LayoutPhotos />
      <LoggerPanel />
      <p>
        <Link to="../print?sheet=helper">{say('printACardForTheWeekendHelper')}</Link>
      </p>
    </section>
  );
}

function CareOfDay() {
  const { experiment, day } = useExperiment();
  const queries = useQueryClient();
  const events = (useQuery(careQuery(experiment.id)).data ?? []).filter((event) => event.happenedOn === day);
  const undo = useMutation({
    mutationFn: ({ id, isUndone }: { id: string; isUndone: boolean }) =>
      call(careRoutes.undoCare, { params: { experimentId: experiment.id, careId: id }, body: { isUndone } }),
    onSuccess: () => queries.invalidateQueries(careQuery(experiment.id)),
  });
  if (events.length === 0) return null;
  return (
    <ul className="care-list">
      {events.map((event) => (
        <li key={event.id} className={event.isUndone ? 'is-out' : ''}>
          <span>
            {careText(event)}{' '}
            <span className="quiet">
              {potsText(event.unitIds, experiment.units)}, {event.observer}
            </span>
          </span>
          <Button
            size="sm"
            variant="light"
            onClick={() => undo.mutate({ id: event.id, isUndone: !event.isUndone })}
          >
            {event.isUndone ? say('itWasDone') : say('takeItBack')}
          </Button>
        </li>
      ))}
    </ul>
  );
}

function potsText(
  unitIds: readonly string[] | null,
  units: readonly { id: string; number: number }[],
): string {
  if (unitIds === null) return say('allPots');
  const numbers = units.filter(({ id }) => unitIds.includes(id)).map(({ number }) => number);
  return say('pots', { numbersCount: numbers.length, numbers: numbers.join(', ') });
}

/** Photos of all pots. */
function LayoutPhotos() {
  const { experiment, day } = useExperiment();
  const keepPhoto = useKeep();
  const file = useRef<HTMLInputElement>(null);
  const photos = (useQuery(journalQuery(experiment.id)).data ?? []).filter(
    (entry) => entry.unitId === null && entry.hasPicture && entry.happenedOn === day,
  );
  const keep = useMutation({
    mutationFn: async (taken: File) => {
      const picture = await smallPicture(taken);
      const entryId = uuid();
      return keepPhoto({
        id: entryId,
        experimentId: experiment.id,
        route: 'keepEntry',
        params: { experimentId: experiment.id, entryId },
        body: { unitId: null, happenedOn: day, kind: 'photo', note: '', picture: null },
        label: say('photoOfTheSill'),
        picture,
      });
    },
  });
  return (
    <div className="layout-photos">
      <input
        ref={file}
        type="file"
        accept="image/*"
        className="visually-hidden"
        aria-label={say('photoOfTheWholeSill')}
        onChange={({ target }) => {
          const [taken] = target.files ?? [];
          if (taken) keep.mutate(taken);
          target.value = '';
        }}
      />
      <Button variant="light" size="sm" disabled={keep.isPending} onClick={() => file.current?.click()}>
        <Camera size={16} aria-hidden="true" /> {say('photoOfTheWholeSill')}
      </Button>
      {keep.error && (
        <p className="field-problem" role="alert">
          {keep.error.message}
        </p>
      )}
      {photos.map((photo) => (
        <img
          key={photo.id}
          src={addressOf(journalRoutes.picture, { experimentId: experiment.id, entryId: photo.id })}
          alt={say('theSillOn', { happenedOn: shortDay(photo.happenedOn) })}
        />
      ))}
    </div>
  );
}
