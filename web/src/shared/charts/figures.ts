import { COLOURS } from '../ui/tokens.ts';
import { say } from '@bright-sprout/words/interface';
import { computedText, readText } from '@bright-sprout/core/words';
import type { ChartsProps, DotsProps } from './charts.tsx';
import {
  axisName,
  chartTitle,
  colorOf,
  dashOf,
  escapeText,
  type FigureData,
  FONT,
  GRID,
  groupAxis,
  groupAxisRoom,
  INK,
  label,
  mark,
  PLAIN_LAYOUT,
  QUIET,
  shown,
  spreadApart,
  symbolOf,
  translucent,
  potsText,
} from './figure-base.ts';
import { swarm } from './swarm.ts';

/** Room round the curves, in px. */
export const CURVES_MARGIN = { l: 44, r: 150, t: 34, b: 44 } as const;
const HEADROOM = 1.08;
/** Where the dots of a group stand beside its mean, how wide they may go, and how high a dot is of the whole axis. */
const DOTS = { middle: -0.2, width: 0.5, step: 0.09, share: 0.045 } as const;

/** The highest value on either chart, so that both share one scale. */
function top({ comparison, style }: ChartsProps): number {
  const values = [
    ...comparison.unitCurves.flatMap((curve) => curve.points.map((point) => point.value)),
    ...comparison.groups.flatMap((group) => group.points.map((point) => point.value)),
  ];
  const bounds = comparison.treatmentCurves.flatMap((curve) =>
    curve.points.flatMap(({ interval }) => (interval.defined ? [interval.value.high] : [])),
  );
  const highest = Math.max(1, ...values);
  return shown(Math.min(Math.max(highest, ...bounds), highest * 1.35), style) * HEADROOM;
}

function baseLayout(props: ChartsProps): object {
  return {
    ...PLAIN_LAYOUT,
    yaxis: {
      range: [Math.min(0, lowest(props)), top(props)],
      gridcolor: GRID,
      zerolinecolor: COLOURS.missing,
      fixedrange: true,
      tickfont: { color: QUIET },
    },
  };
}

/** Below 0 only where values are. */
function lowest({ comparison, style }: ChartsProps): number {
  const values = comparison.groups.flatMap((group) => group.points.map((point) => shown(point.value, style)));
  return Math.min(0, ...values) * HEADROOM;
}

/** What the days of a curve are counted from. */
export const CURVE_AXES = ['sowing', 'emergence', 'date'] as const;
export type CurveAxis = (typeof CURVE_AXES)[number];

const AXIS_WORDS: Record<CurveAxis, string> = {
  sowing: say('daysSinceSowing'),
  emergence: say('daysSinceThePotWasFoundUp'),
  date: 'date',
};

/** Where the points of a curve stand on the axis; `null` leaves one out. */
export type Placing = (unitId: string | null, age: number) => number | string | null;

/** Size of the mark at the end of a line in pixels. */
const END_MARK = 13;

/** Every unit's curve thin, each treatment's mean thick with its 95 % interval as a band, named at its end. */
export function growthCurves(
  props: ChartsProps,
  axis: CurveAxis = 'sowing',
  place: Placing = (_, age) => age,
): FigureData {
  const { comparison, treatments, style, variableName, chosen } = props;
  const data: object[] = [];
  const annotations: object[] = [];
  const numbers = props.numbers ?? new Map<string, number>();
  const withMeans = axis !== 'emergence';
  for (const treatment of treatments) {
    const color = colorOf(treatment);
    const mean = comparison.treatmentCurves.find((curve) => curve.groupId === treatment.id)?.points ?? [];
    const curves = comparison.unitCurves.filter(({ groupId }) => groupId === treatment.id);
    if (withMeans) data.push(band(props, mean, color, place));
    const isShown = (unitId: string): boolean => chosen.size === 0 || chosen.has(unitId);
    for (const isChosen of [false, true]) {
      const own = curves.filter((curve) => (chosen.size > 0 && chosen.has(curve.unitId)) === isChosen);
      if (own.length === 0) continue;
      const share = isChosen ? 1 : chosen.size > 0 ? 0.12 : withMeans ? 0.38 : 0.7;
      data.push(
        unitLines(own, numbers, props, place, {
          color: translucent(color, share),
          width: isChosen ? 3.5 : 1.3,
        }),
      );
    }
    if (!withMeans) {
      const end = curves.filter((curve) => isShown(curve.unitId)).at(-1);
      const last = end?.points.at(-1);
      const x = last && end ? place(end.unitId, last.age) : null;
      if (x !== null && last) annotations.push(label(x, shown(last.value, style), treatment.name, color));
      continue;
    }
    data.push({
      type: 'scatter',
      mode: 'lines+markers',
      cliponaxis: false,
      // Only the end carries the mark: lines are told apart there without colour.
      marker: {
        symbol: symbolOf(treatment),
        color,
        opacity: 1,
        size: mean.map((_, index) => (index === mean.length - 1 ? END_MARK : 0)),
      },
      x: mean.map(({ age }) => place(null, age)),
      y: mean.map((point) => shown(point.mean, style)),
      text: mean.map((point) =>
        say('dayMeanN', {
          escapeText: escapeText(treatment.name),
          age: point.age,
          computedText: computedText(point.mean, style),
          n: point.n,
        }),
      ),
      hoverinfo: 'text',
      line: { color, width: chosen.size > 0 ? 2 : 3.5, dash: dashOf(treatment) },
    });
    const last = mean.at(-1);
    const x = last ? place(null, last.age) : null;
    if (last && x !== null) {
      annotations.push(label(x, shown(last.mean, style), `${treatment.name}, n = ${last.n}`, color));
    }
  }
  return {
    data,
    layout: {
      ...baseLayout(props),
      margin: CURVES_MARGIN,
      xaxis: {
        title: { text: AXIS_WORDS[axis], font: { ...FONT, color: QUIET } },
        gridcolor: 'rgba(0,0,0,0)',
        fixedrange: true,
        ...(axis === 'sowing' ? { range: [0, lastAge(comparison)] } : {}),
        zeroline: false,
        tickfont: { color: QUIET },
      },
      annotations: spreadApart(annotations, top(props)).concat(chartTitle(axisName(variableName, style))),
    },
  };
}

/** The day compared, as a line across the curves; none where the pots share no age. */
export function dayMark(
  age: number | null,
  axis: CurveAxis = 'sowing',
  place: Placing = (_, own) => own,
): object[] {
  const at = age === null || axis === 'emergence' ? null : place(null, age);
  return at === null ? [] : [mark('x', at)];
}

/** The 95 % interval of a mean as a band. */
function band(
  { style }: ChartsProps,
  mean: ChartsProps['comparison']['treatmentCurves'][number]['points'],
  color: string,
  place: Placing,
): object {
  const banded = mean.flatMap(({ age, interval }) => (interval.defined ? [{ age, ...interval.value }] : []));
  const x = banded.map(({ age }) => place(null, age));
  return {
    type: 'scatter',
    mode: 'lines',
    x: [...x, ...[...x].reverse()],
    y: [
      ...banded.map(({ high }) => shown(high, style)),
      ...banded.map(({ low }) => shown(Math.max(0, low), style)).reverse(),
    ],
    fill: 'toself',
    fillcolor: translucent(color, 0.1),
    line: { width: 0 },
    hoverinfo: 'skip',
  };
}

/** Many curves as one trace with gaps between them: hundreds of pots stay quick to draw. */
function unitLines(
  curves: ChartsProps['comparison']['unitCurves'],
  numbers: ReadonlyMap<string, number>,
  { style }: ChartsProps,
  place: Placing,
  line: object,
): object {
  const x: (number | string | null)[] = [];
  const y: (number | null)[] = [];
  const text: string[] = [];
  for (const { unitId, points } of curves) {
    for (const { age, value } of points) {
      const at = place(unitId, age);
      if (at === null) continue;
      x.push(at);
      y.push(shown(value, style));
      text.push(say('potDay', { get: numbers.get(unitId) ?? '', age, readText: readText(value, style) }));
    }
    x.push(null);
    y.push(null);
    text.push('');
  }
  return { type: 'scatter', mode: 'lines', x, y, text, hoverinfo: 'text', connectgaps: false, line };
}

/** The last age on the axis of the curves. */
export function lastAge(comparison: Pick<ChartsProps['comparison'], 'unitCurves'>): number {
  return Math.max(1, ...comparison.unitCurves.flatMap((curve) => curve.points.map(({ age }) => age)));
}

/** The groups that have a value; all of them where none has. */
function withValues({ comparison, treatments }: DotsProps): DotsProps['treatments'] {
  const found = treatments.filter(({ id }) =>
    comparison.groups.some(({ groupId, points }) => groupId === id && points.length > 0),
  );
  return found.length > 0 ? found : treatments;
}

/** One mark a unit, with the mean and its 95 % interval beside them, n below. */
export function dotPlot(props: DotsProps, width?: number): FigureData {
  const { comparison, style, chosen } = props;
  const treatments = withValues(props);
  const data: object[] = [];
  const annotations: object[] = [];
  treatments.forEach((treatment, column) => {
    const [color, symbol] = [colorOf(treatment), symbolOf(treatment)];
    const group = comparison.groups.find(({ groupId }) => groupId === treatment.id);
    if (!group) return;
    const { mean, interval } = group.description;
    const heights = group.points.map(({ value }) => shown(value, style));
    const beside = swarm(heights, DOTS.share * top(props), DOTS.width, DOTS.step);
    data.push({
      type: 'scatter',
      mode: 'markers',
      x: beside.map((x) => column + DOTS.middle + x),
      y: heights,
      text: group.points.map(({ number, value }) =>
        say('pot2', { number, readText: readText(value, style) }),
      ),
      hoverinfo: 'text',
      marker: {
        symbol,
        opacity: group.points.map(({ unitId }) => (chosen.size === 0 || chosen.has(unitId) ? 1 : 0.25)),
        color,
        size: group.points.map(({ unitId }) => (chosen.has(unitId) ? 18 : 11)),
        line: { color: INK, width: group.points.map(({ unitId }) => (chosen.has(unitId) ? 2 : 0)) },
      },
      cliponaxis: false,
    });
    if (mean.defined) {
      const value = shown(mean.value, style);
      const reach = interval.defined ? shown(interval.value.high, style) - value : 0;
      data.push({
        type: 'scatter',
        mode: 'markers',
        x: [column + 0.16],
        y: [value],
        error_y: { type: 'data', array: [reach], color, thickness: 3, width: 0, visible: interval.defined },
        marker: { symbol: 'line-ew', size: 22, line: { color, width: 4 } },
        text: [say('mean', { computedText: computedText(mean.value, style) })],
        hoverinfo: 'text',
      });
      annotations.push({
        x: column + 0.26,
        y: value,
        text: computedText(mean.value, style).split(' ')[0],
        showarrow: false,
        xanchor: 'left',
        yshift: 9,
        font: { ...FONT, color, weight: 700 },
      });
    }
  });
  const pots = (group: { id: string }): string => {
    const n = comparison.groups.find(({ groupId }) => groupId === group.id)?.points.length ?? 0;
    return potsText(n);
  };
  const when = comparison.age === null ? say('onThisDay') : say('day2', { age: comparison.age });
  return {
    data,
    layout: {
      ...baseLayout(props),
      margin: { l: 34, r: 34, t: 34, b: groupAxisRoom(treatments, width) },
      xaxis: groupAxis(treatments, pots, width),
      annotations: [...annotations, chartTitle(say('eachPotBarMeanWith95Interval', { when }))],
    },
  };
}
