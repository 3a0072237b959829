import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { distance } from './perspective.ts';
import type { Point } from './picture.ts';

/** Millimetres a pixel, from two marks on a ruler. */
export interface Scale {
  readonly mmPerPixel: number;
  /** Distance of the marks in pixels. */
  readonly pixels: number;
  /** How far the ruler leans from upright, in degrees. */
  readonly tilt: number;
}

/** A length in mm, and its standard deviation from picking each point a pixel off. */
export interface MeasuredLength {
  readonly mm: number;
  readonly sdMm: number;
}

/** Picking a point misses it by so many pixels across and down (standard deviation). */
export const PICK_SD = 1;

/** Two marks nearer than this tell no scale. */
const LEAST_PIXELS = 20;

/** A ruler that leans more than this is said to. */
export const LEANS = 5;

/** The scale of a picture from two marks on a ruler. @returns undefined as `marks_too_close` */
export function scaleOf(first: Point, second: Point, apartMm: number): Outcome<Scale> {
  const pixels = distance(first, second);
  if (pixels < LEAST_PIXELS || apartMm <= 0) return notDefined('marks_too_close');
  const across = Math.abs(second.x - first.x);
  const down = Math.abs(second.y - first.y);
  return defined({
    mmPerPixel: apartMm / pixels,
    pixels,
    tilt: (Math.atan2(across, down) * 180) / Math.PI,
  });
}

/**
 * The length along points from the soil line to the tip. Its error is carried from the error of each point, and from
 * that of the two marks of the scale (first-order propagation).
 * @returns undefined as `too_few_points` with fewer than two
 */
export function lengthAlong(points: readonly Point[], scale: Scale): Outcome<MeasuredLength> {
  if (points.length < 2) return notDefined('too_few_points');
  const legs = points.slice(1).map((point, index) => {
    const from = points[index] as Point;
    const pixels = distance(from, point);
    return { pixels, x: ratio(point.x - from.x, pixels), y: ratio(point.y - from.y, pixels) };
  });
  const pixels = legs.reduce((sum, leg) => sum + leg.pixels, 0);
  const none = { x: 0, y: 0 };
  const variance = points.reduce((sum, _, index) => {
    const before = legs[index - 1] ?? none;
    const after = legs[index] ?? none;
    return sum + (before.x - after.x) ** 2 + (before.y - after.y) ** 2;
  }, 0);
  const ofScale = 2 * (pixels / scale.pixels) ** 2;
  return defined({
    mm: pixels * scale.mmPerPixel,
    sdMm: PICK_SD * scale.mmPerPixel * Math.sqrt(variance + ofScale),
  });
}

/** A direction in degrees, and its standard deviation from picking both ends a pixel off. */
export interface MeasuredAngle {
  readonly degrees: number;
  readonly sdDegrees: number;
}

/**
 * Angle of a line from its first to its last point to straight down; 0 down, 90 sideways, 180 up.
 * @returns undefined as `too_few_points` where both are one
 */
export function angleFromDown(points: readonly Point[]): Outcome<MeasuredAngle> {
  const [first] = points;
  const last = points.at(-1);
  if (!first || !last || distance(first, last) === 0) return notDefined('too_few_points');
  const degrees = (Math.atan2(Math.abs(last.x - first.x), last.y - first.y) * 180) / Math.PI;
  const sdDegrees = (((PICK_SD * Math.SQRT2) / distance(first, last)) * 180) / Math.PI;
  return defined({ degrees, sdDegrees });
}

function ratio(part: number, whole: number): number {
  return whole === 0 ? 0 : part / whole;
}
