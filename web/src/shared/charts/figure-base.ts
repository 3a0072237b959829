import { COLOURS } from '../ui/tokens.ts';
import { say } from '@bright-sprout/words/interface';
import { fromMillimetres } from '@bright-sprout/core/shared';
import type { ValueStyle } from '@bright-sprout/core/words';
import { treatmentStyle } from '../plants/index.ts';

/** A drawing for the chart library. */
export interface FigureData {
  readonly data: object[];
  readonly layout: object;
}

/** A group of units as it is drawn: its colour and mark come from `style`. */
export interface ShownGroup {
  readonly id: string;
  readonly name: string;
  readonly style: number;
}

export const INK = COLOURS.ink;
export const QUIET = COLOURS.quiet;
export const GRID = COLOURS.grid;
export const AMBER = COLOURS.amber;
export const FONT = { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 13, color: INK };

/** A value in the unit that is shown. */
export function shown(value: number, style: ValueStyle): number {
  if (style.kind === 'length') return fromMillimetres(value, style.scale.unit);
  return style.kind === 'derived' ? value / style.divisor : value;
}

/** The unit that is shown; empty for counts and scores. */
export function unitName(style: ValueStyle): string {
  if (style.kind === 'length') return style.scale.unit;
  return style.kind === 'number' || style.kind === 'derived' ? style.unit : '';
}

/** `height, cm` */
export function axisName(name: string, style: ValueStyle): string {
  const unit = unitName(style);
  return unit ? `${name}, ${unit}` : name;
}

/** A colour let through. @param share 0 to 1 */
export function translucent(color: string, share: number): string {
  const parts = [1, 3, 5].map((at) => Number.parseInt(color.slice(at, at + 2), 16));
  return `rgba(${parts.join(',')},${share})`;
}

/** The colour of a group. */
export function colorOf(group: ShownGroup): string {
  return treatmentStyle(group.style).color;
}

/** The mark of a group, by its name in the chart library. */
export function symbolOf(group: ShownGroup): string {
  return treatmentStyle(group.style).symbol;
}

/** How the line of a group is drawn, by its name in the chart library. */
export function dashOf(group: ShownGroup): string {
  return treatmentStyle(group.style).dash;
}

/** The chart library reads a little HTML in labels; names are plain text. */
export function escapeText(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
}

/** What all charts have in common. */
export const PLAIN_LAYOUT = {
  font: FONT,
  paper_bgcolor: 'rgba(0,0,0,0)',
  plot_bgcolor: 'rgba(0,0,0,0)',
  showlegend: false,
  hovermode: 'closest',
  dragmode: false,
  hoverlabel: { bgcolor: INK, font: { ...FONT, color: COLOURS.card } },
  margin: { l: 52, r: 24, t: 34, b: 46 },
} as const;

/** An axis with faint lines. */
export function axis(title: string, more: object = {}): object {
  return {
    title: { text: escapeText(title), font: { ...FONT, color: QUIET }, standoff: 10 },
    gridcolor: GRID,
    zeroline: false,
    fixedrange: true,
    tickfont: { color: QUIET },
    ...more,
  };
}

/** An axis of groups in columns, each with what stands below its name. */
export function groupAxis(groups: readonly ShownGroup[], below: (group: ShownGroup) => string): object {
  return {
    tickvals: groups.map((_, index) => index),
    ticktext: groups.map((group) => `<b>${escapeText(wrapped(group.name))}</b><br>${below(group)}`),
    range: [-0.6, groups.length - 0.4],
    fixedrange: true,
    gridcolor: 'rgba(0,0,0,0)',
    zeroline: false,
    tickangle: 0,
  };
}

/** A long name on two lines. */
function wrapped(name: string): string {
  if (name.length <= 18) return name;
  const at = name.lastIndexOf(' ', 18);
  return at < 4 ? `${name.slice(0, 17)}…` : name.slice(0, at) + ' ' + name.slice(at + 1, at + 18);
}

/** A heading inside the chart, above its axis. */
export function chartTitle(text: string): object {
  return {
    text: escapeText(text),
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

/** A name at a point, in the colour of its group. */
export function label(x: number | string, y: number, text: string, color: string, more: object = {}): object {
  return {
    x,
    y,
    text: escapeText(text),
    showarrow: false,
    xanchor: 'left',
    xshift: 6,
    font: { ...FONT, color, weight: 700 },
    ...more,
  };
}

/** Moves names that end close together apart, none beyond the top, so that each can be read. @param highest top of the axis */
export function spreadApart(annotations: object[], highest: number): object[] {
  const gap = highest * 0.062;
  const byHeight = (annotations as { y: number }[]).sort((a, b) => a.y - b.y);
  byHeight.forEach((annotation, index) => {
    const below = byHeight[index - 1];
    if (below && annotation.y - below.y < gap) annotation.y = below.y + gap;
  });
  let ceiling = highest;
  for (const annotation of [...byHeight].reverse()) {
    annotation.y = Math.min(annotation.y, ceiling);
    ceiling = annotation.y - gap;
  }
  return byHeight;
}

/** A dotted line across at one place of an axis. */
export function mark(axisOf: 'x' | 'y', at: number | string, color: string = INK): object {
  const across =
    axisOf === 'x'
      ? { x0: at, x1: at, y0: 0, y1: 1, yref: 'paper' }
      : { y0: at, y1: at, x0: 0, x1: 1, xref: 'paper' };
  return { type: 'line', ...across, line: { color, width: 1.5, dash: 'dot' } };
}

/** How many pots stand behind a mean. */
export function potsText(n: number): string {
  return say('nPots', { n });
}
