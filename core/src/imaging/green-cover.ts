import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { BINS, upperEdge } from './excess-green.ts';

/** The share of an area that plants cover. */
export interface GreenCover {
  /** 0 to 1. */
  readonly share: number;
  /** The share with a threshold one step higher, and one step lower. */
  readonly low: number;
  readonly high: number;
  readonly threshold: number;
  /** Pixels that were counted. */
  readonly pixels: number;
}

/** A threshold is moved by so much excess green to see how far the cover moves. */
export const THRESHOLD_STEP = 0.02;

/** Soil, pot and cloth are near grey in white light: their mean excess green lies between these. */
const GREYISH = [-0.2, 0.1] as const;

/**
 * Green cover from a histogram of excess green: the share of its pixels greener than the threshold.
 * @returns undefined as `no_values` without pixels, `coloured_light` where what is not plant is far from grey
 */
export function greenCover(histogram: ArrayLike<number>, threshold: number): Outcome<GreenCover> {
  let pixels = 0;
  let plain = 0;
  let excess = 0;
  for (let bin = 0; bin < BINS; bin += 1) {
    const count = histogram[bin] as number;
    pixels += count;
    if (upperEdge(bin) > threshold) continue;
    plain += count;
    excess += count * (upperEdge(bin) - 0.5 / 256);
  }
  if (pixels === 0) return notDefined('no_values');
  if (plain > 0 && (excess / plain < GREYISH[0] || excess / plain > GREYISH[1]))
    return notDefined('coloured_light');
  const share = (at: number): number => shareAbove(histogram, at, pixels);
  return defined({
    share: share(threshold),
    low: share(threshold + THRESHOLD_STEP),
    high: share(threshold - THRESHOLD_STEP),
    threshold,
    pixels,
  });
}

function shareAbove(histogram: ArrayLike<number>, threshold: number, pixels: number): number {
  let above = 0;
  for (let bin = BINS - 1; bin >= 0 && upperEdge(bin) > threshold; bin -= 1)
    above += histogram[bin] as number;
  return above / pixels;
}
