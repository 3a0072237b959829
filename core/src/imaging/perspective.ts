import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { emptyPicture, type Picture, type Point } from './picture.ts';

/** Four corners: top left, top right, bottom right, bottom left. */
export type Corners = readonly [Point, Point, Point, Point];

/** A projective map of the plane: nine numbers, row by row; the last is 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/** At most so many times as long as the opposite side: beyond it the far places are too few pixels. */
export const MOST_FORESHORTENED = 2.5;

/** Beyond this a picture can be used, and is better taken again from further above. */
export const OBLIQUE = 1.5;

/**
 * The map that takes the corners of one quadrilateral to those of another (Heckbert 1989, by way of the unit square).
 * @returns undefined as `corners_cross` unless both go round in one turn without a dent
 */
export function homography(from: Corners, to: Corners): Outcome<Homography> {
  if (!isConvex(from) || !isConvex(to)) return notDefined('corners_cross');
  const back = inverse(fromUnitSquare(from));
  return defined(normalised(product(fromUnitSquare(to), back)));
}

/** Where a point goes. */
export function project([a, b, c, d, e, f, g, h, i]: Homography, { x, y }: Point): Point {
  const w = g * x + h * y + i;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
}

/**
 * How far from straight above a picture was taken: of the two pairs of opposite sides, the longer by the shorter where
 * they differ most. 1 from straight above.
 */
export function foreshortening([a, b, c, d]: Corners): number {
  const ratio = (one: number, other: number): number => Math.max(one, other) / Math.min(one, other);
  return Math.max(ratio(distance(a, b), distance(d, c)), ratio(distance(a, d), distance(b, c)));
}

/** Distance of two points in pixels. */
export function distance(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y);
}

/** The corners of a picture of some size. */
export function cornersOf(width: number, height: number): Corners {
  return [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
}

/**
 * What is inside the corners as it looks from straight above, each pixel taken from between its four neighbours.
 * What lies outside the picture is black.
 * @returns undefined as `corners_cross`, `too_oblique`
 */
export function rectify(
  picture: Picture,
  corners: Corners,
  size: { readonly width: number; readonly height: number },
): Outcome<Picture> {
  const map = homography(cornersOf(size.width, size.height), corners);
  if (!map.defined) return map;
  if (foreshortening(corners) > MOST_FORESHORTENED) return notDefined('too_oblique');
  const flat = emptyPicture(size.width, size.height);
  const [a, b, c, d, e, f, g, h, i] = map.value;
  const { data } = flat;
  let at = 0;
  for (let row = 0; row < size.height; row += 1) {
    const y = row + 0.5;
    for (let column = 0; column < size.width; column += 1, at += 4) {
      const x = column + 0.5;
      const w = g * x + h * y + i;
      sample(picture, (a * x + b * y + c) / w - 0.5, (d * x + e * y + f) / w - 0.5, data, at);
    }
  }
  return defined(flat);
}

function sample(
  { width, height, data }: Picture,
  x: number,
  y: number,
  to: Uint8ClampedArray,
  at: number,
): void {
  const left = Math.floor(x);
  const top = Math.floor(y);
  if (left < 0 || top < 0 || left + 1 >= width || top + 1 >= height) {
    to[at + 3] = 255;
    return;
  }
  const right = x - left;
  const below = y - top;
  const first = (top * width + left) * 4;
  const under = first + width * 4;
  const wa = (1 - right) * (1 - below);
  const wb = right * (1 - below);
  const wc = (1 - right) * below;
  const wd = right * below;
  for (let channel = 0; channel < 3; channel += 1) {
    to[at + channel] =
      wa * (data[first + channel] as number) +
      wb * (data[first + 4 + channel] as number) +
      wc * (data[under + channel] as number) +
      wd * (data[under + 4 + channel] as number);
  }
  to[at + 3] = 255;
}

function isConvex(corners: Corners): boolean {
  const turns = corners.map((corner, index) => {
    const next = corners[(index + 1) % 4] as Point;
    const after = corners[(index + 2) % 4] as Point;
    return (next.x - corner.x) * (after.y - next.y) - (next.y - corner.y) * (after.x - next.x);
  });
  return turns.every((turn) => turn > LEAST_TURN) || turns.every((turn) => turn < -LEAST_TURN);
}

/** Square pixels; three corners nearer to one line than this are no corner. */
const LEAST_TURN = 1e-9;

function fromUnitSquare([p, q, r, s]: Corners): Homography {
  const dx1 = q.x - r.x;
  const dx2 = s.x - r.x;
  const dy1 = q.y - r.y;
  const dy2 = s.y - r.y;
  const sx = p.x - q.x + r.x - s.x;
  const sy = p.y - q.y + r.y - s.y;
  const by = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / by;
  const h = (dx1 * sy - sx * dy1) / by;
  return [
    q.x - p.x + g * q.x,
    s.x - p.x + h * s.x,
    p.x,
    q.y - p.y + g * q.y,
    s.y - p.y + h * s.y,
    p.y,
    g,
    h,
    1,
  ];
}

function inverse([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  return normalised([
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ]);
}

function product(m: Homography, n: Homography): Homography {
  const cell = (row: number, column: number): number =>
    [0, 1, 2].reduce((sum, k) => sum + (m[row * 3 + k] as number) * (n[k * 3 + column] as number), 0);
  return [0, 1, 2].flatMap((row) => [0, 1, 2].map((column) => cell(row, column))) as unknown as Homography;
}

function normalised(m: Homography): Homography {
  return m.map((value) => value / m[8]) as unknown as Homography;
}
