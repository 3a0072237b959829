import { say } from '@bright-sprout/words/readings';
import type { UnitView } from '@bright-sprout/contract/plans';
import { scoresOf } from '@bright-sprout/core/design';
import Button from 'react-bootstrap/Button';
import { findingText, useExperiment } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote, recentDay } from '../shared/ui/index.ts';
import { ReadingsOfDay } from './readings-of-day.tsx';
import { usePotReading } from './use-pot-reading.ts';

/** Scores one pot on one day; one press keeps it. */
export function ScorePanel({
  unit,
  nextUnit,
  onKept,
}: {
  unit: UnitView;
  nextUnit: UnitView | undefined;
  onKept: () => void;
}) {
  const { variable, day } = useExperiment();
  const { treatment, history, today, intent, setIntent, keep, cannotRead } = usePotReading(unit, onKept);
  const last = history.filter((finding) => finding.day < day).at(-1);
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
        <>
          <p className="quiet">
            {variable.name}
            {last &&
              say('on', { recentDay: recentDay(last.day, day), findingText: findingText(last, variable) })}
          </p>
          <div className="score-buttons" role="group" aria-label={variable.name}>
            {(scoresOf(variable.name) ?? []).map((score, index) => (
              <Button
                key={score}
                variant="light"
                disabled={keep.isPending}
                onClick={() =>
                  keep.save('emerged', { value: index + 1, unit: variable.unit, entered: score })
                }
              >
                {score}
              </Button>
            ))}
            <Button variant="light" disabled={keep.isPending} onClick={() => keep.save('not_read')}>
              {say('notRead')}
            </Button>
          </div>
          <FailureNote error={keep.error} />
        </>
      )}
    </section>
  );
}
