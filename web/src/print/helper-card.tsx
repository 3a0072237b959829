import { say } from '@bright-sprout/words/print';
import { TASK_WORDS } from '@bright-sprout/core/words';
import { allOf } from '@bright-sprout/words/say';
import { useCalendar, useExperiment, usePotSowing } from '../shared/experiment/index.ts';
import { Said, longDay } from '../shared/ui/index.ts';

/** A card for whoever waters on days without class. */
export function HelperCard() {
  const { experiment, day } = useExperiment();
  const calendar = useCalendar();
  const sowingOf = usePotSowing();
  const waters = watersOf(
    experiment.units.map((unit) => ({ number: unit.number, ml: sowingOf(unit).waterMl })),
  );
  const notWatered = experiment.units.filter((unit) => sowingOf(unit).waterMl === 0);
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
      {experiment.plan && due.some(({ code }) => code === 'water') && (
        <>
          {waters.map(({ ml, pots, isAll }) => (
            <p key={ml}>
              <Said
                by={say}
                code="waterMlForPots"
                values={{ waterMl: ml, pots: allOf(pots), isAll: isAll ? 'yes' : 'no' }}
              />
            </p>
          ))}
          {notWatered.length > 0 && (
            <p>{say('waterNoneInto', { pots: allOf(notWatered.map(({ number }) => number)) })}</p>
          )}
          <p>{say('slowlyOntoTheSoil')}</p>
        </>
      )}
      <p>{say('leaveEveryPotInItsPlaceWhere')}</p>
      <p>{say('whatINoticed')}</p>
    </section>
  );
}

/** Pots that get the same water, the most pots first. */
function watersOf(
  pots: readonly { readonly number: number; readonly ml: number }[],
): { readonly ml: number; readonly pots: number[]; readonly isAll: boolean }[] {
  const amounts = [...new Set(pots.map(({ ml }) => ml))].filter((ml) => ml > 0);
  return amounts
    .map((ml) => ({
      ml,
      pots: pots.filter((pot) => pot.ml === ml).map(({ number }) => number),
      isAll: pots.every((pot) => pot.ml === ml),
    }))
    .sort((a, b) => b.pots.length - a.pots.length);
}
