import { say } from '@bright-sprout/words/student';
import { largestIn } from '@bright-sprout/core/shared';
import { readText } from '@bright-sprout/core/words';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { styleOf } from '../shared/experiment/index.ts';
import type { QuestionProps } from './number-questions.tsx';

const ASKED: Readonly<Record<string, string>> = {
  'green cover': say('howMuchIsGreen'),
  'root length': say('howLongIsTheRoot'),
  'root direction': say('whichWayDoesTheRootGrow'),
  'soil pH': say('whatDoesTheStripSay'),
};

/** How much? A number that is typed, with decimals, in the unit that is asked for. */
export function NumberQuestion({ variable, last, isBusy, onKeep }: Omit<QuestionProps, 'words'>) {
  const [text, setText] = useState('');
  const [isTouched, setIsTouched] = useState(false);
  const { name, unit } = variable;
  const value = text.trim() === '' ? NaN : Number(text.trim().replace(',', '.'));
  const largest = largestIn(unit);
  const isFine = value >= 0 && value <= (largest ?? Infinity);
  return (
    <Form
      noValidate
      className="student-question"
      onSubmit={(event) => {
        event.preventDefault();
        setIsTouched(true);
        if (isFine) onKeep({ value, unit, text: text.trim() });
      }}
    >
      <h2>
        <label htmlFor="student-number">{ASKED[name] ?? name}</label>
      </h2>
      <div className="height-entry">
        <Form.Control
          id="student-number"
          value={text}
          inputMode="decimal"
          autoComplete="off"
          placeholder="–"
          isInvalid={isTouched && !isFine}
          onChange={({ target }) => setText(target.value)}
        />
        <span>{unit}</span>
      </div>
      <div aria-live="polite">
        {isTouched && !isFine && (
          <p className="field-problem">
            {largest === undefined ? say('aNumberOf0OrMore') : say('aNumberFrom0To', { largest, unit })}
          </p>
        )}
      </div>
      {last?.value != null && <p>{say('lastTime', { readText: readText(last.value, styleOf(variable)) })}</p>}
      <div className="big-answers">
        <Button type="submit" size="lg" disabled={isBusy}>
          {say('keepIt')}
        </Button>
      </div>
    </Form>
  );
}
