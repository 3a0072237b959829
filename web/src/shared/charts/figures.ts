import { fromMillimetres } from '@bright-sprout/core/shared';
import { computedText, readText, type ValueStyle } from '@bright-sprout/core/words';
import { treatmentStyle } from '../plants/index.ts';
import type { ChartsProps } from './charts.tsx';

/** A drawing for the chart library. */
export interface FigureData {
  readonly data: object[];
  readonly layout: object;
}

const INK = '#1e2b26';
const QUIET = '#55625b';
const GRID = '#e6dcc7';
const FONT = { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 13, color: INK };
const HEADROOM = 1.08;
const DOT_SPREAD = 0.22;

function shown(value: number, style: ValueStyle): number {
  return style.kind === 'length' ? fromMillimetres(value, style.scale.unit) : value;
}

function unitName(style: ValueStyle): string {
  if (style.kind === 'length') return style.scale.unit;
  return style.kind === 'number' ? style.unit : '';
}

/** The highest value on either chart, so that both share one scale. */
function top({ comparison, style }: ChartsProps): number {
  const values = comparison.unitCurves.flatMap((curve) => curve.points.map((point) => point.value));
  const bounds = comparison.treatmentCurves.flatMap((curve) =>
    curve.points.flatMap(({ interval }) => (interval.defined ? [interval.value.high] : [])),
  );
  const highest = Math.max(1, ...values);
  return shown(Math.min(Math.max(highest, ...bounds), highest * 1.35), style) * HEADROOM;
}

function translucent(color: string, share: number): string {
  const parts = [1, 3, 5].map((at) => Number.parseInt(color.slice(at, at + 2), 16));
  return `rgba(${parts.join(',')},${share})`;
}

function baseLayout(props: ChartsProps): object {
  return {
    font: FONT,
    paper_bgcolor: 'rgba(0,0,0,0)',
    plot_bgcolor: 'rgba(0,0,0,0)',
    showlegend: false,
    hovermode: 'closest',
    dragmode: false,
    hoverlabel: { bgcolor: INK, font: { ...FONT, color: '#fffdf8' } },
    yaxis: {
      range: [0, top(props)],
      gridcolor: GRID,
      zerolinecolor: '#b9ad93',
      fixedrange: true,
      tickfont: { color: QUIET },
    },
  };
}

/** Every unit's curve thin, each treatment's mean thick with its 95 % interval as a band, named at its end. */
export function growthCurves(props: ChartsProps): FigureData {
  const { comparison, treatments, style, variableName, highlightId } = props;
  const data: object[] = [];
  const annotations: object[] = [];
  for (const treatment of treatments) {
    const { color } = treatmentStyle(treatment.style);
    const mean = comparison.treatmentCurves.find((curve) => curve.treatmentId === treatment.id)?.points ?? [];
    const banded = mean.flatMap(({ age, interval }) =>
      interval.defined ? [{ age, ...interval.value }] : [],
    );
    data.push({
      type: 'scatter',
      mode: 'lines',
      x: [...banded.map(({ age }) => age), ...banded.map(({ age }) => age).reverse()],
      y: [
        ...banded.map(({ high }) => shown(high, style)),
        ...banded.map(({ low }) => shown(Math.max(0, low), style)).reverse(),
      ],
      fill: 'toself',
      fillcolor: translucent(color, 0.1),
      line: { width: 0 },
      hoverinfo: 'skip',
    });
    for (const curve of comparison.unitCurves.filter(({ treatmentId }) => treatmentId === treatment.id)) {
      const isHighlight = curve.unitId === highlightId;
      const number = comparison.groups
        .flatMap((group) => [...group.points, ...group.counts.leftOut])
        .find(({ unitId }) => unitId === curve.unitId)?.number;
      data.push({
        type: 'scatter',
        mode: 'lines',
        x: curve.points.map(({ age }) => age),
        y: curve.points.map(({ value }) => shown(value, style)),
        text: curve.points.map(({ age, value }) => `pot ${number}, day ${age}: ${readText(value, style)}`),
        hoverinfo: 'text',
        line: { color: translucent(color, isHighlight ? 1 : 0.38), width: isHighlight ? 4 : 1.3 },
      });
    }
    data.push({
      type: 'scatter',
      mode: 'lines',
      x: mean.map(({ age }) => age),
      y: mean.map((point) => shown(point.mean, style)),
      text: mean.map(
        (point) =>
          `${escapeText(treatment.name)}, day ${point.age}: mean ${computedText(point.mean, style)}, n = ${point.n}`,
      ),
      hoverinfo: 'text',
      line: { color, width: 3.5 },
    });
    const last = mean.at(-1);
    if (last) {
      annotations.push({
        x: last.age,
        y: shown(last.mean, style),
        text: `${escapeText(treatment.name)}, n = ${last.n}`,
        showarrow: false,
        xanchor: 'left',
        xshift: 6,
        font: { ...FONT, color, weight: 700 },
      });
    }
  }
  const { age } = comparison;
  return {
    data,
    layout: {
      ...baseLayout(props),
      margin: { l: 44, r: 150, t: 34, b: 44 },
      xaxis: {
        title: { text: 'days since sowing', font: { ...FONT, color: QUIET } },
        gridcolor: 'rgba(0,0,0,0)',
        fixedrange: true,
        range: [0, lastAge(comparison)],
        zeroline: false,
        tickfont: { color: QUIET },
      },
      annotations: spreadApart([...annotations], top(props)).concat(
        title(`${variableName}${unitName(style) ? `, ${unitName(style)}` : ''}`),
      ),
      shapes:
        age === null
          ? []
          : [
              {
                type: 'line',
                x0: age,
                x1: age,
                y0: 0,
                y1: 1,
                yref: 'paper',
                line: { color: INK, width: 1.5, dash: 'dot' },
              },
            ],
    },
  };
}

function lastAge(comparison: ChartsProps['comparison']): number {
  return Math.max(1, ...comparison.unitCurves.flatMap((curve) => curve.points.map(({ age }) => age)));
}

function title(text: string): object {
  return {
    text,
    x: 0,
    y: 1,
    xref: 'paper',
    yref: 'paper',
    xanchor: 'left',
    yanchor: 'bottom',
    yshift: 8,
    xshift: -34,
    showarrow: false,
    font: { ...FONT, color: QUIET },
  };
}

/** Moves the names of curves that end close together apart, so that each can be read. */
function spreadApart(annotations: object[], highest: number): object[] {
  const gap = highest * 0.062;
  const byHeight = (annotations as { y: number }[]).sort((a, b) => a.y - b.y);
  byHeight.forEach((annotation, index) => {
    const below = byHeight[index - 1];
    if (below && annotation.y - below.y < gap) annotation.y = below.y + gap;
  });
  return byHeight;
}

/** One mark a unit, with the mean and its 95 % interval beside them, n below. */
export function dotPlot(props: ChartsProps): FigureData {
  const { comparison, treatments, style, highlightId } = props;
  const data: object[] = [];
  const annotations: object[] = [];
  treatments.forEach((treatment, column) => {
    const { color, symbol } = treatmentStyle(treatment.style);
    const group = comparison.groups.find(({ treatmentId }) => treatmentId === treatment.id);
    if (!group) return;
    const { mean, interval } = group.description;
    data.push({
      type: 'scatter',
      mode: 'markers',
      x: group.points.map((_, index) => column - 0.12 - DOT_SPREAD * (index % 2)),
      y: group.points.map(({ value }) => shown(value, style)),
      text: group.points.map(({ number, value }) => `pot ${number}: ${readText(value, style)}`),
      hoverinfo: 'text',
      marker: {
        symbol,
        opacity: 1,
        color,
        size: group.points.map(({ unitId }) => (unitId === highlightId ? 18 : 11)),
        line: { color: INK, width: group.points.map(({ unitId }) => (unitId === highlightId ? 2 : 0)) },
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
        text: [`mean ${computedText(mean.value, style)}`],
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
  const names = treatments.map((treatment) => {
    const n = comparison.groups.find(({ treatmentId }) => treatmentId === treatment.id)?.points.length ?? 0;
    return `<b>${escapeText(treatment.name)}</b><br>n = ${n} ${n === 1 ? 'pot' : 'pots'}`;
  });
  const when = comparison.age === null ? 'on this day' : `day ${comparison.age}`;
  return {
    data,
    layout: {
      ...baseLayout(props),
      margin: { l: 34, r: 12, t: 34, b: 44 },
      xaxis: {
        tickvals: treatments.map((_, index) => index),
        ticktext: names,
        range: [-0.6, treatments.length - 0.4],
        fixedrange: true,
        gridcolor: 'rgba(0,0,0,0)',
        zeroline: false,
        tickangle: 0,
      },
      annotations: [...annotations, title(`each pot, ${when} · bar: mean with 95 % interval`)],
    },
  };
}

/** The chart library reads a little HTML in labels; names are plain text. */
function escapeText(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
}
