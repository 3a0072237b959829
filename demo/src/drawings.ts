import { randomGenerator } from '@bright-sprout/core/shared';

/** A drawing as pixels: three bytes each, red, green and blue, row by row. */
export interface DemoPicture {
  readonly width: number;
  readonly height: number;
  readonly pixels: Uint8Array;
}

/** An entry of the made-up class's journal. */
export interface DemoEntry {
  /** Number of the pot; `null` for all pots. */
  readonly pot: number | null;
  readonly observer: string;
  /** Days before the last day read. */
  readonly daysBefore: number;
  readonly note: string;
  /** Height of the plant drawn, as a share of the paper; `null` for a sentence alone. */
  readonly drawn: number | null;
}

/** Drawings and sentences of the zinnias. */
export const DEMO_ENTRIES: readonly DemoEntry[] = [
  { pot: 3, observer: 'Bea', daysBefore: 17, note: 'Two green ears came out of the soil.', drawn: 0.16 },
  { pot: 3, observer: 'Bea', daysBefore: 8, note: 'It has four leaves now, always two across.', drawn: 0.45 },
  { pot: 9, observer: 'Hana', daysBefore: 4, note: 'Ours stays small and its leaves are dark.', drawn: 0.3 },
  { pot: 3, observer: 'Bea', daysBefore: 0, note: 'It is taller than my ruler was on Monday.', drawn: 0.8 },
  {
    pot: 11,
    observer: 'Kofi',
    daysBefore: 6,
    note: 'It bent over and turned brown. We left it in the row.',
    drawn: null,
  },
  {
    pot: null,
    observer: 'Ezra',
    daysBefore: 2,
    note: 'The pots with half a dose look the most alike.',
    drawn: null,
  },
];

const WIDTH = 560;
const HEIGHT = 420;
const SOIL_Y = 360;
const PAPER = [253, 250, 242] as const;
const GREEN = [72, 140, 54] as const;
const BROWN = [120, 82, 52] as const;
const CLAY = [192, 99, 59] as const;

type Colour = readonly [number, number, number];

/** A plant as a child draws it with thick pens, the same for the same height. */
export function demoDrawing(share: number): DemoPicture {
  const pixels = new Uint8Array(WIDTH * HEIGHT * 3);
  for (let at = 0; at < pixels.length; at += 1) pixels[at] = PAPER[at % 3] ?? 0;
  const chance = randomGenerator(Math.round(share * 1000));
  const shake = (): number => 4 * (chance.uniform() - 0.5);
  const line = (points: readonly (readonly [number, number])[], width: number, colour: Colour): void => {
    points.slice(1).forEach(([x, y], index) => {
      const [fromX, fromY] = points[index] ?? [x, y];
      const steps = Math.max(1, Math.ceil(Math.hypot(x - fromX, y - fromY)));
      for (let step = 0; step <= steps; step += 1) {
        const part = step / steps;
        dot(pixels, fromX + (x - fromX) * part, fromY + (y - fromY) * part, width, colour);
      }
    });
  };
  const middle = WIDTH / 2;
  const tip = SOIL_Y - share * (SOIL_Y - 30);
  line(
    [
      [middle - 70, SOIL_Y],
      [middle - 50, HEIGHT - 12],
      [middle + 50, HEIGHT - 12],
      [middle + 70, SOIL_Y],
    ],
    7,
    CLAY,
  );
  line(
    [
      [middle - 78, SOIL_Y],
      [middle + 78, SOIL_Y + shake()],
    ],
    8,
    BROWN,
  );
  line(
    [
      [middle, SOIL_Y],
      [middle + shake() * 2, (SOIL_Y + tip) / 2],
      [middle + shake(), tip],
    ],
    7,
    GREEN,
  );
  const pairs = Math.max(1, Math.round(share * 6));
  for (let pair = 0; pair < pairs; pair += 1) {
    const y = tip + ((SOIL_Y - tip) * pair) / (pairs + 0.6);
    const reach = 34 + 26 * share + shake() * 2;
    for (const side of [-1, 1]) leaf(line, middle, y + shake(), side * reach);
  }
  return { width: WIDTH, height: HEIGHT, pixels };
}

/** An outline of a leaf from the stem outwards. */
function leaf(
  line: (points: readonly (readonly [number, number])[], width: number, colour: Colour) => void,
  x: number,
  y: number,
  reach: number,
): void {
  const upper: [number, number][] = [];
  const lower: [number, number][] = [];
  for (let step = 0; step <= 12; step += 1) {
    const part = step / 12;
    const belly = 15 * Math.sin(Math.PI * part);
    const rise = 14 * part;
    upper.push([x + reach * part, y - rise - belly]);
    lower.push([x + reach * part, y - rise + belly]);
  }
  line(upper, 5, GREEN);
  line(lower, 5, GREEN);
}

function dot(pixels: Uint8Array, x: number, y: number, width: number, colour: Colour): void {
  const reach = width / 2;
  for (let row = Math.floor(y - reach); row <= y + reach; row += 1) {
    for (let column = Math.floor(x - reach); column <= x + reach; column += 1) {
      const isInside = Math.hypot(column - x, row - y) <= reach && column >= 0 && column < WIDTH;
      if (!isInside || row < 0 || row >= HEIGHT) continue;
      pixels.set(colour, 3 * (row * WIDTH + column));
    }
  }
}
