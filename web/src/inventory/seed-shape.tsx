import { say } from '@bright-sprout/words/inventory';
import type { SeedShape } from '@bright-sprout/core/design';
import { COLOURS } from '../shared/ui/index.ts';

/** What seeds look like, in words. */
export const SHAPE_WORDS: Record<SeedShape, string> = {
  oval: say('shapeOval'),
  round: say('shapeRound'),
  bean: say('shapeBean'),
  flat: say('shapeFlat'),
  grain: say('shapeGrain'),
  splinter: say('shapeSplinter'),
  winged: say('shapeWinged'),
  tuber: say('shapeTuber'),
};

/** Outlines in a box of 100 by 100, length across and thickness down. */
const OUTLINES: Record<SeedShape, string> = {
  oval: 'M0 50C0 10 30 0 55 0S100 20 100 50 80 100 55 100 0 90 0 50Z',
  round: 'M0 50A50 50 0 1 1 100 50A50 50 0 1 1 0 50Z',
  bean: 'M4 62C-6 20 22 0 50 0S106 20 96 62C90 96 74 108 62 88 56 78 44 78 38 88 26 108 10 96 4 62Z',
  flat: 'M0 50C6 8 40 0 62 4 84 10 100 36 100 50S84 90 62 96C40 100 6 92 0 50Z',
  grain: 'M0 50C14 6 40 0 60 4 82 10 94 30 100 50 94 70 82 90 60 96 40 100 14 94 0 50Z',
  splinter: 'M0 50C30 20 66 4 100 22L92 50 100 78C66 96 30 80 0 50Z',
  winged: 'M0 50C6 22 22 20 34 34 58 2 92 0 100 18 96 44 66 66 36 66 24 82 6 80 0 50Z',
  tuber: 'M4 44C-2 18 18 2 38 6 52 -6 82 0 92 22 106 40 100 74 82 88 66 104 46 94 34 98 12 100 0 74 4 44Z',
};

/** Lines within an outline: an eye, a crease, stripes, buds. */
const LINES: Partial<Record<SeedShape, string>> = {
  bean: 'M40 84C46 76 54 76 60 84',
  grain: 'M10 50H90',
  splinter: 'M14 50H88M30 36 94 30M30 64 94 70',
  flat: 'M14 50C30 22 60 16 84 40',
  winged: 'M34 50C56 42 78 32 92 22',
  tuber: 'M26 30l6 5 6-5M62 22l6 5 6-5M40 66l6 5 6-5M74 60l6 5 6-5',
};

/** A seed as it lies, within a drawing. */
export function SeedDrawing({
  shape,
  x,
  y,
  width,
  height,
  color,
}: {
  shape: SeedShape;
  x: number;
  y: number;
  width: number;
  height: number;
  color: string;
}) {
  const lines = LINES[shape];
  return (
    <g transform={`translate(${x} ${y}) scale(${width / 100} ${height / 100})`}>
      <path d={OUTLINES[shape]} fill={color} />
      {lines && (
        <path
          d={lines}
          fill="none"
          stroke={COLOURS.ink}
          strokeOpacity="0.55"
          strokeWidth="1.2"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </g>
  );
}
