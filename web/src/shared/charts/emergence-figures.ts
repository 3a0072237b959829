import { COLOURS } from '../ui/tokens.ts';
import { say } from '@bright-sprout/words/interface';
import type { EmergencePart } from '@bright-sprout/core/comparison';
import {
  axis,
  chartTitle,
  colorOf,
  dashOf,
  escapeText,
  type FigureData,
  FONT,
  label,
  PLAIN_LAYOUT,
  type ShownGroup,
  spreadApart,
  symbolOf,
} from './figure-base.ts';

/** Percent up over days, step by step between checks, each group named at its end. */
export function cumulativeFigure(part: EmergencePart, groups: readonly ShownGroup[]): FigureData {
  const annotations: object[] = [];
  const data = part.groups.flatMap((own) => {
    const group = groups.find(({ id }) => id === own.groupId);
    if (!group || own.indices.sown === null) return [];
    const sown = own.indices.sown;
    let up = 0;
    const points = [
      { day: 0, up: 0 },
      ...own.checks.map((check) => ({ day: check.day, up: (up += check.newlyUp) })),
    ];
    const last = points.at(-1);
    if (last && sown > 0) {
      annotations.push(
        label(
          last.day,
          (100 * last.up) / sown,
          say('of', { group: group.name, up: last.up, sown }),
          colorOf(group),
        ),
      );
    }
    return [
      {
        type: 'scatter',
        mode: 'lines+markers',
        x: points.map((point) => point.day),
        y: points.map((point) => (sown > 0 ? (100 * point.up) / sown : 0)),
        text: points.map((point) =>
          say('dayOfUp', { escapeText: escapeText(group.name), day: point.day, up: point.up, sown }),
        ),
        hoverinfo: 'text',
        line: { color: colorOf(group), width: 3 },
        marker: { symbol: symbolOf(group), color: colorOf(group), size: 8 },
      },
    ];
  });
  return {
    data,
    layout: {
      ...PLAIN_LAYOUT,
      margin: { l: 52, r: 150, t: 34, b: 46 },
      xaxis: axis(say('daysSinceSowing'), { range: [0, lastCheck(part)] }),
      yaxis: axis('', { range: [0, 106], ticksuffix: ' %' }),
      annotations: spreadApart(annotations, 106).concat(
        chartTitle(say('ofAllFoundUpByEachCheck', { counted: part.groups[0]?.counted ?? 'pots' })),
      ),
    },
  };
}

function lastCheck(part: EmergencePart): number {
  return Math.max(1, ...part.groups.flatMap((group) => group.checks.map((check) => check.day)));
}

/** The share of pots still waiting, a step down at every check that found one up. */
export function waitingFigure(part: EmergencePart, groups: readonly ShownGroup[]): FigureData {
  const annotations: object[] = [];
  const end = Math.max(1, ...part.units.map((unit) => unit.upAt ?? unit.after));
  const data = part.groups.flatMap((own) => {
    const group = groups.find(({ id }) => id === own.groupId);
    if (!group || own.waiting.n === 0) return [];
    const steps = [{ time: 0, waiting: 1 }, ...own.waiting.steps];
    const last = steps.at(-1) as { waiting: number };
    annotations.push(label(end, last.waiting, `${group.name}, n = ${own.waiting.n}`, colorOf(group)));
    return [
      {
        type: 'scatter',
        mode: 'lines',
        x: [...steps.map((step) => step.time), end],
        y: [...steps.map((step) => step.waiting), last.waiting],
        line: { shape: 'hv', color: colorOf(group), width: 3, dash: dashOf(group) },
        text: [...steps, { time: end, waiting: last.waiting }].map((step) =>
          say('dayWaiting', {
            escapeText: escapeText(group.name),
            time: step.time,
            value: Math.round(100 * step.waiting),
          }),
        ),
        hoverinfo: 'text',
      },
    ];
  });
  return {
    data,
    layout: {
      ...PLAIN_LAYOUT,
      margin: { l: 52, r: 150, t: 34, b: 46 },
      xaxis: axis(say('daysSinceSowing'), { range: [0, end] }),
      yaxis: axis('', { range: [0, 1.06], tickformat: '.0%' }),
      annotations: spreadApart(annotations, 1.06).concat(chartTitle(say('potsStillWaitingToComeUp'))),
      shapes: [
        {
          type: 'line',
          x0: 0,
          x1: 1,
          xref: 'paper',
          y0: 0.5,
          y1: 0.5,
          line: { color: COLOURS.missing, width: 1, dash: 'dash' },
        },
      ],
      font: FONT,
    },
  };
}
