import { say } from '@bright-sprout/words/print';
import type { UnitView } from '@bright-sprout/contract/plans';
import { classDayFrom } from '@bright-sprout/core/calendar';
import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { findingText, treatmentOf, useCalendar, useExperiment } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { Said, shortDay } from '../shared/ui/index.ts';

const DAYS = 4;

/** A sheet for paper in the order of the fast sheet; the first change there can be none of is grey. */
export function RecordingSheet() {
  const { experiment, findings, day } = useExperiment();
  const days = useReadingDays();
  const others = experiment.variables.slice(1);
  const [main] = experiment.variables;
  const sownOf = ({ sownOn, sowOn }: UnitView): string => sownOn ?? sowOn ?? experiment.sowOn;
  const isLadder = new Set(experiment.units.map(sownOf)).size > 1;
  return (
    <section className="recording-sheet">
      <h2>{experiment.question}</h2>
      <p>
        {main?.name} {say('unitIn')} {main?.unit}
        <Said by={say} code="writeNForNotUpYetD" />
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col" rowSpan={2}>
              {say('pot')}
            </th>
            <th scope="col" rowSpan={2}>
              {say('last')}
            </th>
            {days.map((one) => (
              <th key={one} scope="colgroup" colSpan={2 + others.length}>
                {shortDay(one)}
              </th>
            ))}
          </tr>
          <tr>
            {days.map((one) => (
              <SubHeads
                key={one}
                names={[main?.name ?? '', ...others.map(({ name }) => name), say('change')]}
              />
            ))}
          </tr>
        </thead>
        <tbody>
          {experiment.units.map((unit) => {
            const last = (findings.get(unit.id) ?? []).filter((finding) => finding.day < day).at(-1);
            const hasValue = last?.value != null;
            return (
              <tr key={unit.id}>
                <th scope="row">
                  {unit.number} <TreatmentMark style={treatmentOf(experiment, unit).style} size={12} />{' '}
                  <small>{treatmentOf(experiment, unit).code}</small>
                  {isLadder && <small> {say('sownOnShort', { day: shortDay(sownOf(unit)) })}</small>}
                </th>
                <td>{last && main ? findingText(last, main) : ''}</td>
                {days.map((one, index) => (
                  <Cells
                    key={one}
                    count={1 + others.length}
                    isGrey={index === 0 && !hasValue}
                    isUnsown={one <= sownOf(unit)}
                  />
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

function SubHeads({ names }: { names: readonly string[] }) {
  return names.map((name) => (
    <th key={name} scope="col">
      {name}
    </th>
  ));
}

function Cells({ count, isGrey, isUnsown }: { count: number; isGrey: boolean; isUnsown: boolean }) {
  return (
    <>
      {Array.from({ length: count }, (_, index) => (
        <td
          key={index}
          className={isUnsown ? 'no-change' : ''}
          aria-label={isUnsown ? say('notSownYet') : undefined}
        />
      ))}
      <td
        className={isGrey || isUnsown ? 'no-change' : ''}
        aria-label={isGrey ? say('noChangeAtTheFirstReading') : say('change')}
      />
    </>
  );
}

/** The next reading days from the chosen day on; once the plan has none left, days on which the class meets. */
function useReadingDays(): string[] {
  const { experiment, day } = useExperiment();
  const calendar = useCalendar();
  const days: string[] = (calendar?.tasks ?? [])
    .filter((task) => task.code === 'read' && task.day >= day)
    .map((task) => task.day)
    .slice(0, DAYS);
  if (days.length > 0) return days;
  const rules = experiment.plan?.calendar;
  let next = addDays(calendarDay(day), -1);
  while (days.length < DAYS) {
    next = addDays(next, 1);
    if (rules) next = classDayFrom(next, rules);
    days.push(next);
  }
  return days;
}
