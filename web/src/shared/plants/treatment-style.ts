/** How a mark is filled: wholly, not at all, or with a dot. */
export type MarkFill = 'full' | 'open' | 'dot';

/** How a treatment looks on layout, chart, label and print: a colour, and a mark that works without it. */
export interface TreatmentStyle {
  readonly color: string;
  /** Name of the mark in the chart library. */
  readonly symbol: string;
  /** The outline of the mark as a path in a box of 24 by 24. */
  readonly path: string;
  readonly fill: MarkFill;
  /** How its line is drawn, by the chart library's name. */
  readonly dash: 'solid' | 'dash' | 'dot';
}

/** Eight shapes, apart in lightness as well as hue. */
const SHAPES: readonly Pick<TreatmentStyle, 'color' | 'symbol' | 'path'>[] = [
  { color: '#1f5f8b', symbol: 'circle', path: 'M12 3a9 9 0 1 1 0 18a9 9 0 1 1 0-18Z' },
  { color: '#b06f00', symbol: 'triangle-up', path: 'M12 3 22 20H2Z' },
  { color: '#6d3a8c', symbol: 'diamond', path: 'M12 1 23 12 12 23 1 12Z' },
  { color: '#2a2f2c', symbol: 'square', path: 'M4 4H20V20H4Z' },
  { color: '#1d8375', symbol: 'cross', path: 'M9 2H15V9H22V15H15V22H9V15H2V9H9Z' },
  {
    color: '#b8336f',
    symbol: 'star',
    path: 'M12 1 14.9 9H23.4L16.6 14.1 19.1 22.2 12 17.3 4.9 22.2 7.4 14.1.6 9H9.1Z',
  },
  { color: '#6a6a12', symbol: 'hexagon', path: 'M12 2 20.7 7V17L12 22 3.3 17V7Z' },
  { color: '#4a8fc2', symbol: 'bowtie', path: 'M2 4V20L12 12 22 20V4L12 12Z' },
];

/** Each shape in three fills: 24 marks, as many as a plan may have treatments. */
const FILLS: readonly (Pick<TreatmentStyle, 'fill' | 'dash'> & { readonly ending: string })[] = [
  { fill: 'full', dash: 'solid', ending: '' },
  { fill: 'open', dash: 'dash', ending: '-open' },
  { fill: 'dot', dash: 'dot', ending: '-open-dot' },
];

/** The style of a treatment by its order; no two of a plan are alike. */
export function treatmentStyle(style: number): TreatmentStyle {
  const shape = SHAPES[style % SHAPES.length] as (typeof SHAPES)[number];
  const { ending, ...filled } = FILLS[
    Math.floor(style / SHAPES.length) % FILLS.length
  ] as (typeof FILLS)[number];
  return { ...shape, ...filled, symbol: `${shape.symbol}${ending}` };
}
