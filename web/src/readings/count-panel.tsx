import { say } from '@bright-sprout/words/readings';
import type { UnitView, VariableView } from '@bright-sprout/contract/plans';
import { largestIn } from '@bright-sprout/core/shared';
import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useExperiment } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote, fieldMessage } from '../shared/ui/index.ts';
import { ChangeNote } from './change-note.tsx';
import { ReadingsOfDay } from './readings-of-day.tsx';
import { usePotReading } from './use-pot-reading.ts';

const ASKED: Readonly<Record<string, string>> = {
  'seeds up': say('howManyHaveComeUp'),
  leaves: say('howManyLeavesWithoutTheSeedLeaves'),
  'green cover': say('howMuchOfTheSectionIsGreen'),
  'root length': say('howLongIsTheRoot'),
  'root direction': say('whichWayDoesTheRootGrow'),
  'soil pH': say('whatDoesTheStripSay'),
};
const MOST_DOTS = 60;

/** Counts what is up, or leaves, in one pot on one day. */
export function CountPanel({
  unit,
  nextUnit,
  onKept,
}: {
  unit: UnitView;
  nextUnit: UnitView | undefined;
  onKept: () => void;
}) {
  const { experiment, variable, day } = useExperiment();
  // Without soil a seed is seen from its root on.
  const isRooting = variable.name === 'seeds up' && experiment.plan?.conditions.hasSoil === false;
  const asked = isRooting ? say('howManyHaveARoot') : (ASKED[variable.name] ?? `${variable.name}?`);
  const [text, setText] = useState('');
  const { treatment, history, today, intent, setIntent, keep, cannotRead } = usePotReading(unit, () => {
    setText('');
    onKept();
  });
  const [isTouched, setIsTouched] = useState(false);
  const most = variable.name === 'seeds up' ? (unit.seedsSown ?? undefined) : undefined;
  const value = text.trim() === '' ? undefined : Number(text.replace(',', '.'));
  const problem = isTouched ? countProblem(value, variable, most) : undefined;
  const step = (by: number): void => setText(String(Math.max(0, Math.min(most ?? 999, (value ?? 0) + by))));
  const submit = (event: React.SyntheticEvent): void => {
    event.preventDefault();
    setIsTouched(true);
    if (value === undefined || countProblem(value, variable, most)) return;
    if (value === 0 && variable.name === 'seeds up') keep.save('not_emerged');
    else keep.save('emerged', { value, unit: variable.unit, entered: text.trim() });
  };
  return (
    <section className="panel count-panel" aria-label={say('readPot', { number: unit.number })}>
      <h2>{say('pot2', { number: unit.number })}</h2>
      <p className="reading-treatment">
        <TreatmentMark style={treatment.style} size={16} /> {treatment.name}
      </p>
      {cannotRead && <p className="note-attention">{cannotRead}</p>}
      {cannotRead || !intent ? (
        <ReadingsOfDay
          readings={today}
          variable={variable}
          onIntent={cannotRead ? undefined : setIntent}
          nextUnit={nextUnit}
          onNext={onKept}
        />
      ) : (
        <Form noValidate onSubmit={submit}>
          <Form.Label htmlFor="count">{asked}</Form.Label>
          {most !== undefined && most <= MOST_DOTS && (
            <div className="seed-dots" role="group" aria-label={say('seedsWereSown', { most })}>
              {Array.from({ length: most }, (_, index) => (
                <button
                  key={index}
                  type="button"
                  className={value !== undefined && index < value ? 'is-up' : ''}
                  aria-label={say('up', { index: index + 1 })}
                  onClick={() => setText(String(index + 1))}
                />
              ))}
            </div>
          )}
          <div className="height-entry">
            <Button variant="light" aria-label={say('oneLess')} onClick={() => step(-1)}>
              <Minus size={20} aria-hidden="true" />
            </Button>
            <Form.Control
              id="count"
              value={text}
              inputMode="decimal"
              autoComplete="off"
              placeholder="–"
              aria-describedby="count-note"
              isInvalid={problem !== undefined}
              onChange={(event) => setText(event.target.value)}
            />
            <Button variant="light" aria-label={say('oneMore')} onClick={() => step(1)}>
              <Plus size={20} aria-hidden="true" />
            </Button>
            <span>{most === undefined ? variable.unit : say('of', { most })}</span>
          </div>
          <div id="count-note" aria-live="polite">
            {(problem ?? fieldMessage(keep.error, 'value')) && (
              <p className="field-problem">{problem ?? fieldMessage(keep.error, 'value')}</p>
            )}
            {value !== undefined && problem === undefined && Number.isFinite(value) && (
              <ChangeNote history={history} day={day} valueMm={value} variable={variable} />
            )}
          </div>
          <div className="state-buttons">
            <Button variant="light" onClick={() => keep.save('not_emerged')} disabled={keep.isPending}>
              {say('noneUpYet')}
            </Button>
            <Button variant="light" onClick={() => keep.save('dead')} disabled={keep.isPending}>
              {say('dead')}
            </Button>
            <Button variant="light" onClick={() => keep.save('not_read')} disabled={keep.isPending}>
              {say('notRead')}
            </Button>
          </div>
          {!fieldMessage(keep.error, 'value') && <FailureNote error={keep.error} />}
          <Button type="submit" size="lg" className="keep-button" disabled={keep.isPending}>
            {keep.isPending
              ? say('keeping')
              : nextUnit
                ? say('keepNextPot', { number: nextUnit.number })
                : say('keep')}
          </Button>
        </Form>
      )}
    </section>
  );
}

function countProblem(
  value: number | undefined,
  { kind, unit }: VariableView,
  most: number | undefined,
): string | undefined {
  if (value === undefined) return say('typeANumberOrChooseAState');
  if (!Number.isFinite(value) || value < 0) return say('typeANumberOf0OrMore');
  if (kind === 'count' && !Number.isInteger(value)) return say('typeAWholeNumber');
  const largest = largestIn(unit);
  if (largest !== undefined && value > largest) return say('upTo', { largest, unit });
  return most !== undefined && value > most ? say('onlyWereSownInThisPot', { most }) : undefined;
}
