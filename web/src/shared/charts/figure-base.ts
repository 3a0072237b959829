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

/** Width of an axis of groups where nothing else is said, in px: half a card beside another chart. */
const HALF_CARD = 310;
/** Width of a bold letter of a name below an axis, in px, when there are few groups and when there are many. */
const LETTER = { few: 7.4, many: 6.4 } as const;
const MANY_GROUPS = 5;
const MOST_LINES = 3;
const LINE_PX = 17;

/**
 * An axis of groups in columns, each with what stands below its name. Names are broken into lines that fit their
 * column, so that none is printed over another.
 * @param width of the axis in px
 */
export function groupAxis(
  groups: readonly ShownGroup[],
  below: (group: ShownGroup) => string,
  width = HALF_CARD,
): object {
  const isMany = groups.length >= MANY_GROUPS;
  const perLine = lettersIn(groups.length, width);
  return {
    tickvals: groups.map((_, index) => index),
    ticktext: groups.map((group) => {
      const lines = nameLines(group.name, perLine, MOST_LINES).map(escapeText);
      return `<b>${lines.join('<br>')}</b><br>${below(group)}`;
    }),
    range: [-0.6, groups.length - 0.4],
    fixedrange: true,
    gridcolor: 'rgba(0,0,0,0)',
    zeroline: false,
    tickangle: 0,
    ...(isMany ? { tickfont: { ...FONT, size: FONT.size - 2 } } : {}),
  };
}

/** Room below an axis of groups for the lines of their names and what stands below them, in px. */
export function groupAxisRoom(groups: readonly ShownGroup[], width = HALF_CARD): number {
  const perLine = lettersIn(groups.length, width);
  const lines = groups.map(({ name }) => nameLines(name, perLine, MOST_LINES).length);
  return LINE_PX * (Math.max(1, ...lines) + 1) + 10;
}

function lettersIn(columns: number, width: number): number {
  const letter = columns >= MANY_GROUPS ? LETTER.many : LETTER.few;
  return Math.max(4, Math.floor(width / Math.max(1, columns) / letter));
}

/** A name in lines of at most so many letters, broken at spaces where there are any; what is left over is cut. */
export function nameLines(name: string, perLine: number, most: number): string[] {
  const lines: string[] = [];
  for (const word of name.split(' ')) {
    const last = lines.at(-1);
    const joined = last === undefined ? word : `${last} ${word}`;
    if (last !== undefined && joined.length <= perLine) lines[lines.length - 1] = joined;
    else lines.push(word);
  }
  const fitting = lines.flatMap((line) => line.match(new RegExp(`.{1,${perLine}}`, 'gu')) ?? []);
  if (fitting.length <= most) return fitting;
  const [cut = ''] = fitting.slice(most - 1);
  return [...fitting.slice(0, most - 1), `${cut.slice(0, perLine - 1)}…`];
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

/** A name beside a point is broken after so many letters, into so many lines. */
const LABEL_LETTERS = 19;
const LABEL_LINES = 2;

/** A name at a point, in the colour of its group. */
export function label(x: number | string, y: number, text: string, color: string, more: object = {}): object {
  return {
    x,
    y,
    align: 'left',
    text: nameLines(text, LABEL_LETTERS, LABEL_LINES).map(escapeText).join('<br>'),
    showarrow: false,
    xanchor: 'left',
    xshift: 6,
    font: { ...FONT, color, weight: 700 },
    ...more,
  };
}

/** Moves names that end close together apart, none beyond the top, so that each can be read. @param highest top of the axis */
export function spreadApart(annotations: object[], highest: number): object[] {
  const byHeight = (annotations as { y: number; text?: string }[]).sort((a, b) => a.y - b.y);
  const isTall = byHeight.some(({ text }) => text?.includes('<br>'));
  const gap = highest * (isTall ? 0.115 : 0.062);
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
