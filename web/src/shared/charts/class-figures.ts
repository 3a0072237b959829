import { say } from '@bright-sprout/words/interface';
import type { Comparison, StudyPart, TeamsPart } from '@bright-sprout/core/comparison';
import { computedText, readText, type ValueStyle } from '@bright-sprout/core/words';
import {
  axis,
  axisName,
  chartTitle,
  colorOf,
  escapeText,
  type FigureData,
  groupAxis,
  groupAxisRoom,
  INK,
  PLAIN_LAYOUT,
  type ShownGroup,
  shown,
  symbolOf,
  potsText,
} from './figure-base.ts';

/** What each team read, its pots less the mean of all pots treated the same. */
export function teamsFigure(part: TeamsPart, style: ValueStyle): FigureData {
  const teams = part.teams.map((team, index) => ({ id: team.team, name: team.team, style: index }));
  const means = part.teams.map(({ offset }) =>
    offset.mean.defined ? shown(offset.mean.value, style) : null,
  );
  return {
    data: [
      {
        type: 'scatter',
        mode: 'markers',
        x: teams.map((_, index) => index),
        y: means,
        error_y: {
          type: 'data',
          array: part.teams.map(({ offset }) =>
            offset.interval.defined && offset.mean.defined
              ? shown(offset.interval.value.high - offset.mean.value, style)
              : 0,
          ),
          thickness: 3,
          width: 0,
          color: INK,
        },
        marker: { color: INK, size: 12 },
        text: part.teams.map(
          ({ team, offset }) =>
            `${escapeText(team)}: ${offset.mean.defined ? computedText(offset.mean.value, style) : ''}`,
        ),
        hoverinfo: 'text',
      },
    ],
    layout: {
      ...PLAIN_LAYOUT,
      margin: { ...PLAIN_LAYOUT.margin, b: groupAxisRoom(teams) },
      xaxis: groupAxis(teams, (team) => {
        const n = part.teams.find((one) => one.team === team.id)?.offset.n ?? 0;
        return potsText(n);
      }),
      yaxis: axis('', { zeroline: true, zerolinecolor: INK, rangemode: 'tozero' }),
      annotations: [chartTitle(axisName(say('potsOfTheTeamLessAllPots'), style))],
    },
  };
}

/** The mean of each treatment in each class, classes side by side. */
export function studyFigure(part: StudyPart, style: ValueStyle): FigureData {
  const groups = part.groups.map((name, index) => ({ id: name, name, style: index }));
  const runs = part.runs.map((run, index) => ({ id: run.id, name: run.name, style: index }));
  const offsetOf = (index: number): number => (index - (groups.length - 1) / 2) * 0.16;
  return {
    data: groups.map((group, index) => {
      const cells = runs.map(
        (run) => part.cells.find((cell) => cell.runId === run.id && cell.group === group.id)?.description,
      );
      return {
        type: 'scatter',
        mode: 'markers',
        name: escapeText(group.name),
        x: runs.map((_, at) => at + offsetOf(index)),
        y: cells.map((cell) => (cell?.mean.defined ? shown(cell.mean.value, style) : null)),
        error_y: {
          type: 'data',
          array: cells.map((cell) =>
            cell?.mean.defined && cell.interval.defined
              ? shown(cell.interval.value.high - cell.mean.value, style)
              : 0,
          ),
          thickness: 2.5,
          width: 0,
          color: colorOf(group),
        },
        marker: { symbol: symbolOf(group), color: colorOf(group), size: 12 },
        text: cells.map(
          (cell) =>
            `${escapeText(group.name)}: ${cell?.mean.defined ? computedText(cell.mean.value, style) : 'none'}, n = ${cell?.n ?? 0}`,
        ),
        hoverinfo: 'text',
      };
    }),
    layout: {
      ...PLAIN_LAYOUT,
      margin: { ...PLAIN_LAYOUT.margin, b: groupAxisRoom(runs) },
      showlegend: true,
      legend: { orientation: 'h', x: 1, xanchor: 'right', y: 1.06, yanchor: 'bottom' },
      xaxis: groupAxis(runs, (run) => {
        const own = part.runs.find((one) => one.id === run.id);
        return potsText(own?.measured ?? 0);
      }),
      yaxis: axis('', { rangemode: 'tozero' }),
      annotations: [
        chartTitle(say('onDayWith95Interval', { axisName: axisName('mean', style), age: part.age })),
      ],
    },
  };
}

/** All values of the day by group: box and points, for seeing outliers and skew. */
export function boxFigure(
  comparison: Comparison,
  groups: readonly ShownGroup[],
  style: ValueStyle,
): FigureData {
  return {
    data: groups.map((group, index) => {
      const points = comparison.groups.find((one) => one.groupId === group.id)?.points ?? [];
      return {
        type: 'box',
        x: points.map(() => index),
        y: points.map((point) => shown(point.value, style)),
        text: points.map((point) =>
          say('pot2', { number: point.number, readText: readText(point.value, style) }),
        ),
        hoverinfo: 'text',
        boxpoints: 'all',
        jitter: 0.5,
        pointpos: -1.6,
        width: 0.35,
        quartilemethod: 'linear',
        marker: { color: colorOf(group), symbol: symbolOf(group), size: 8 },
        line: { color: colorOf(group) },
        fillcolor: 'rgba(255,255,255,0)',
      };
    }),
    layout: {
      ...PLAIN_LAYOUT,
      margin: { ...PLAIN_LAYOUT.margin, b: groupAxisRoom(groups) },
      xaxis: groupAxis(groups, (group) => {
        const n = comparison.groups.find((one) => one.groupId === group.id)?.points.length ?? 0;
        return potsText(n);
      }),
      yaxis: axis('', { rangemode: 'tozero' }),
      annotations: [
        chartTitle(say('boxMiddleHalfLineMedian', { axisName: axisName(say('eachPot'), style) })),
      ],
    },
  };
}
