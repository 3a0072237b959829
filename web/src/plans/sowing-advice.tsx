import { chanceText, undefinedWords } from '@bright-sprout/core/words';
import Button from 'react-bootstrap/Button';
import { shortDay } from '../shared/ui/index.ts';
import { usePlanEditor } from './plan-editor.tsx';
import { useAdvice } from './use-review.ts';

const MOST_BARS = 30;

/** Sowing days worked out backwards from the lesson: the chance of being ready for each, the latest, the best. */
export function SowingAdvice() {
  const { plan, isPlanted, apply } = usePlanEditor();
  const advice = useAdvice();
  if (isPlanted || !advice) return null;
  if (!advice.defined) {
    return <p className="quiet">No forecast for the lesson, as {undefinedWords(advice.reason)}.</p>;
  }
  const { choices, latest, recommended } = advice.value;
  const isLadder = plan.factors.some((factor) => factor.aspect === 'age');
  if (isLadder) {
    return (
      <p className="quiet">
        Sown on several days, each as many days before the lesson as its plants should be old.
      </p>
    );
  }
  const shown = choices.slice(-MOST_BARS);
  const own = choices.find((choice) => choice.day === plan.sowOn);
  return (
    <div className="sowing-advice">
      <p>
        {own && (
          <>
            Sown on {shortDay(own.day)}, enough stands ready with a chance of <b>{chanceText(own.chance)}</b>
            .{' '}
          </>
        )}
        {latest ? (
          <>
            Latest day for the chance you want: <b>{shortDay(latest)}</b>.{' '}
          </>
        ) : (
          'No day from today on gives the chance you want. '
        )}
        {recommended && recommended !== plan.sowOn && (
          <Button variant="light" size="sm" onClick={() => apply({ sowOn: recommended })}>
            Sow on {shortDay(recommended)}
          </Button>
        )}
      </p>
      <div className="chance-bars" role="group" aria-label="Chance of being ready by sowing day">
        {shown.map(({ day, chance }) => (
          <button
            key={day}
            type="button"
            className={day === plan.sowOn ? 'is-chosen' : ''}
            aria-label={`Sow on ${shortDay(day)}: ready with a chance of ${chanceText(chance)}`}
            aria-pressed={day === plan.sowOn}
            title={`${shortDay(day)}: ${chanceText(chance)}`}
            onClick={() => apply({ sowOn: day })}
          >
            <i style={{ height: `${Math.max(2, chance * 100)}%` }} />
          </button>
        ))}
      </div>
      <p className="chance-ends quiet" aria-hidden="true">
        <span>sown {shown[0] && shortDay(shown[0].day)}</span>
        <span>chance to be ready, 0 to all</span>
        <span>{shown.at(-1) && shortDay(shown.at(-1)?.day ?? '')}</span>
      </p>
    </div>
  );
}
