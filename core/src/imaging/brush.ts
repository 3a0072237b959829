import { type GreenMap, LEFT_OUT } from './excess-green.ts';

/** A stroke of a brush over a straightened container; all as shares of its width and height. */
export interface Stroke {
  /** How thick, as a share of the width. */
  readonly thickness: number;
  /** x and y of each point that the brush went through. */
  readonly points: readonly number[];
}

/** Leaves out what a brush went over, such as a label or a cloth: it is no plant, and no soil either. Changes `map`. */
export function leaveOut(map: GreenMap, strokes: readonly Stroke[]): void {
  const { width, height } = map;
  for (const { thickness, points } of strokes) {
    const radius = (thickness * width) / 2;
    const at = (index: number) => ({
      x: (points[2 * index] as number) * width,
      y: (points[2 * index + 1] as number) * height,
    });
    const count = Math.floor(points.length / 2);
    for (let index = 0; index < count; index += 1) {
      leaveOutLeg(map, at(Math.max(0, index - 1)), at(index), radius);
    }
  }
}

interface Spot {
  readonly x: number;
  readonly y: number;
}

function leaveOutLeg({ width, height, bins }: GreenMap, from: Spot, to: Spot, radius: number): void {
  const [left, right] = range(Math.min(from.x, to.x) - radius, Math.max(from.x, to.x) + radius, width);
  const [top, bottom] = range(Math.min(from.y, to.y) - radius, Math.max(from.y, to.y) + radius, height);
  const across = to.x - from.x;
  const down = to.y - from.y;
  const square = across ** 2 + down ** 2;
  for (let y = top; y < bottom; y += 1) {
    for (let x = left; x < right; x += 1) {
      const px = x + 0.5 - from.x;
      const py = y + 0.5 - from.y;
      const along = square === 0 ? 0 : Math.min(1, Math.max(0, (px * across + py * down) / square));
      if ((px - along * across) ** 2 + (py - along * down) ** 2 <= radius ** 2)
        bins[y * width + x] = LEFT_OUT;
    }
  }
}

function range(from: number, to: number, size: number): [number, number] {
  return [Math.max(0, Math.floor(from)), Math.min(size, Math.ceil(to) + 1)];
}
