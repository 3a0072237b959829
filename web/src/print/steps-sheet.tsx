import { say } from '@bright-sprout/words/print';
import { useExperiment } from '../shared/experiment/index.ts';

const TIMES = ['before', 'sowing', 'after'] as const;

/** The steps of the plan, large, to hang on the wall. */
export function StepsSheet() {
  const { experiment } = useExperiment();
  const steps = experiment.plan?.steps ?? [];
  return (
    <section className="steps-sheet">
      <h2>{experiment.question}</h2>
      {steps.length === 0 && <p>{say('noStepsYet')}</p>}
      {TIMES.filter((time) => steps.some(({ when }) => when === time)).map((time) => (
        <section key={time}>
          <h3>{say('stepsWhen', { time })}</h3>
          <ol>
            {steps
              .filter(({ when }) => when === time)
              .map(({ id, text, minutes }) => (
                <li key={id}>
                  {text}
                  {minutes !== null && say('minutes', { minutes })}
                </li>
              ))}
          </ol>
        </section>
      ))}
      <p className="kit-caution">{say('nobodyTastesSeedsOrSoilWashHands')}</p>
    </section>
  );
}
