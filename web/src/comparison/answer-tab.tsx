import { say } from '@bright-sprout/words/comparison';
import { groupsOn, sharesOfSown } from '@bright-sprout/core/comparison';
import { isCalendarDay } from '@bright-sprout/core/shared';
import { Suspense, useDeferredValue, useMemo } from 'react';
import { Charts } from '../shared/charts/index.ts';
import { findingsOf, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { type ShownComparison, useChoices, useComparison } from './compare-context.tsx';
import { CrossedChart } from './crossed-chart.tsx';
import { ComparisonTables } from './comparison-tables.tsx';
import { LuckDots } from './luck-dots.tsx';
import { ConclusionPanel } from './conclusion-panel.tsx';

/** The answer in a sentence, how sure it is, what it cannot say, and the charts it is read from. */
export function AnswerTab() {
  const { shown, error } = useComparison([]);
  if (error) return <FailureNote error={error} />;
  if (!shown) return <p className="quiet">{say('comparing')}</p>;
  return (
    <>
      <Answer shown={shown} />
      <AskedChart shown={shown} />
      <AnswerCharts shown={shown} />
      <p className="quiet counting">{shown.comparison.words.counting}</p>
      <ComparisonTables comparison={shown.comparison} groups={shown.groups} style={shown.style} />
      <ConclusionPanel evidence={shown.comparison.words.evidence} />
    </>
  );
}

/** What the answer is read from where it is not one treatment beside another: how factors depend on each other. */
function AskedChart({ shown }: { shown: ShownComparison }) {
  const { comparison } = shown;
  const { groupBy } = useChoices();
  if (groupBy !== 'treatment' || comparison.questions.length === 0) return null;
  return (
    <Suspense fallback={<div className="panel chart-panel" aria-busy="true" />}>
      <CrossedChart shown={shown} />
    </Suspense>
  );
}

/** The words of a comparison, or where to find a day that was read. */
export function Answer({ shown }: { shown: ShownComparison }) {
  const { day, setDay } = useExperiment();
  const { level } = useChoices();
  const { comparison } = shown;
  const { words, readDays } = comparison;
  if (comparison.summary === 'day' && !readDays.includes(day)) {
    const lastRead = readDays.filter((readDay) => readDay <= day).at(-1) ?? readDays[0];
    return (
      <p className="note-attention">
        {say('noPotWasReadOn', { day: shortDay(day) })}{' '}
        {lastRead && (
          <button type="button" className="link-button" onClick={() => setDay(lastRead)}>
            {say('goTo', { lastRead: shortDay(lastRead) })}
          </button>
        )}
      </p>
    );
  }
  return (
    <div className="answer">
      <div>
        <h2 className="headline">{words.headline}</h2>
        {words.others.map((other) => (
          <p className="headline-more" key={other}>
            {other}
          </p>
        ))}
      </div>
      <aside className="how-sure">
        <p>
          <b>{say('howSure')}</b> {capital(words.howSure)}
        </p>
        <LuckDots chance={words.luck} level={level} />
        <p>
          <b>{say('notKnown')}</b> {words.notKnown.join(' ')}
        </p>
      </aside>
    </div>
  );
}

function AnswerCharts({ shown }: { shown: ShownComparison }) {
  const { variable, chosen, summary } = useChoices();
  const { groups, style, readStyle } = shown;
  const comparison = useDeferredValue(useScrubbed(shown));
  const { experiment } = useExperiment();
  const numbers = useMemo(
    () => new Map(experiment.units.map((unit) => [unit.id, unit.number])),
    [experiment.units],
  );
  const hasValues =
    comparison.unitCurves.length > 0 || comparison.groups.some((group) => group.points.length > 0);
  const hasCurves = comparison.unitCurves.some(({ points }) => points.length > 1);
  if (!hasValues) return <p className="quiet">{say('theCurvesBeginWithTheFirstValue')}</p>;
  return (
    <Suspense fallback={<div className="chart-card" aria-busy="true" />}>
      <Charts
        comparison={comparison}
        treatments={groups}
        style={style}
        readStyle={readStyle}
        variableName={variable.name}
        chosen={chosen}
        numbers={numbers}
        isOneChart={(summary !== 'day' && summary !== 'final') || !hasCurves}
      />
    </Suspense>
  );
}

/** The comparison with the dots of the day on the timeline, before the server has compared that day. */
function useScrubbed({ comparison, groups }: ShownComparison): ShownComparison['comparison'] {
  const { experiment, readings, day } = useExperiment();
  const { variable, rule, summary, groupBy, per } = useChoices();
  const { isShareOfSown } = comparison;
  const findings = useMemo(
    () => findingsOf(isShareOfSown ? sharesOfSown(readings, experiment.units) : readings, variable.id),
    [readings, variable, isShareOfSown, experiment.units],
  );
  return useMemo(() => {
    const canBeMade = groupBy === 'treatment' && summary === 'day' && per === 'as_read';
    if (comparison.day === day || !canBeMade || !isCalendarDay(day)) return comparison;
    const units = experiment.units.map(({ id, number, treatmentId, sownOn }) => ({
      id,
      number,
      groupId: treatmentId,
      sownOn: isCalendarDay(sownOn) ? sownOn : null,
    }));
    return { ...comparison, ...groupsOn({ treatments: groups, units, day, rule }, findings) };
  }, [comparison, groups, experiment.units, findings, day, rule, summary, groupBy, per]);
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
