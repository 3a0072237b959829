import { TASK_WORDS } from '@bright-sprout/core/words';
import { useCalendar, useExperiment } from '../shared/experiment/index.ts';
import { longDay } from '../shared/ui/index.ts';

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
      <h2>Please look after our plants</h2>
      <p>{experiment.question}</p>
      {days.length === 0 && <p>The plan has nothing to do on days without class.</p>}
      <ul>
        {days.map((one) => (
          <li key={one}>
            <b>{longDay(one)}</b>:{' '}
            {due
              .filter((task) => task.day === one)
              .map((task) => task.title || TASK_WORDS[task.code])
              .join(', ')}{' '}
            ☐ done by ____________
          </li>
        ))}
      </ul>
      {plan && (
        <p>
          Water: <b>{plan.conditions.waterMl} mL for each pot</b>, slowly, on the soil. If a label says
          otherwise, the label is right. If the soil is soggy, give none and write it down.
        </p>
      )}
      <p>
        Leave every pot in its place: where it stands is part of the experiment. Do not pull anything out, and
        do not taste anything. Wash your hands afterwards.
      </p>
      <p>What I noticed: ______________________________________________</p>
    </section>
  );
}
