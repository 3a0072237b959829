import { say } from '@bright-sprout/words/interface';
import type { Comparison, GrowthPart } from '@bright-sprout/core/comparison';
import { valueAt } from '@bright-sprout/core/growth';
import { computedText, type ValueStyle } from '@bright-sprout/core/words';
import {
  axis,
  chartTitle,
  colorOf,
  dashOf,
  escapeText,
  type FigureData,
  label,
  PLAIN_LAYOUT,
  type ShownGroup,
  shown,
  spreadApart,
  symbolOf,
  translucent,
  unitName,
} from './figure-base.ts';

const FIT_STEPS = 60;

/** Mean change between readings, a bar for each group and step, on the day it was read. */
export function changeBars(part: GrowthPart, groups: readonly ShownGroup[], style: ValueStyle): FigureData {
  const data = groups.map((group) => {
    const byDay = new Map<number, number[]>();
    for (const unit of part.units) {
      if (unit.groupId !== group.id) continue;
      for (const step of unit.steps) byDay.set(step.to, [...(byDay.get(step.to) ?? []), step.perDay]);
    }
    const days = [...byDay].sort(([a], [b]) => a - b);
    const means = days.map(([, rates]) => rates.reduce((sum, rate) => sum + rate, 0) / rates.length);
    return {
      type: 'bar',
      name: escapeText(group.name),
      x: days.map(([day]) => day),
      y: means.map((mean) => shown(mean, style)),
      text: days.map(([day, rates], index) =>
        say('upToDayADayN', {
          escapeText: escapeText(group.name),
          day,
          computedText: computedText(means[index] ?? 0, style),
          ratesCount: rates.length,
        }),
      ),
      textposition: 'none',
      hoverinfo: 'text',
      marker: { color: colorOf(group) },
    };
  });
  return {
    data,
    layout: {
      ...PLAIN_LAYOUT,
      barmode: 'group',
      bargap: 0.15,
      showlegend: true,
      legend: { orientation: 'h', x: 1, xanchor: 'right', y: 1.12, yanchor: 'bottom' },
      xaxis: axis(say('daysSinceSowingReadOn')),
      yaxis: axis(''),
      annotations: [chartTitle(say('growthSinceTheReadingBeforeADay', { unitName: unitName(style) }).trim())],
    },
  };
}

/** The means of each group as marks with the curve that fits them best. */
export function fittedCurves(
  comparison: Comparison,
  part: GrowthPart,
  groups: readonly ShownGroup[],
  style: ValueStyle,
): FigureData {
  const annotations: object[] = [];
  const data = groups.flatMap((group) => {
    const points = comparison.treatmentCurves.find((curve) => curve.groupId === group.id)?.points ?? [];
    const growth = part.groups.find((one) => one.groupId === group.id);
    const color = colorOf(group);
    const marks = {
      type: 'scatter',
      mode: 'markers',
      x: points.map((point) => point.age),
      y: points.map((point) => shown(point.mean, style)),
      marker: { symbol: symbolOf(group), color: translucent(color, 0.7), size: 8 },
      hoverinfo: 'skip',
    };
    const best = growth?.best === null || !growth ? undefined : growth.fits[growth.best];
    const [first, last] = [points[0], points.at(-1)];
    if (!best?.fit.defined || !first || !last) return [marks];
    const { kind, fit } = best;
    const parameters = fit.value.parameters.map((parameter) => parameter.value);
    const ages = Array.from(
      { length: FIT_STEPS + 1 },
      (_, step) => first.age + ((last.age - first.age) * step) / FIT_STEPS,
    );
    annotations.push(label(last.age, shown(valueAt(kind, parameters, last.age), style), group.name, color));
    return [
      marks,
      {
        type: 'scatter',
        mode: 'lines',
        x: ages,
        y: ages.map((age) => shown(valueAt(kind, parameters, age), style)),
        line: { color, width: 3, dash: dashOf(group) },
        hoverinfo: 'skip',
      },
    ];
  });
  const highest = Math.max(
    1,
    ...comparison.treatmentCurves.flatMap((curve) => curve.points.map((point) => shown(point.mean, style))),
  );
  return {
    data,
    layout: {
      ...PLAIN_LAYOUT,
      margin: { l: 52, r: 140, t: 34, b: 46 },
      xaxis: axis(say('daysSinceSowing')),
      yaxis: axis('', { rangemode: 'tozero' }),
      annotations: spreadApart(annotations, highest).concat(
        chartTitle(say('meanOfThePotsAndTheCurve', { unitName: unitName(style) })),
      ),
    },
  };
}
