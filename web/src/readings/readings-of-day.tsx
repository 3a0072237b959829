import { say } from '@bright-sprout/words/readings';
import type { UnitView, VariableView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import Button from 'react-bootstrap/Button';
import { findingText } from '../shared/experiment/index.ts';
import type { Intent } from './use-keep-reading.ts';

/** What was read of a pot on a day, corrected readings too; correct one, or read again. */
export function ReadingsOfDay({
  readings,
  variable,
  onIntent,
  nextUnit,
  onNext,
}: {
  readings: readonly ReadingView[];
  variable: VariableView;
  /** Left out when nothing can be added. */
  onIntent: ((intent: Intent) => void) | undefined;
  nextUnit: UnitView | undefined;
  onNext: () => void;
}) {
  return (
    <div className="readings-of-day">
      <p className="quiet">{readings.length === 0 ? say('notReadOnThisDay') : say('readOnThisDay')}</p>
      <ul>
        {readings.map((reading) => (
          <li key={reading.id} className={reading.counts ? '' : 'is-corrected'}>
            <b>{textOf(reading, variable)}</b>
            <span className="quiet">
              {reading.observer}
              {reading.isReread && say('lookedAgain')}
              {reading.setAside !== null
                ? say('setAside', { setAside: reading.setAside })
                : !reading.counts && say('corrected')}
            </span>
            {reading.counts && onIntent && (
              <Button size="sm" variant="light" onClick={() => onIntent({ kind: 'correct', reading })}>
                {say('correct')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <div className="button-row">
        {onIntent && (
          <Button variant="light" onClick={() => onIntent({ kind: 'add' })}>
            {say('readItASecondTime')}
          </Button>
        )}
        {nextUnit && onIntent && (
          <Button onClick={onNext}>{say('nextPot', { number: nextUnit.number })}</Button>
        )}
      </div>
      {onIntent && <p className="quiet">{say('twoReadingsOfOneDayAreBoth')}</p>}
    </div>
  );
}

function textOf(reading: ReadingView, variable: VariableView): string {
  return findingText({ state: reading.state, value: reading.value ?? null }, variable);
}
