import { COLOURS } from '../ui/tokens.ts';
import { say } from '@bright-sprout/words/interface';
import type { CareView, SensorDayView } from '@bright-sprout/contract/care';
import { calendarDay, daysBetween } from '@bright-sprout/core/shared';
import { SENSOR_UNITS, SENSORS } from '@bright-sprout/core/simulate';
import { type FigureData, FONT, GRID, INK, QUIET } from './figure-base.ts';

const COLORS = {
  temperature: COLOURS.terracotta,
  light: COLOURS.amber,
  'soil moisture': COLOURS.sky,
} as const;
const GAP = 0.05;

/** What the room was like under the growth curves, and when somebody cared for the plants. */
export interface RoomProps {
  readonly days: readonly SensorDayView[];
  /** Care that was not taken back, with its words. */
  readonly care: readonly (Pick<CareView, 'happenedOn'> & { readonly words: string })[];
  readonly sowOn: string;
}

/** A panel for each sensor over days since sowing: the daily mean, the day's range as a band, care as marks below. */
export function roomFigure({ days, care, sowOn }: RoomProps): FigureData {
  const age = (day: string): number => daysBetween(calendarDay(sowOn), calendarDay(day));
  const used = SENSORS.filter((sensor) => days.some((one) => one.sensor === sensor));
  const panels = used.length === 0 ? (['care'] as const) : used;
  const width = (1 - GAP * (panels.length - 1)) / panels.length;
  const data: object[] = [];
  const layout: Record<string, unknown> = {
    font: FONT,
    paper_bgcolor: 'rgba(0,0,0,0)',
    plot_bgcolor: 'rgba(0,0,0,0)',
    showlegend: false,
    dragmode: false,
    hoverlabel: { bgcolor: INK, font: { ...FONT, color: COLOURS.card } },
    margin: { l: 40, r: 10, t: 26, b: 34 },
    annotations: [],
  };
  panels.forEach((panel, index) => {
    const name = index === 0 ? '' : String(index + 1);
    const from = index * (width + GAP);
    const own = days
      .filter((one) => one.sensor === panel && age(one.day) >= 0)
      .sort((a, b) => a.day.localeCompare(b.day));
    const axes = { xaxis: `x${name}`, yaxis: `y${name}` };
    if (panel !== 'care') data.push(...sensorTraces(own, panel, age, axes));
    const floor = Math.min(0, ...own.map(({ least }) => least));
    data.push(careTrace(care, age, floor, axes));
    layout[`xaxis${name}`] = {
      domain: [from, from + width],
      title: { text: say('daysSinceSowing'), font: { ...FONT, color: QUIET } },
      gridcolor: GRID,
      fixedrange: true,
      tickfont: { color: QUIET },
    };
    layout[`yaxis${name}`] = {
      gridcolor: GRID,
      fixedrange: true,
      tickfont: { color: QUIET },
      rangemode: 'tozero',
    };
    (layout.annotations as object[]).push({
      xref: 'paper',
      yref: 'paper',
      x: from,
      y: 1.16,
      xanchor: 'left',
      showarrow: false,
      text: panel === 'care' ? 'care' : `${panel}, ${SENSOR_UNITS[panel]}`,
      font: { ...FONT, weight: 700 },
    });
  });
  return { data, layout };
}

function sensorTraces(
  own: readonly SensorDayView[],
  sensor: SensorDayView['sensor'],
  age: (day: string) => number,
  axes: object,
): object[] {
  const ages = own.map(({ day }) => age(day));
  const unit = SENSOR_UNITS[sensor];
  return [
    {
      ...axes,
      type: 'scatter',
      mode: 'lines',
      x: [...ages, ...[...ages].reverse()],
      y: [...own.map(({ most }) => most), ...own.map(({ least }) => least).reverse()],
      fill: 'toself',
      fillcolor: `${COLORS[sensor]}22`,
      line: { width: 0 },
      hoverinfo: 'skip',
    },
    {
      ...axes,
      type: 'scatter',
      mode: 'lines+markers',
      x: ages,
      y: own.map(({ mean }) => mean),
      text: own.map((one) =>
        say('dayFromTo', {
          age: age(one.day),
          mean: one.mean.toFixed(1),
          unit,
          least: one.least.toFixed(1),
          most: one.most.toFixed(1),
        }),
      ),
      hoverinfo: 'text',
      line: { color: COLORS[sensor], width: 2.5 },
      marker: { size: 4 },
    },
  ];
}

function careTrace(care: RoomProps['care'], age: (day: string) => number, at: number, axes: object): object {
  return {
    ...axes,
    type: 'scatter',
    mode: 'markers',
    x: care.map(({ happenedOn }) => age(happenedOn)),
    y: care.map(() => at),
    text: care.map(({ happenedOn, words }) => say('day3', { age: age(happenedOn), escaped: escaped(words) })),
    hoverinfo: 'text',
    marker: { symbol: 'triangle-up', size: 10, color: COLOURS.sky },
    cliponaxis: false,
  };
}

function escaped(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
}
