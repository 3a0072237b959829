import type { Area, Picture } from './picture.ts';

/** Steps of excess green that a histogram tells apart: each 1/256 wide, from −1 to 2. */
export const BINS = 768;
const LOWEST = -1;
const BINS_A_UNIT = 256;

/** Red, green and blue together below which a colour is noise; such a pixel counts as grey. */
const DARK_SUM = 30;
const GREY_BIN = binOf(0);

/** The excess green of each pixel as a step of the histogram; brushed out where it is {@link LEFT_OUT}. */
export interface GreenMap {
  readonly width: number;
  readonly height: number;
  readonly bins: Uint16Array;
}

/** In place of a step: this pixel was brushed out. */
export const LEFT_OUT = 0xffff;

/**
 * Excess green of a pixel: 2g − r − b on chromatic coordinates (Woebbecke et al. 1995), −1 to 2. Grey is 0; so is
 * what is nearly black, as it has no colour that could be told.
 */
export function excessGreen(red: number, green: number, blue: number): number {
  const sum = red + green + blue;
  return sum < DARK_SUM ? 0 : (3 * green) / sum - 1;
}

/** The step of an excess green. */
export function binOf(excess: number): number {
  return Math.min(BINS - 1, Math.max(0, Math.floor((excess - LOWEST) * BINS_A_UNIT)));
}

/** The excess green at the upper end of a step. */
export function upperEdge(bin: number): number {
  return LOWEST + (bin + 1) / BINS_A_UNIT;
}

/** What makes a patch of a picture grey: factors of red, green and blue. */
export type Gains = readonly [number, number, number];

/**
 * The excess green of each pixel.
 * @param gains evens out coloured light, from a grey patch in the picture
 */
export function greenMap({ width, height, data }: Picture, gains: Gains = [1, 1, 1]): GreenMap {
  const bins = new Uint16Array(width * height);
  const [r, g, b] = gains;
  for (let pixel = 0, at = 0; pixel < bins.length; pixel += 1, at += 4) {
    const red = r * (data[at] as number);
    const green = g * (data[at + 1] as number);
    const blue = b * (data[at + 2] as number);
    const sum = red + green + blue;
    bins[pixel] = sum < DARK_SUM ? GREY_BIN : Math.min(BINS - 1, Math.floor((3 * BINS_A_UNIT * green) / sum));
  }
  return { width, height, bins };
}

/** The factors that make the mean of an area grey; none for a black one. */
export function gainsOf({ width, data }: Picture, { left, top, width: across, height: down }: Area): Gains {
  const sums = [0, 0, 0];
  for (let y = top; y < top + down; y += 1) {
    for (let x = left; x < left + across; x += 1) {
      for (let channel = 0; channel < 3; channel += 1)
        sums[channel] = (sums[channel] as number) + (data[(y * width + x) * 4 + channel] as number);
    }
  }
  const mean = sums.reduce((sum, one) => sum + one, 0) / 3;
  return sums.map((sum) => (sum === 0 ? 1 : mean / sum)) as unknown as Gains;
}

/** How many pixels of an area have each step; brushed-out ones are not counted. */
export function greenHistogram({ width, bins }: GreenMap, area: Area): Uint32Array {
  const counts = new Uint32Array(BINS);
  for (let y = area.top; y < area.top + area.height; y += 1) {
    const row = y * width;
    for (let x = area.left; x < area.left + area.width; x += 1) {
      const bin = bins[row + x] as number;
      if (bin !== LEFT_OUT) counts[bin] = (counts[bin] as number) + 1;
    }
  }
  return counts;
}

/** Histograms added up: one threshold for several places or days. */
export function pooled(histograms: readonly Uint32Array[]): Uint32Array {
  const counts = new Uint32Array(BINS);
  for (const histogram of histograms) {
    for (let bin = 0; bin < BINS; bin += 1)
      counts[bin] = (counts[bin] as number) + (histogram[bin] as number);
  }
  return counts;
}
