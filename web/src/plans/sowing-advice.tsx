import { say } from '@bright-sprout/words/plans';
import { chanceText, undefinedWords } from '@bright-sprout/core/words';
import Button from 'react-bootstrap/Button';
import { Said, shortDay } from '../shared/ui/index.ts';
import { usePlanEditor } from './plan-editor.tsx';
import { useAdvice } from './use-edited-plan.ts';

const MOST_BARS = 30;

/** Sowing days worked out backwards from the lesson: the chance of being ready for each, the latest, the best. */
export function SowingAdvice() {
  const { plan, isPlanted, apply } = usePlanEditor();
  const advice = useAdvice();
  if (isPlanted || !advice) return null;
  if (!advice.defined) {
    return (
      <p className="quiet">
        {say('noForecastForTheLessonAs', { undefinedWords: undefinedWords(advice.reason) })}
      </p>
    );
  }
  const { choices, latest, recommended } = advice.value;
  const isLadder = plan.factors.some((factor) => factor.aspect === 'age');
  if (isLadder) {
    return <p className="quiet">{say('sownOnSeveralDaysEachAsMany')}</p>;
  }
  const shown = choices.slice(-MOST_BARS);
  const own = choices.find((choice) => choice.day === plan.sowOn);
  return (
    <div className="sowing-advice">
      <p>
        {own && (
          <>
            <Said
              by={say}
              code="sownOnEnoughStandsReadyWithA"
              values={{
                day: shortDay(own.day),
                chanceText: chanceText(own.chance),
              }}
            />{' '}
          </>
        )}
        {latest ? (
          <>
            <Said by={say} code="latestDayForTheChanceYouWant" values={{ latest: shortDay(latest) }} />{' '}
          </>
        ) : (
          say('noDayFromTodayOnGivesThe')
        )}
        {recommended && recommended !== plan.sowOn && (
          <Button variant="light" size="sm" onClick={() => apply({ sowOn: recommended })}>
            {say('sowOn', { recommended: shortDay(recommended) })}
          </Button>
        )}
      </p>
      <div className="chance-bars" role="group" aria-label={say('chanceOfBeingReadyBySowingDay')}>
        {shown.map(({ day, chance }) => (
          <button
            key={day}
            type="button"
            className={day === plan.sowOn ? 'is-chosen' : ''}
            aria-label={say('sowOnReadyWithAChanceOf', {
              day: shortDay(day),
              chanceText: chanceText(chance),
            })}
            aria-pressed={day === plan.sowOn}
            title={`${shortDay(day)}: ${chanceText(chance)}`}
            onClick={() => apply({ sowOn: day })}
          >
            <i style={{ height: `${Math.max(2, chance * 100)}%` }} />
          </button>
        ))}
      </div>
      <p className="chance-ends quiet" aria-hidden="true">
        <span>
          {say('sown')} {shown[0] && shortDay(shown[0].day)}
        </span>
        <span>{say('chanceToBeReady0ToAll')}</span>
        <span>{shown.at(-1) && shortDay(shown.at(-1)?.day ?? '')}</span>
      </p>
    </div>
  );
}
