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
  sowing: 'days since sowing',
  emergence: 'days since up',
  date: 'dates',
};

/** Growth: every pot's curve, change between readings, growth rates, stages, fitted curves, and the room. */
export function GrowthTab() {
  const { shown, error } = useComparison(['growth']);
  const { level } = useChoices();
  if (error) return <FailureNote error={error} />;
  if (!shown?.comparison.growth) return <p className="quiet">Comparing …</p>;
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
        <p className="panel">How fast they grow can be told once a pot has been measured on two days.</p>
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
      const up = findings.get(unitId ?? '')?.find((finding) => finding.state === 'up');
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
    columns: ['Treatment', 'day', 'n pots', 'mean', '95 % interval'],
    rows: comparison.treatmentCurves.flatMap((curve) =>
      curve.points.map((point) => [
        groups.find((group) => group.id === curve.groupId)?.name ?? '',
        point.age,
        point.n,
        computedText(point.mean, readStyle),
        point.interval.defined
          ? `${computedText(point.interval.value.low, readStyle)} to ${computedText(point.interval.value.high, readStyle)}`
          : `– (${undefinedWords(point.interval.reason)})`,
      ]),
    ),
  };
  return (
    <Suspense fallback={<div className="panel chart-panel" aria-busy="true" />}>
      <div className="choice axis-choice" role="group" aria-label="Counted in">
        <span>Counted in</span>
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
        title="Every pot and the means"
        label={`${variable.name} of every pot, with the mean of each group and its interval`}
        figure={figure}
        table={table}
        note={
          axis === 'emergence'
            ? 'From the first check that found a pot up; means are left out, as their pots change.'
            : undefined
        }
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
    columns: ['Pot', 'from day', 'to day', 'change', 'a day', 'relative growth'],
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
        title="Change between readings"
        label="Mean growth a day between readings, a bar for each group and day"
        figure={figure}
        table={table}
        note="The first reading has no change yet. Bars are means of the pots read both times."
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
  const cell = (
    description: { mean: { defined: boolean; value?: number; reason?: never }; n: number },
    of: keyof typeof styles,
  ) =>
    description.mean.defined && description.mean.value !== undefined
      ? `${computedText(description.mean.value, styles[of])} (n = ${description.n})`
      : '–';
  return (
    <section className="panel" aria-label="Growth rates">
      <h3>Growth rates, each pot summed up first</h3>
      <PlainTable
        columns={['Group', 'growth a day', 'relative growth', 'area under the curve']}
        rows={(comparison.growth?.groups ?? []).map((group) => [
          groups.find((one) => one.id === group.groupId)?.name ?? '',
          cell(group.perDay as never, 'perDay'),
          cell(group.relative as never, 'relative'),
          cell(group.area as never, 'area'),
        ])}
      />
      <p className="quiet">
        Growth a day is (last value − first value) ÷ days between. Relative growth is the slope of ln(value)
        on days. Both need two or more values above 0 of the same pot.
      </p>
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
      'Group',
      'curve',
      'end',
      'steepness a day',
      'fastest on day',
      'fastest growth',
      'residual error',
      'AICc',
    ],
    rows: (growth?.groups ?? []).flatMap((group) =>
      group.fits.map(({ kind, fit }, index) => {
        const name = groups.find((one) => one.id === group.groupId)?.name ?? '';
        const which = `${kind}${index === group.best ? ' (best)' : ''}`;
        if (!fit.defined) return [name, which, `refused: ${undefinedWords(fit.reason)}`, '', '', '', '', ''];
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
        title="Fitted growth curves"
        label="Means of each group with the curve that fits them best"
        figure={figure}
        table={table}
        note="Least squares through the means; the lowest AICc is drawn. A curve is refused before it bends, or with too few days."
      />
    </Suspense>
  );
}

function Stages({ shown }: { shown: ShownComparison }) {
  const { growth } = shown.comparison;
  if (!growth || growth.milestones.length === 0) return null;
  return (
    <section className="panel" aria-label="Stages">
      <h3>Days to each stage</h3>
      <PlainTable
        columns={['Stage', ...shown.groups.map((group) => group.name)]}
        rows={growth.milestones.map((milestone) => [
          milestone.name,
          ...shown.groups.map((group) => {
            const own = milestone.groups.find((one) => one.groupId === group.id);
            if (!own || own.of === 0) return '–';
            const half = own.median.defined ? `, half by day ${Number(own.median.value.toFixed(1))}` : '';
            return `${own.reached} of ${own.of} pots${half}`;
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
