import type { ReadingRequest } from '@bright-sprout/contract/record';
import { type StudentPotView, studentRoutes } from '@bright-sprout/contract/student';
import type { UnitDay } from '@bright-sprout/core/growth';
import {
  calendarDay,
  fromMillimetres,
  markText,
  parseLength,
  type ReadingState,
} from '@bright-sprout/core/shared';
import { computedText, type StudentWords } from '@bright-sprout/core/words';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ArrowLeft, Minus, Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';
import { ChangeNote, lengthProblemText, Ruler, rulerLength } from '../record/index.ts';
import { call } from '../shared/api/index.ts';
import { findingText, scaleOf, styleOf } from '../shared/experiment/index.ts';
import { PlantFromSide, PotFromSide, TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote, recentDay } from '../shared/ui/index.ts';
import { potsQuery } from './queries.ts';

interface Entered {
  readonly value: number;
  readonly unit: string;
  readonly text: string;
}

/** Reads one pot, one question at a time. */
export function ReadScreen({
  pot,
  day,
  words,
  onDone,
  onBack,
}: {
  pot: StudentPotView;
  day: string;
  words: StudentWords;
  onDone: () => void;
  onBack: () => void;
}) {
  const [sees, setSees] = useState(pot.own?.state === 'up');
  const keep = useKeepPot(pot, day, onDone);
  return (
    <main className="read-screen">
      <Button variant="light" aria-label="Back to my pots" onClick={onBack}>
        <ArrowLeft size={20} aria-hidden="true" />
      </Button>
      <h1>
        <TreatmentMark style={pot.style} size={26} /> Pot {pot.number}
        <small>{pot.treatment}</small>
      </h1>
      {pot.own && (
        <p className="note-attention">You read {findingText(pot.own, pot.variable)}. This puts it right.</p>
      )}
      {!sees ? (
        <div className="student-question">
          <svg className="question-pot" viewBox="-90 -60 180 150" aria-hidden="true">
            <PlantFromSide height={pot.last?.state === 'up' ? 44 : 14} habit={pot.habit} />
            <PotFromSide width={120} depth={84} />
          </svg>
          <h2>{words.canYouSee}</h2>
          <div className="big-answers">
            <Button size="lg" onClick={() => setSees(true)}>
              {words.yes}
            </Button>
            <Button size="lg" variant="light" disabled={keep.isPending} onClick={() => keep.save('not_up')}>
              {words.notYet}
            </Button>
            <Button size="lg" variant="light" disabled={keep.isPending} onClick={() => keep.save('dead')}>
              {words.dead}
            </Button>
            <Button size="lg" variant="light" disabled={keep.isPending} onClick={() => keep.save('not_read')}>
              {words.cannotFind}
            </Button>
          </div>
        </div>
      ) : pot.variable.kind === 'length' ? (
        <LengthQuestion
          pot={pot}
          day={day}
          words={words}
          isBusy={keep.isPending}
          onKeep={(entered) => keep.save('up', entered)}
        />
      ) : (
        <CountQuestion
          pot={pot}
          words={words}
          isBusy={keep.isPending}
          onKeep={(entered) => keep.save('up', entered)}
        />
      )}
      <FailureNote error={keep.error} />
    </main>
  );
}

function LengthQuestion({
  pot,
  day,
  words,
  isBusy,
  onKeep,
}: {
  pot: StudentPotView;
  day: string;
  words: StudentWords;
  isBusy: boolean;
  onKeep: (entered: Entered) => void;
}) {
  const scale = scaleOf(pot.variable);
  const [text, setText] = useState('');
  const [isTouched, setIsTouched] = useState(false);
  const [longer, setLonger] = useState(0);
  const parsed = parseLength(text, scale);
  const mm = parsed.ok ? parsed.mm : undefined;
  const last = pot.last?.value ?? null;
  const reach = Math.max(fromMillimetres(last ?? 0, scale.unit), fromMillimetres(mm ?? 0, scale.unit) / 1.2);
  const length = Math.max(rulerLength(scale, reach), longer);
  const rule = pot.plantRule === 'tagged' || pot.plantRule === 'mean' ? pot.plantRule : 'tallest';
  return (
    <Form
      noValidate
      className="length-question"
      onSubmit={(event) => {
        event.preventDefault();
        setIsTouched(true);
        if (parsed.ok) onKeep({ value: parsed.mm, unit: parsed.unit, text: text.trim() });
      }}
    >
      <Ruler
        scale={scale}
        length={length}
        valueMm={mm}
        last={
          last === null
            ? undefined
            : { mm: last, label: `${recentDay(pot.last?.day ?? day, day)}: ${markText(last, scale)}` }
        }
        habit={pot.habit}
        isDisabled={false}
        onChange={(next) => setText(markText(next, scale))}
      />
      <div>
        <h2>
          <label htmlFor="student-height">{words.howTall[rule]}</label>
        </h2>
        <ol className="how-to">
          {words.howTo.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
        <div className="height-entry">
          <Form.Control
            id="student-height"
            value={text}
            inputMode="decimal"
            autoComplete="off"
            placeholder="–"
            onChange={({ target }) => setText(target.value)}
          />
          <span>{scale.unit}</span>
        </div>
        <div aria-live="polite">
          {isTouched && !parsed.ok && (
            <p className="field-problem">{lengthProblemText(parsed.problem, scale)}</p>
          )}
          {mm !== undefined && (
            <ChangeNote history={historyOf(pot)} day={day} valueMm={mm} variable={pot.variable} />
          )}
        </div>
        <div className="big-answers">
          <Button type="submit" size="lg" disabled={isBusy}>
            Keep it
          </Button>
          <Button variant="light" onClick={() => setLonger(rulerLength(scale, length))}>
            It is taller than the ruler
          </Button>
        </div>
      </div>
    </Form>
  );
}

/** What is known of a pot from before today. */
function historyOf({ unitId, last }: StudentPotView): UnitDay[] {
  return last ? [{ unitId, ...last, day: calendarDay(last.day), readings: 1 }] : [];
}

function CountQuestion({
  pot,
  words,
  isBusy,
  onKeep,
}: {
  pot: StudentPotView;
  words: StudentWords;
  isBusy: boolean;
  onKeep: (entered: Entered) => void;
}) {
  const most = pot.variable.name === 'seeds up' ? (pot.seedsSown ?? 999) : 999;
  const [count, setCount] = useState(1);
  const style = styleOf(pot.variable);
  const step = (by: number): void => setCount(Math.max(1, Math.min(most, count + by)));
  return (
    <div className="student-question">
      <h2>{words.howMany}</h2>
      <div className="big-count">
        <Button variant="light" size="lg" aria-label="One less" onClick={() => step(-1)}>
          <Minus size={30} aria-hidden="true" />
        </Button>
        <output aria-live="polite">{count}</output>
        <Button variant="light" size="lg" aria-label="One more" onClick={() => step(1)}>
          <Plus size={30} aria-hidden="true" />
        </Button>
      </div>
      {pot.last?.value != null && <p>Last time: {computedText(pot.last.value, style)}</p>}
      <div className="big-answers">
        <Button
          size="lg"
          disabled={isBusy}
          onClick={() => onKeep({ value: count, unit: pot.variable.unit, text: String(count) })}
        >
          Keep it
        </Button>
      </div>
    </div>
  );
}

/** Keeps a reading of today; trying again after a failure sends the same id. */
function useKeepPot(pot: StudentPotView, day: string, onDone: () => void) {
  const queries = useQueryClient();
  const pending = useRef<{ content: string; readingId: string }>(undefined);
  const mutation = useMutation({
    mutationFn: ({ readingId, body }: { readingId: string; body: ReadingRequest }) =>
      call(studentRoutes.keepPot, { params: { readingId }, body }),
    onSuccess: (own) => {
      pending.current = undefined;
      queries.setQueryData(potsQuery.queryKey, (pots = []) =>
        pots.map((one) =>
          one.unitId === pot.unitId ? { ...one, own, isReadToday: own.state !== 'not_read' } : one,
        ),
      );
      onDone();
    },
  });
  const save = (state: ReadingState, entered?: Entered): void => {
    const body: ReadingRequest = {
      unitId: pot.unitId,
      variableId: pot.variable.id,
      observedOn: day,
      state,
      value: entered?.value ?? null,
      entered: entered?.text ?? '',
      unitOfMeasure: entered?.unit ?? pot.variable.unit,
      precision: pot.variable.step,
      supersedesId: pot.own?.id ?? null,
    };
    const content = JSON.stringify(body);
    if (pending.current?.content !== content) pending.current = { content, readingId: uuid() };
    mutation.mutate({ readingId: pending.current.readingId, body });
  };
  return { save, isPending: mutation.isPending, error: mutation.error };
}
