import { say } from '@bright-sprout/words/readings';
import type { UnitView } from '@bright-sprout/contract/plans';
import { lastValueBefore, type UnitDay } from '@bright-sprout/core/growth';
import {
  calendarDay,
  fromMillimetres,
  markText,
  parseLength,
  type ReadingState,
} from '@bright-sprout/core/shared';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { scaleOf, standingOn, useExperiment, useGrowthFacts } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote, fieldMessage, recentDay } from '../shared/ui/index.ts';
import { EntryNotes } from './entry-notes.tsx';
import { heightProblem } from './length-problem.ts';
import { ReadingDoubts } from './reading-doubts.tsx';
import { ReadingsOfDay } from './readings-of-day.tsx';
import { Ruler } from './ruler.tsx';
import { rulerLength } from './ruler-marks.ts';
import { useJustRead } from './use-just-read.ts';
import type { Intent } from './use-keep-reading.ts';
import { usePotReading } from './use-pot-reading.ts';

/** Reads one pot on one day. */
export function ReadingPanel({
  unit,
  nextUnit,
  onKept,
}: {
  unit: UnitView;
  nextUnit: UnitView | undefined;
  onKept: () => void;
}) {
  const { experiment, findings, variable, day } = useExperiment();
  const scale = scaleOf(variable);
  const [text, setText] = useState('');
  const { treatment, history, today, intent, setIntent, keep, cannotRead } = usePotReading(unit, () => {
    setText('');
    onKept();
  });
  const last = lastValueBefore(history, calendarDay(day));
  const [isTouched, setIsTouched] = useState(false);
  const [longer, setLonger] = useState(0);
  const [isReread, setIsReread] = useState(false);
  const justRead = useJustRead();
  const factsOf = useGrowthFacts();

  const parsed = parseLength(text, scale);
  const valueMm = parsed.ok ? parsed.mm : undefined;
  const impossible = heightProblem(parsed, scale, factsOf(unit));
  const lastAmount = fromMillimetres(last?.value ?? 0, scale.unit);
  const { isGone, isCurrent, finding } = standingOn(findings, unit.id, day);
  const readMm = isCurrent ? (finding?.value ?? undefined) : undefined;
  const length = Math.max(
    rulerLength(scale, Math.max(lastAmount, fromMillimetres(valueMm ?? readMm ?? 0, scale.unit) / 1.2)),
    longer,
  );

  const save = (state: ReadingState): void => {
    keep.save(
      state,
      state === 'emerged' && parsed.ok
        ? { value: parsed.mm, unit: parsed.unit, entered: text.trim() }
        : undefined,
      isReread,
    );
  };
  const submit = (event: React.SyntheticEvent): void => {
    event.preventDefault();
    setIsTouched(true);
    if (!impossible) save('emerged');
  };
  const problem = (isTouched || parsed.ok ? impossible : undefined) ?? fieldMessage(keep.error, 'value');

  return (
    <section className="panel reading-panel" aria-label={say('readPot', { number: unit.number })}>
      <Ruler
        scale={scale}
        length={length}
        valueMm={valueMm ?? (intent && !cannotRead ? undefined : readMm)}
        last={
          last?.value == null
            ? undefined
            : { mm: last.value, label: `${recentDay(last.day, day)}: ${markText(last.value, scale)}` }
        }
        habit={experiment.crop?.habit ?? 'upright'}
        isDisabled={!intent || cannotRead !== undefined}
        onChange={(mm) => setText(markText(mm, scale))}
      />
      <div className="reading-side">
        <h2>{say('pot2', { number: unit.number })}</h2>
        <p className="reading-treatment">
          <TreatmentMark style={treatment.style} size={16} /> {treatment.name}
          {unit.team && <span className="quiet"> · {unit.team}</span>}
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
            <Warnings gone={isGone ? finding : undefined} intent={intent} day={day} />
            <Form.Label htmlFor="height">{say('howTallFromTheSoilLineTo')}</Form.Label>
            <HeightEntry text={text} unit={scale.unit} isInvalid={problem !== undefined} onText={setText} />
            <div id="height-note" aria-live="polite">
              {problem && <p className="field-problem">{problem}</p>}
              {parsed.ok && !impossible && (
                <ReadingDoubts
                  read={justRead(unit, parsed.mm)}
                  variable={variable}
                  onLookAgain={() => {
                    setText('');
                    setIsReread(true);
                  }}
                  onNotUp={() => save('not_emerged')}
                />
              )}
              <EntryNotes parsed={parsed} scale={scale} />
            </div>
            <StateButtons
              isBusy={keep.isPending}
              onState={save}
              onLonger={() => setLonger(rulerLength(scale, length))}
            />
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
      </div>
    </section>
  );
}

/** A pot without a height is one of these. */
const STATES = [
  { state: 'not_emerged', words: say('notUpYet') },
  { state: 'dead', words: say('dead') },
  { state: 'not_read', words: say('notRead') },
] as const;

function StateButtons({
  isBusy,
  onState,
  onLonger,
}: {
  isBusy: boolean;
  onState: (state: ReadingState) => void;
  onLonger: () => void;
}) {
  return (
    <div className="state-buttons">
      {STATES.map(({ state, words }) => (
        <Button key={state} variant="light" onClick={() => onState(state)} disabled={isBusy}>
          {words}
        </Button>
      ))}
      <Button variant="light" onClick={onLonger} disabled={isBusy}>
        {say('longerRuler')}
      </Button>
    </div>
  );
}

function HeightEntry({
  text,
  unit,
  isInvalid,
  onText,
}: {
  text: string;
  unit: string;
  isInvalid: boolean;
  onText: (text: string) => void;
}) {
  return (
    <div className="height-entry">
      <Form.Control
        id="height"
        value={text}
        inputMode="decimal"
        autoComplete="off"
        placeholder="–"
        aria-describedby="height-note"
        isInvalid={isInvalid}
        onChange={(event) => onText(event.target.value)}
      />
      <span>{unit}</span>
    </div>
  );
}

/** That the pot was gone before, or that a reading is being corrected. */
function Warnings({ gone, intent, day }: { gone: UnitDay | undefined; intent: Intent; day: string }) {
  return (
    <>
      {gone && (
        <p className="note-attention">
          {say('wasOnReadItOnlyIfThat', {
            state: gone.state,
            recentDay: recentDay(gone.day, day),
          })}
        </p>
      )}
      {intent.kind === 'correct' && (
        <p className="note-attention">
          {say('correctingTheOldOneIsKept', { entered: intent.reading.entered || say('theReading') })}
        </p>
      )}
    </>
  );
}
