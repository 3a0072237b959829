import { say } from '@bright-sprout/words/print';
import { TASK_WORDS } from '@bright-sprout/core/words';
import { useCalendar, useExperiment } from '../shared/experiment/index.ts';
import { Said, longDay } from '../shared/ui/index.ts';

/** A card for whoever waters on days without class. */
export function HelperCard() {
  const { experiment, day } = useExperiment();
  const calendar = useCalendar();
  const plan = experiment.plan;
  const due = (calendar?.tasks ?? []).filter(
    (task) => task.needsHelper && task.doneOn === null && task.day >= day,
  );
  const days = [...new Set(due.map((task) => task.day))];
  return (
    <section className="helper-card">
      <h2>{say('pleaseLookAfterOurPlants')}</h2>
      <p>{experiment.question}</p>
      {days.length === 0 && <p>{say('thePlanHasNothingToDoOn')}</p>}
      <ul>
        {days.map((one) => (
          <li key={one}>
            <Said
              by={say}
              code="doneBy"
              values={{
                one: longDay(one),
                due: due
                  .filter((task) => task.day === one)
                  .map((task) => task.title || TASK_WORDS[task.code])
                  .join(', '),
              }}
            />
          </li>
        ))}
      </ul>
      {plan && due.some(({ code }) => code === 'water') && (
        <p>
          <Said by={say} code="waterMlForEachPotSlowlyOn" values={{ waterMl: plan.conditions.waterMl }} />
        </p>
      )}
      <p>{say('leaveEveryPotInItsPlaceWhere')}</p>
      <p>{say('whatINoticed')}</p>
    </section>
  );
}
