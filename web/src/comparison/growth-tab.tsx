import { say } from '@bright-sprout/words/comparison';
import type { GrowthPart } from '@bright-sprout/core/comparison';
import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { careText, computedText, growthWords, summaryStyle, undefinedWords } from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { Suspense, useMemo, useState } from 'react';
import {
  changeBars,
  ChartCard,
  type ChartTable,
  CURVE_AXES,
  type CurveAxis,
  dayMark,
  fittedCurves,
  growthCurves,
  type Placing,
  RoomChart,
} from '../shared/charts/index.ts';
import { careQuery, sensorDaysQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { type ShownComparison, useChoices, useComparison } from './compare-context.tsx';
import { PlainTable, Sentences } from './parts.tsx';

const AXIS_WORDS: Record<CurveAxis, string> = {
  sowing: say('daysSinceSowing'),
  emergence: say('daysSinceUp'),
  date: say('dates'),
};

/** Growth: every pot's curve, change between readings, growth rates, stages, fitted curves, and the room. */
export function GrowthTab() {
  const { shown, error } = useComparison(['growth']);
  const { level } = useChoices();
  if (error) return <FailureNote error={error} />;
  if (!shown?.comparison.growth) return <p className="quiet">{say('comparing')}</p>;
  const { growth } = shown.comparison;
  const hasGrown = growth.units.some(({ steps }) => steps.length > 0);
  return (
    <>
      <Sentences lines={growthWords(growth, { groups: shown.groups, style: shown.readStyle, level })} />
      <Curves shown={shown} />
      {hasGrown ? (
        <>
          <Changes shown={shown} />
          <Rates shown={shown} />
          {(level === '11-13' || level === '14+') && <Fits shown={shown} />}
        </>
      ) : (
        <p className="panel">{say('howFastTheyGrowCanBeTold')}</p>
      )}
      <Stages shown={shown} />
      <Room />
    </>
  );
}

function Curves({ shown }: { shown: ShownComparison }) {
  const { experiment, findings } = useExperiment();
  const { variable, chosen } = useChoices();
  const [axis, setAxis] = useState<CurveAxis>('sowing');
  const { comparison, groups, readStyle } = shown;
  const figure = useMemo(() => {
    const sown = new Map(experiment.units.map((unit) => [unit.id, unit.sownOn]));
    const place: Placing = (unitId, age) => {
      if (axis === 'sowing') return age;
      const sownOn = unitId === null ? experiment.sowOn : (sown.get(unitId) ?? experiment.sowOn);
      const day = addDays(calendarDay(sownOn), age);
      if (axis === 'date') return day;
      const up = findings.get(unitId ?? '')?.find((finding) => finding.state === 'emerged');
      return up && day >= up.day ? daysApart(up.day, day) : null;
    };
    const numbers = new Map(experiment.units.map((unit) => [unit.id, unit.number]));
    const props = {
      comparison,
      treatments: groups,
      style: readStyle,
      variableName: variable.name,
      chosen,
      numbers,
    };
    const { data, layout } = growthCurves(props, axis, place);
    return { data, layout: { ...layout, shapes: dayMark(comparison.age, axis, place) } };
  }, [experiment, findings, axis, comparison, groups, readStyle, variable.name, chosen]);
  const table: ChartTable = {
    columns: [say('treatment'), say('day2'), say('nPots'), say('mean'), say('n95Interval')],
    rows: comparison.treatmentCurves.flatMap((curve) =>
      curve.points.map((point) => [
        groups.find((group) => group.id === curve.groupId)?.name ?? '',
        point.age,
        point.n,
        computedText(point.mean, readStyle),
        point.interval.defined
          ? say('to', {
              computedText: computedText(point.interval.value.low, readStyle),
              computedText2: computedText(point.interval.value.high, readStyle),
            })
          : `– (${undefinedWords(point.interval.reason)})`,
      ]),
    ),
  };
  return (
    <Suspense fallback={<div className="panel chart-panel" aria-busy="true" />}>
      <div className="choice axis-choice" role="group" aria-label={say('countedIn')}>
        <span>{say('countedIn')}</span>
        <div>
          {CURVE_AXES.map((choice) => (
            <button
              key={choice}
              type="button"
              className={choice === axis ? 'pill is-on' : 'pill'}
              aria-pressed={choice === axis}
              onClick={() => setAxis(choice)}
            >
              {AXIS_WORDS[choice]}
            </button>
          ))}
        </div>
      </div>
      <ChartCard
        title={say('everyPotAndTheMeans')}
        label={say('ofEveryPotWithTheMeanOf', { variable: variable.name })}
        figure={figure}
        table={table}
        note={axis === 'emergence' ? say('fromTheFirstCheckThatFoundA') : undefined}
      />
    </Suspense>
  );
}

function daysApart(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);
}

function Changes({ shown }: { shown: ShownComparison }) {
  const { comparison, groups, readStyle } = shown;
  const figure = useMemo(
    () => (comparison.growth ? changeBars(comparison.growth, groups, readStyle) : { data: [], layout: {} }),
    [comparison.growth, groups, readStyle],
  );
  const rate = summaryStyle(readStyle, 'growth_per_day');
  const numbers = usePotNumbers();
  const table: ChartTable = {
    columns: [say('pot'), say('fromDay'), say('toDay'), say('change'), say('aDay'), say('relativeGrowth')],
    rows: (comparison.growth?.units ?? []).flatMap((unit) =>
      unit.steps.map((step) => [
        numbers.get(unit.unitId) ?? '',
        step.from,
        step.to,
        computedText(step.change, readStyle),
        computedText(step.perDay, rate),
        step.relative.defined
          ? computedText(step.relative.value, summaryStyle(readStyle, 'relative_growth'))
          : undefinedWords(step.relative.reason),
      ]),
    ),
  };
  return (
    <Suspense fallback={null}>
      <ChartCard
        title={say('changeBetweenReadings')}
        label={say('meanGrowthADayBetweenReadingsA')}
        figure={figure}
        table={table}
        note={say('theFirstReadingHasNoChangeYet')}
      />
    </Suspense>
  );
}

function usePotNumbers(): ReadonlyMap<string, number> {
  const { experiment } = useExperiment();
  return useMemo(() => new Map(experiment.units.map((unit) => [unit.id, unit.number])), [experiment.units]);
}

function Rates({ shown }: { shown: ShownComparison }) {
  const { comparison, groups, readStyle } = shown;
  const styles = {
    perDay: summaryStyle(readStyle, 'growth_per_day'),
    relative: summaryStyle(readStyle, 'relative_growth'),
    area: summaryStyle(readStyle, 'area'),
  } as const;
  const cell = ({ n, mean }: GrowthPart['groups'][number]['perDay'], of: keyof typeof styles) =>
    mean.defined ? `${computedText(mean.value, styles[of])} (n = ${n})` : '–';
  return (
    <section className="panel" aria-label={say('growthRates')}>
      <h3>{say('growthRatesEachPotSummedUpFirst')}</h3>
      <PlainTable
        columns={[say('group'), say('growthADay'), say('relativeGrowth'), say('areaUnderTheCurve')]}
        rows={(comparison.growth?.groups ?? []).map((group) => [
          groups.find((one) => one.id === group.groupId)?.name ?? '',
          cell(group.perDay, 'perDay'),
          cell(group.relative, 'relative'),
          cell(group.area, 'area'),
        ])}
      />
      <p className="quiet">{say('growthADayIsLastValueFirst')}</p>
    </section>
  );
}

function Fits({ shown }: { shown: ShownComparison }) {
  const { comparison, groups, readStyle } = shown;
  const { growth } = comparison;
  const figure = useMemo(
    () => (growth ? fittedCurves(comparison, growth, groups, readStyle) : { data: [], layout: {} }),
    [comparison, growth, groups, readStyle],
  );
  const rate = summaryStyle(readStyle, 'growth_per_day');
  const table: ChartTable = {
    columns: [
      say('group'),
      say('curve'),
      say('end'),
      say('steepnessADay'),
      say('fastestOnDay'),
      say('fastestGrowth'),
      say('residualError'),
      say('aicc'),
    ],
    rows: (growth?.groups ?? []).flatMap((group) =>
      group.fits.map(({ kind, fit }, index) => {
        const name = groups.find((one) => one.id === group.groupId)?.name ?? '';
        const which = say('best', { kind, ifIndex: index === group.best ? 'yes' : 'no' });
        if (!fit.defined)
          return [
            name,
            which,
            say('refused', { undefinedWords: undefinedWords(fit.reason) }),
            '',
            '',
            '',
            '',
            '',
          ];
        const [first, second, third] = fit.value.parameters;
        const withError = (value: { value: number; error: number } | undefined, places: number): string =>
          value ? `${value.value.toFixed(places)} ± ${value.error.toFixed(places)}` : '';
        const isLine = kind === 'linear';
        return [
          name,
          which,
          isLine
            ? '–'
            : `${computedText(first?.value ?? 0, readStyle)} ± ${computedText(first?.error ?? 0, readStyle)}`,
          isLine ? '–' : withError(second, 3),
          isLine ? '–' : withError(third, 1),
          computedText(fit.value.fastest, rate),
          computedText(fit.value.residualError, readStyle),
          fit.value.aicc.toFixed(1),
        ];
      }),
    ),
  };
  return (
    <Suspense fallback={null}>
      <ChartCard
        title={say('fittedGrowthCurves')}
        label={say('meansOfEachGroupWithTheCurve')}
        figure={figure}
        table={table}
        note={say('leastSquaresThroughTheMeansTheLowest')}
      />
    </Suspense>
  );
}

function Stages({ shown }: { shown: ShownComparison }) {
  const { growth } = shown.comparison;
  if (!growth || growth.milestones.length === 0) return null;
  return (
    <section className="panel" aria-label={say('stages')}>
      <h3>{say('daysToEachStage')}</h3>
      <PlainTable
        columns={[say('stage'), ...shown.groups.map((group) => group.name)]}
        rows={growth.milestones.map((milestone) => [
          milestone.name,
          ...shown.groups.map((group) => {
            const own = milestone.groups.find((one) => one.groupId === group.id);
            if (!own || own.of === 0) return '–';
            const half = own.median.defined
              ? say('halfByDay', { median: Number(own.median.value.toFixed(1)) })
              : '';
            return say('ofPots', { reached: own.reached, of: own.of, half });
          }),
        ])}
      />
    </section>
  );
}

/** What loggers measured and what was done, where there is anything. */
function Room() {
  const { experiment } = useExperiment();
  const days = useQuery(sensorDaysQuery(experiment.id)).data ?? [];
  const care = (useQuery(careQuery(experiment.id)).data ?? [])
    .filter((event) => !event.isUndone)
    .map((event) => ({ happenedOn: event.happenedOn, words: careText(event) }));
  if (days.length === 0 && care.length === 0) return null;
  return (
    <Suspense fallback={null}>
      <RoomChart days={days} care={care} sowOn={experiment.sowOn} />
    </Suspense>
  );
}
