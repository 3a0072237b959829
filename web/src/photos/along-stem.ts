import {
  angleFromDown,
  LEANS,
  lengthAlong,
  type MeasuredAngle,
  type MeasuredLength,
  type Point,
  type Scale,
  scaleOf,
} from '@bright-sprout/core/imaging';
import { defined, type Outcome } from '@bright-sprout/core/shared';

/** Where marks begin: two on the ruler, then the soil line and the tip. */
export const FIRST_MARKS: readonly number[] = [0.2, 0.85, 0.2, 0.25, 0.5, 0.85, 0.5, 0.35];

/** Marks of the ruler; those after them follow the stem from the soil up. */
export const RULER_MARKS = 2;

/** So far from the ruler's lower mark, as a share of the ruler, the soil line may be before both are doubted. */
const SAME_GROUND = 0.15;

/** A length along a stem or a root, with what is doubtful about how the photo was taken. */
export interface StemLength extends MeasuredLength {
  readonly scale: Scale;
  readonly rulerLeans: boolean;
  /** The ruler's lower mark and the soil line are not level, so one may stand nearer to the camera. */
  readonly isUneven: boolean;
}

/** Size in pixels of a photo. */
interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * The length along a stem, or along a root.
 * @param marks x and y as shares of width and height: two on the ruler, then along the stem from the soil line
 * @param apartMm real distance of the ruler's two marks
 */
export function stemLength(marks: readonly number[], size: Size, apartMm: number): Outcome<StemLength> {
  const points = pointsOf(marks, size);
  const [first, second, soil] = points as [Point, Point, Point];
  const scale = scaleOf(first, second, apartMm);
  if (!scale.defined) return scale;
  const length = lengthAlong(points.slice(RULER_MARKS), scale.value);
  if (!length.defined) return length;
  const ground = Math.max(first.y, second.y);
  return defined({
    ...length.value,
    scale: scale.value,
    rulerLeans: scale.value.tilt > LEANS,
    isUneven: Math.abs(soil.y - ground) > SAME_GROUND * scale.value.pixels,
  });
}

/**
 * The direction of a root, from straight down in the photo.
 * @param marks x and y as shares of width and height, from where the root leaves the seed to its tip
 */
export function rootDirection(marks: readonly number[], size: Size): Outcome<MeasuredAngle> {
  return angleFromDown(pointsOf(marks, size));
}

function pointsOf(marks: readonly number[], { width, height }: Size): Point[] {
  return Array.from({ length: marks.length / 2 }, (_, index) => ({
    x: (marks[2 * index] as number) * width,
    y: (marks[2 * index + 1] as number) * height,
  }));
}
