import { say } from '@bright-sprout/words/care';
import type { UnitMove } from '@bright-sprout/core/design';
import { CARE_WORDS, careText, NO_SHOW_WORDS } from '@bright-sprout/core/words';
import { CARE_KINDS, type CareKind, NO_SHOW_REASONS, SOIL_STATES } from '@bright-sprout/core/shared';
import type { CareRequest } from '@bright-sprout/contract/care';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';
import { careQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { useKeep } from '../shared/outbox/index.ts';
import { FailureNote, fieldMessage, shortDay } from '../shared/ui/index.ts';
import { MoveTo, movesTo } from './move-to.tsx';
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

/** Notes what was done to the chosen pots, or to all. */
export function CareForm({ chosenIds }: { chosenIds: readonly string[] }) {
  const { experiment, day } = useExperiment();
  const keepCare = useKeep();
  const queries = useQueryClient();
  const [kind, setKind] = useState<CareKind>('watered');
  const [amount, setAmount] = useState('');
  const [isCan, setIsCan] = useState(false);
  const [note, setWords] = useState('');
  const [place, setPlace] = useState('');
  const [only] = chosenIds;
  const moved = chosenIds.length === 1 ? experiment.units.find(({ id }) => id === only) : undefined;
  const count = chosenIds.length === 0 ? experiment.units.length : chosenIds.length;
  const keep = useMutation({
    mutationFn: () => {
      const body = requestOf(
        { kind, amount, isCan, note, count, chosenIds, day },
        kind === 'moved' && moved && place !== '' ? movesTo(experiment, moved, place) : [],
      );
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
      setPlace('');
      void queries.invalidateQueries(careQuery(experiment.id));
    },
  });
  const problem =
    fieldMessage(keep.error, 'amount') ??
    fieldMessage(keep.error, 'reason') ??
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
        <CareAmount kind={kind} amount={amount} isCan={isCan} onAmount={setAmount} onCan={setIsCan} />
        {kind === 'moved' && moved && <MoveTo unit={moved} chosen={place} onChoose={setPlace} />}
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

/** How much, or what was found, by the kind of care. */
function CareAmount({
  kind,
  amount,
  isCan,
  onAmount,
  onCan,
}: {
  kind: CareKind;
  amount: string;
  isCan: boolean;
  onAmount: (amount: string) => void;
  onCan: (isCan: boolean) => void;
}) {
  return (
    <>
      {WITH_WATER.includes(kind) && (
        <Form.Group controlId="care-amount" className="plan-field">
          <Form.Label>{isCan ? say('cansOf1LForAll') : say('mlForEachPot')}</Form.Label>
          <Form.Control
            value={amount}
            inputMode="decimal"
            onChange={({ target }) => onAmount(target.value)}
          />
          {kind === 'watered' && (
            <Form.Check
              id="care-can"
              label={say('countedInCans')}
              checked={isCan}
              onChange={({ target }) => onCan(target.checked)}
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
            onChange={({ target }) => onAmount(target.value)}
          />
        </Form.Group>
      )}
      {kind === 'thinned' && (
        <Form.Group controlId="care-thinned" className="plan-field">
          <Form.Label>{say('plantsOutOfEachPot')}</Form.Label>
          <Form.Control
            value={amount}
            inputMode="numeric"
            onChange={({ target }) => onAmount(target.value)}
          />
        </Form.Group>
      )}
      {kind === 'cause' && (
        <Form.Group controlId="care-cause" className="plan-field">
          <Form.Label>{say('whatKeptItDown')}</Form.Label>
          <Form.Select value={amount} onChange={({ target }) => onAmount(target.value)}>
            <option value="">{say('choose')}</option>
            {NO_SHOW_REASONS.map((reason) => (
              <option key={reason} value={reason}>
                {NO_SHOW_WORDS[reason]}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      {kind === 'soil' && (
        <Form.Group controlId="care-soil" className="plan-field">
          <Form.Label>{say('theSoilFeels')}</Form.Label>
          <Form.Select value={amount} onChange={({ target }) => onAmount(target.value)}>
            <option value="">{say('choose')}</option>
            {SOIL_STATES.map((state, index) => (
              <option key={state} value={index}>
                {state}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
    </>
  );
}

function requestOf(
  {
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
  },
  moves: readonly UnitMove[],
): CareRequest {
  const reason = NO_SHOW_REASONS.find((one) => kind === 'cause' && one === amount);
  const typed = amount.trim() === '' || kind === 'cause' ? null : Number(amount.replace(',', '.'));
  const each = typed !== null && isCan && kind === 'watered' ? Math.round((typed * CAN_ML) / count) : typed;
  return {
    kind,
    happenedOn: day,
    unitIds:
      moves.length > 0 ? moves.map(({ unitId }) => unitId) : chosenIds.length === 0 ? null : [...chosenIds],
    ...(reason ? { reason } : {}),
    ...(moves.length > 0 ? { moves: [...moves] } : {}),
    amount: each !== null && Number.isNaN(each) ? -1 : each,
    note,
  };
}
