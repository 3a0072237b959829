import { say } from '@bright-sprout/words/care';
import { CARE_WORDS, careText } from '@bright-sprout/core/words';
import { CARE_KINDS, type CareKind, SOIL_STATES } from '@bright-sprout/core/shared';
import { type CareRequest, careRoutes } from '@bright-sprout/contract/care';
import { journalRoutes } from '@bright-sprout/contract/journal';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Camera } from 'lucide-react';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { addressOf, call, careQuery, journalQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { useKeep } from '../shared/outbox/index.ts';
import { smallPicture } from '../shared/pictures/index.ts';
import { FailureNote, fieldMessage, shortDay } from '../shared/ui/index.ts';
import { DueTasks } from './due-tasks.tsx';
import { LoggerPanel } from './logger-panel.tsx';
import './care.scss';

const CAN_ML = 1000;
const WITH_WATER: readonly CareKind[] = ['watered', 'treated'];
const WORDS_FOR: Partial<Record<CareKind, string>> = {
  thinned: say('whichPlantsWent'),
  potted_on: say('intoWhatHowDeep'),
  treated: say('withWhat'),
  moved: say('whereTo'),
  note: say('whatHappened'),
};

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

function CareForm({ chosenIds }: { chosenIds: readonly string[] }) {
  const { experiment, day } = useExperiment();
  const keepCare = useKeep();
  const queries = useQueryClient();
  const [kind, setKind] = useState<CareKind>('watered');
  const [amount, setAmount] = useState('');
  const [isCan, setIsCan] = useState(false);
  const [note, setWords] = useState('');
  const count = chosenIds.length === 0 ? experiment.units.length : chosenIds.length;
  const keep = useMutation({
    mutationFn: () => {
      const body = requestOf({ kind, amount, isCan, note, count, chosenIds, day });
      const careId = uuid();
      const params = { experimentId: experiment.id, careId };
      return keepCare({
        id: careId,
        experimentId: experiment.id,
        route: 'keepCare',
        params,
        body,
        label: careText(body),
      });
    },
    onSuccess: () => {
      setAmount('');
      setWords('');
      void queries.invalidateQueries(careQuery(experiment.id));
    },
  });
  const problem =
    fieldMessage(keep.error, 'amount') ??
    fieldMessage(keep.error, 'note') ??
    fieldMessage(keep.error, 'happenedOn');
  return (
    <Form
      noValidate
      className="care-form"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <h3>{say('noteWhatWasDoneOn', { day: shortDay(day) })}</h3>
      <div className="care-kinds" role="group" aria-label={say('whatWasDone')}>
        {CARE_KINDS.map((one) => (
          <Button
            key={one}
            size="sm"
            variant={one === kind ? 'primary' : 'light'}
            aria-pressed={one === kind}
            onClick={() => {
              setKind(one);
              setAmount('');
            }}
          >
            {CARE_WORDS[one]}
          </Button>
        ))}
      </div>
      <div className="form-row">
        {WITH_WATER.includes(kind) && (
          <Form.Group controlId="care-amount" className="plan-field">
            <Form.Label>{isCan ? say('cansOf1LForAll') : say('mlForEachPot')}</Form.Label>
            <Form.Control
              value={amount}
              inputMode="decimal"
              onChange={({ target }) => setAmount(target.value)}
            />
            {kind === 'watered' && (
              <Form.Check
                id="care-can"
                label={say('countedInCans')}
                checked={isCan}
                onChange={({ target }) => setIsCan(target.checked)}
              />
            )}
          </Form.Group>
        )}
        {kind === 'ph' && (
          <Form.Group controlId="care-ph" className="plan-field">
            <Form.Label>{say('ph')}</Form.Label>
            <Form.Control
              value={amount}
              inputMode="decimal"
              onChange={({ target }) => setAmount(target.value)}
            />
          </Form.Group>
        )}
        {kind === 'soil' && (
          <Form.Group controlId="care-soil" className="plan-field">
            <Form.Label>{say('theSoilFeels')}</Form.Label>
            <Form.Select value={amount} onChange={({ target }) => setAmount(target.value)}>
              <option value="">{say('choose')}</option>
              {SOIL_STATES.map((state, index) => (
                <option key={state} value={index}>
                  {state}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
        )}
        <Form.Group controlId="care-note" className="plan-field is-wide">
          <Form.Label>{WORDS_FOR[kind] ?? say('anythingToAdd')}</Form.Label>
          <Form.Control value={note} maxLength={500} onChange={({ target }) => setWords(target.value)} />
        </Form.Group>
      </div>
      {problem && <p className="field-problem">{problem}</p>}
      {!problem && <FailureNote error={keep.error} />}
      <div className="button-row">
        <Button type="submit" disabled={keep.isPending}>
          {say('noteItFor', {
            ifChosenIdsCount: chosenIds.length === 0 ? 'yes' : 'no',
            count,
          })}
        </Button>
        <span className="quiet">{say('tapPotsOnTheSillToChoose')}</span>
      </div>
    </Form>
  );
}

function requestOf({
  kind,
  amount,
  isCan,
  note,
  count,
  chosenIds,
  day,
}: {
  kind: CareKind;
  amount: string;
  isCan: boolean;
  note: string;
  count: number;
  chosenIds: readonly string[];
  day: string;
}): CareRequest {
  const typed = amount.trim() === '' ? null : Number(amount.replace(',', '.'));
  const each = typed !== null && isCan && kind === 'watered' ? Math.round((typed * CAN_ML) / count) : typed;
  return {
    kind,
    happenedOn: day,
    unitIds: chosenIds.length === 0 ? null : [...chosenIds],
    amount: each !== null && Number.isNaN(each) ? -1 : each,
    note,
  };
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
