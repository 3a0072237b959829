import { COLOURS } from '../ui/tokens.ts';
import { say } from '@bright-sprout/words/interface';
import type { CellMean, Comparison, Design, TreatmentsPart } from '@bright-sprout/core/comparison';
import { computedText, readText, type ValueStyle } from '@bright-sprout/core/words';
import {
  AMBER,
  axis,
  axisName,
  chartTitle,
  colorOf,
  escapeText,
  type FigureData,
  groupAxis,
  INK,
  label,
  mark,
  PLAIN_LAYOUT,
  type ShownGroup,
  shown,
  spreadApart,
  symbolOf,
} from './figure-base.ts';

/** Each pair's difference of means with its interval; what crosses the line at 0 cannot be told apart. */
export function differencesFigure(
  comparison: Comparison,
  groups: readonly ShownGroup[],
  style: ValueStyle,
): FigureData {
  const nameOf = (id: string): string => groups.find((group) => group.id === id)?.name ?? '';
  const pairs = comparison.pairs
    .filter((pair) => pair.difference.defined)
    .filter(
      (pair) =>
        comparison.controlId === null ||
        pair.firstId === comparison.controlId ||
        comparison.pairs.length <= 6,
    );
  const names = pairs.map((pair) => escapeText(`${nameOf(pair.secondId)} − ${nameOf(pair.firstId)}`));
  return {
    data: [
      {
        type: 'scatter',
        mode: 'markers',
        x: pairs.map((pair) => (pair.difference.defined ? shown(pair.difference.value, style) : 0)),
        y: names,
        error_x: {
          type: 'data',
          array: pairs.map((pair) =>
            pair.test.defined && pair.test.value.interval && pair.difference.defined
              ? shown(pair.test.value.interval.high - pair.difference.value, style)
              : 0,
          ),
          thickness: 3,
          width: 0,
          color: INK,
        },
        marker: { symbol: 'circle', size: 11, color: INK },
        text: pairs.map(
          (pair, index) =>
            `${names[index] ?? ''}: ${pair.difference.defined ? computedText(pair.difference.value, style) : ''}`,
        ),
        hoverinfo: 'text',
      },
    ],
    layout: {
      ...PLAIN_LAYOUT,
      margin: { l: 40, r: 24, t: 34, b: 46 },
      xaxis: axis(axisName(say('differenceOfMeans'), style), {
        zeroline: true,
        zerolinecolor: INK,
        rangemode: 'tozero',
      }),
      yaxis: { automargin: true, fixedrange: true, tickfont: { color: INK }, autorange: 'reversed' },
      annotations: [chartTitle(say('bar95IntervalAllowingForTheNumber'))],
    },
  };
}

/** The means of every combination: lines that are not alongside each other mean that the factors work together. */
export function interactionFigure(
  cells: readonly CellMean[],
  design: Pick<Design, 'factors'>,
  style: ValueStyle,
): FigureData {
  const [first, second] = design.factors;
  if (!first || !second) return { data: [], layout: PLAIN_LAYOUT };
  const annotations: object[] = [];
  const lines = second.levels.map((level, at) => ({ id: level.name, name: level.name, style: at }));
  const data = lines.map((line, at) => {
    const points = first.levels.flatMap((level, index) => {
      const own = cells.filter((cell) => cell.levels[0] === index && cell.levels[1] === at);
      const n = own.reduce((sum, cell) => sum + cell.n, 0);
      const mean = own.reduce((sum, cell) => sum + cell.mean * cell.n, 0) / n;
      return n === 0 ? [] : [{ x: index, name: level.name, mean, n }];
    });
    const last = points.at(-1);
    if (last) annotations.push(label(last.x, shown(last.mean, style), line.name, colorOf(line)));
    return {
      type: 'scatter',
      mode: 'lines+markers',
      x: points.map((point) => point.x),
      y: points.map((point) => shown(point.mean, style)),
      text: points.map(
        (point) =>
          `${escapeText(point.name)}, ${escapeText(line.name)}: ${computedText(point.mean, style)}, n = ${point.n}`,
      ),
      hoverinfo: 'text',
      line: { color: colorOf(line), width: 3 },
      marker: { symbol: symbolOf(line), color: colorOf(line), size: 11 },
    };
  });
  const highest = Math.max(1, ...cells.map((cell) => shown(cell.mean, style)));
  return {
    data,
    layout: {
      ...PLAIN_LAYOUT,
      margin: { l: 52, r: 130, t: 34, b: 46 },
      xaxis: {
        ...groupAxis(
          first.levels.map((level, index) => ({ id: level.name, name: level.name, style: index })),
          () => '',
        ),
        title: { text: escapeText(first.name) },
      },
      yaxis: axis('', { rangemode: 'tozero' }),
      annotations: spreadApart(annotations, highest).concat(
        chartTitle(
          say('aLineForEach', { axisName: axisName('mean', style), second: second.name.toLowerCase() }),
        ),
      ),
    },
  };
}

/** Values against the amount of the first factor, with the straight line through them. */
export function doseFigure(
  comparison: Comparison,
  part: TreatmentsPart,
  design: Pick<Design, 'factors' | 'treatments'>,
  groups: readonly ShownGroup[],
  style: ValueStyle,
): FigureData {
  const [factor] = design.factors;
  const amounts = new Map(
    design.treatments.map((treatment) => [
      treatment.id,
      factor?.levels[treatment.levels[0] ?? 0]?.amount ?? 0,
    ]),
  );
  const data: object[] = groups.map((group) => {
    const points = comparison.groups.find((one) => one.groupId === group.id)?.points ?? [];
    return {
      type: 'scatter',
      mode: 'markers',
      x: points.map(() => amounts.get(group.id) ?? 0),
      y: points.map((point) => shown(point.value, style)),
      text: points.map((point) =>
        say('pot2', { number: point.number, readText: readText(point.value, style) }),
      ),
      hoverinfo: 'text',
      marker: { symbol: symbolOf(group), color: colorOf(group), size: 11 },
    };
  });
  if (part.dose.defined) {
    const { intercept, slope } = part.dose.value;
    const all = [...amounts.values()];
    const ends = [Math.min(...all), Math.max(...all)];
    data.push({
      type: 'scatter',
      mode: 'lines',
      x: ends,
      y: ends.map((x) => shown(intercept + slope * x, style)),
      line: { color: INK, width: 2, dash: 'dash' },
      hoverinfo: 'skip',
    });
  }
  return {
    data,
    layout: {
      ...PLAIN_LAYOUT,
      xaxis: axis(factor?.name ?? ''),
      yaxis: axis('', { rangemode: 'tozero' }),
      annotations: [chartTitle(say('againstTheAmount', { axisName: axisName(say('eachPot'), style) }))],
    },
  };
}

/** Residuals against a bell shape: the nearer to the line, the better the bell describes them. */
export function shapeFigure(part: TreatmentsPart, style: ValueStyle): FigureData {
  const { residuals } = part.assumptions;
  const sd = Math.sqrt(
    residuals.reduce((sum, point) => sum + point.residual ** 2, 0) / Math.max(1, residuals.length - 1),
  );
  const ends = [-2.2, 2.2];
  return {
    data: [
      {
        type: 'scatter',
        mode: 'lines',
        x: ends,
        y: ends.map((z) => shown(z * sd, style)),
        line: { color: AMBER, width: 2 },
        hoverinfo: 'skip',
      },
      {
        type: 'scatter',
        mode: 'markers',
        x: residuals.map((point) => point.expected),
        y: residuals.map((point) => shown(point.residual, style)),
        marker: { color: INK, size: 8 },
        hoverinfo: 'skip',
      },
    ],
    layout: {
      ...PLAIN_LAYOUT,
      xaxis: axis(say('whereABellShapeWouldPutThem')),
      yaxis: axis(''),
      annotations: [chartTitle(axisName(say('eachPotLessTheMeanOfIts'), style))],
    },
  };
}

const BARS = 41;

/** The pile of the biggest gaps that shuffled labels made, with the real one marked. */
export function shuffleFigure(
  gaps: readonly number[],
  observed: number,
  style: ValueStyle,
  reach: number,
): FigureData {
  const width = reach / BARS;
  const counts = new Array<number>(BARS).fill(0);
  for (const gap of gaps) {
    const bin = Math.min(BARS - 1, Math.floor(gap / width));
    counts[bin] = (counts[bin] as number) + 1;
  }
  const centres = counts.map((_, index) => width * (index + 0.5));
  return {
    data: [
      {
        type: 'bar',
        x: centres.map((centre) => shown(centre, style)),
        y: counts,
        width: shown(width * 0.92, style),
        marker: {
          color: centres.map((centre) => (centre >= observed - width / 2 ? AMBER : COLOURS.missing)),
        },
        hoverinfo: 'skip',
      },
    ],
    layout: {
      ...PLAIN_LAYOUT,
      xaxis: axis(axisName(say('biggestGapAfterShuffling'), style), {
        range: [0, shown(reach, style)],
      }),
      yaxis: axis('', { rangemode: 'tozero' }),
      annotations: [
        chartTitle('shuffles'),
        label(shown(observed, style), 1, say('whatHappened'), INK, {
          yref: 'paper',
          yanchor: 'top',
          xanchor: 'right',
        }),
      ],
      shapes: [mark('x', shown(observed, style))],
    },
  };
}
