import { say } from '@bright-sprout/words/print';
import { materialsOf } from '@bright-sprout/core/amounts';
import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { useCalendar, useExperiment, useSurroundings } from '../shared/experiment/index.ts';
import { longDay, Said } from '../shared/ui/index.ts';

/** A card for the fridge or shed where seeds wait in the cold: what lies there, until when, and that it is no food. */
export function ColdCard() {
  const { experiment } = useExperiment();
  const surroundings = useSurroundings();
  const calendar = useCalendar();
  const { plan } = experiment;
  if (!plan || plan.conditions.coldDays === 0) return <p>{say('nothingWaitsInTheCold')}</p>;
  const from =
    calendar?.tasks.find(({ code }) => code === 'cold')?.day ??
    addDays(calendarDay(plan.sowOn), -plan.conditions.coldDays);
  const seeds = materialsOf(plan, { lots: surroundings?.lots ?? [] }).seedsByCrop;
  return (
    <section className="helper-card">
      <h2>{say('pleaseLeaveTheseSeedsInTheCold')}</h2>
      <p>{experiment.question}</p>
      <ul>
        {seeds.map(({ cropId, seeds: count }) => {
          const crop = surroundings?.crops.find(({ id }) => id === cropId);
          return (
            <li key={cropId}>
              {say('seedsOfCrop', {
                count,
                propagule: crop?.propagule ?? say('seedOne'),
                crop: crop?.commonName ?? cropId,
              })}
            </li>
          );
        })}
      </ul>
      <p>
        <Said
          by={say}
          code="inTheColdFromTo"
          values={{ from: longDay(from), to: longDay(plan.sowOn), days: plan.conditions.coldDays }}
        />
      </p>
      <p>{say('inADampClothInABag')}</p>
      <p>
        <b>{say('notFood')}</b>
      </p>
      <p>{say('lookedAtOn')}</p>
    </section>
  );
}
