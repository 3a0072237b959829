import { Said } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/plans';
import type { LengthScale } from '@bright-sprout/core/shared';
import { EFFECT_TARGETS, type EffectTarget } from '@bright-sprout/core/rehearsal';
import { rehearsalWords, undefinedWords } from '@bright-sprout/core/words';
import { Suspense, useEffect } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Charts, loadCharts } from '../shared/charts/index.ts';
import { useFindingStyle } from './use-edited-plan.ts';
import { usePlanEditor } from './plan-editor.tsx';
import { ResultDots } from './result-dots.tsx';
import type { RehearsalResult } from './planning.worker.ts';
import { type RehearsalOutcome, useRehearsal } from './use-rehearsal.ts';

const NOBODY: ReadonlySet<string> = new Set();

const TARGET_WORDS: Record<EffectTarget, string> = {
  height: say('finalHeight'),
  speed: say('growthSpeed'),
  emergence: say('daysUntilUp'),
};
const SIZES = [100, 300, 500];

/** Try it before you sow it: some hundreds of classes of this very plan, grown in the computer. */
export function RehearseSection() {
  const { state } = usePlanEditor();
  const { scale } = useFindingStyle();
  const rehearsal = useRehearsal();
  const { wish, change, progress, result, error } = rehearsal;
  const percent = Math.round(wish.change * 100);
  // Before the first class is grown: to read in the drawing package holds the page up for a moment.
  useEffect(() => void loadCharts(), []);
  return (
    <>
      <p>{say('supposeItIsTrueInHowMany')}</p>
      <div className="form-row rehearse-wish">
        <Form.Group controlId="effect-target" className="plan-field">
          <Form.Label>{say('supposeItChanges')}</Form.Label>
          <Form.Select
            value={wish.target}
            onChange={({ target }) => change({ target: target.value as EffectTarget })}
          >
            {EFFECT_TARGETS.map((target) => (
              <option key={target} value={target}>
                {TARGET_WORDS[target]}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="effect-change" className="plan-field is-wide">
          <Form.Label>
            <Said
              by={say}
              code="byPercent"
              values={{
                ifPercent: percent === 0 ? 'yes' : 'no',
                ifPercent2: percent > 0 ? 'yes' : 'no',
                percent: Math.abs(percent),
              }}
            />
          </Form.Label>
          <Form.Range
            min={-60}
            max={100}
            step={5}
            value={percent}
            onChange={({ target }) => change({ change: Number(target.value) / 100 })}
          />
        </Form.Group>
        <Form.Group controlId="effect-classes" className="plan-field">
          <Form.Label>{say('classes')}</Form.Label>
          <Form.Select
            value={wish.classes}
            onChange={({ target }) => change({ classes: Number(target.value) })}
          >
            {SIZES.map((size) => (
              <option key={size}>{size}</option>
            ))}
          </Form.Select>
        </Form.Group>
        {progress === undefined ? (
          <Button disabled={state === 'not-valid'} onClick={rehearsal.start}>
            {say('tryIt')}
          </Button>
        ) : (
          <Button variant="light" onClick={rehearsal.cancel}>
            {say('stop')}
          </Button>
        )}
      </div>
      {progress !== undefined && (
        <progress
          className="classes-grown"
          value={progress.done}
          max={progress.of}
          aria-label={say('classesGrown')}
        />
      )}
      <div aria-live="polite">
        {error !== undefined && <p className="note-harm">{error}</p>}
        {result && !result.main.defined && (
          <p className="note-attention">
            {say('thisPlanCannotBeRehearsedAs', { undefinedWords: undefinedWords(result.main.reason) })}
          </p>
        )}
        {result?.main.defined && <Rehearsed result={result} main={result.main.value} scale={scale} />}
      </div>
    </>
  );
}

/** What became of the classes: how many saw it, what more pots or days would do, and one class as an example. */
function Rehearsed({
  result,
  main: { rehearsal, typical },
  scale,
}: {
  result: RehearsalOutcome;
  main: RehearsalResult;
  scale: LengthScale;
}) {
  const isNothing = result.wish.change === 0;
  return (
    <div className="rehearsal">
      <ResultDots rehearsal={rehearsal} isNothing={isNothing} />
      <p className="rehearsal-words">{rehearsalWords(rehearsal, isNothing)}</p>
      {result.others.length > 0 && (
        <table className="table table-sm">
          <thead>
            <tr>
              <th>{say('whatIf')}</th>
              <th>{isNothing ? say('falseAlarms') : say('classesThatSeeIt')}</th>
            </tr>
          </thead>
          <tbody>
            {result.others.map(({ name, share }) => (
              <tr key={name}>
                <td>{name}</td>
                <td>{share}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {typical && (
        <Suspense fallback={<div className="figure" aria-busy="true" />}>
          <p className="quiet">{say('aClassInTheMiddleOfThem')}</p>
          <Charts
            comparison={typical}
            treatments={typical.groups.map(({ groupId }, index) => ({
              id: groupId,
              name: result.names[index] ?? groupId,
              style: index,
            }))}
            style={{ kind: 'length', scale, isHeight: true }}
            variableName="height"
            chosen={NOBODY}
          />
        </Suspense>
      )}
    </div>
  );
}
