import { say } from '@bright-sprout/words/student';
import type { StudentPotView } from '@bright-sprout/contract/student';
import type { JustRead, UnitDay } from '@bright-sprout/core/growth';
import {
  calendarDay,
  fromMillimetres,
  markText,
  parseLength,
  toMillimetres,
} from '@bright-sprout/core/shared';
import type { StudentWords } from '@bright-sprout/core/words';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { EntryNotes, heightProblem, ReadingDoubts, Ruler, rulerLength } from '../readings/index.ts';
import { scaleOf } from '../shared/experiment/index.ts';
import { recentDay } from '../shared/ui/index.ts';
import type { Entered } from './use-keep-own.ts';

/** Reads a height on the drawn ruler. */
export function LengthQuestion({
  pot,
  day,
  words,
  isBusy,
  before,
  onKeep,
  onNotUp,
}: {
  pot: StudentPotView;
  day: string;
  words: StudentWords;
  isBusy: boolean;
  /** What the student gave other pots today, in mm. */
  before: readonly number[];
  onKeep: (entered: Entered, isReread: boolean) => void;
  onNotUp: () => void;
}) {
  const scale = scaleOf(pot.variable);
  const [text, setText] = useState('');
  const [spans, setSpans] = useState<readonly string[]>([]);
  const [isTouched, setIsTouched] = useState(false);
  const [isReread, setIsReread] = useState(false);
  const entry = useRef<HTMLInputElement>(null);
  const whole = [...spans, text].filter((part) => part.trim() !== '').join(' + ');
  const parsed = parseLength(whole, scale);
  const rest = parseLength(text, scale);
  const impossible = heightProblem(parsed, scale, pot.crop);
  const mm = parsed.ok && !impossible ? parsed.mm : undefined;
  const last = pot.last?.value ?? null;
  const isFirstSpan = spans.length === 0;
  const reach = isFirstSpan ? Math.max(last ?? 0, (rest.ok ? rest.mm : 0) / 1.2) : 0;
  const length = rulerLength(scale, fromMillimetres(reach, scale.unit));
  const rule = pot.plantRule === 'tagged' || pot.plantRule === 'mean' ? pot.plantRule : 'tallest';
  const addSpan = (): void => {
    setSpans([...spans, markText(toMillimetres(length, scale.unit), scale)]);
    setText('');
    entry.current?.focus();
  };
  const lookAgain = (): void => {
    setSpans([]);
    setText('');
    setIsReread(true);
    entry.current?.focus();
  };
  return (
    <Form
      noValidate
      className="length-question"
      onSubmit={(event) => {
        event.preventDefault();
        setIsTouched(true);
        if (parsed.ok && !impossible) onKeep({ value: parsed.mm, unit: parsed.unit, text: whole }, isReread);
      }}
    >
      <Ruler
        scale={scale}
        length={length}
        valueMm={rest.ok ? rest.mm : undefined}
        last={
          last === null || !isFirstSpan
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
          {!isFirstSpan && <span className="spans">{spans.join(' + ')} +</span>}
          <Form.Control
            id="student-height"
            ref={entry}
            value={text}
            inputMode="decimal"
            autoComplete="off"
            placeholder="–"
            onChange={({ target }) => setText(target.value)}
          />
          <span>{scale.unit}</span>
        </div>
        {!isFirstSpan && mm !== undefined && (
          <p className="quiet">{say('together', { markText: markText(mm, scale), unit: scale.unit })}</p>
        )}
        <div aria-live="polite">
          {(isTouched || parsed.ok) && impossible && <p className="field-problem">{impossible}</p>}
          {mm !== undefined && (
            <ReadingDoubts
              read={justRead(pot, day, mm, before)}
              variable={pot.variable}
              onLookAgain={lookAgain}
              onNotUp={onNotUp}
            />
          )}
          <EntryNotes parsed={parsed} scale={scale} />
        </div>
        <div className="big-answers">
          <Button type="submit" size="lg" disabled={isBusy}>
            {say('keepIt')}
          </Button>
          <Button variant="light" onClick={addSpan}>
            {say('tallerThanTheRulerMarkItMove')}
          </Button>
        </div>
      </div>
    </Form>
  );
}

function justRead(pot: StudentPotView, day: string, valueMm: number, before: readonly number[]): JustRead {
  return {
    valueMm,
    day: calendarDay(day),
    today: calendarDay(day),
    history: historyOf(pot),
    sownOn: pot.sownOn === null ? null : calendarDay(pot.sownOn),
    scale: scaleOf(pot.variable),
    crop: pot.crop,
    readingErrorMm: pot.readingErrorMm,
    before,
  };
}

/** What is known of a pot from before today. */
function historyOf({ unitId, last }: StudentPotView): UnitDay[] {
  return last ? [{ unitId, ...last, day: calendarDay(last.day), readings: 1 }] : [];
}
