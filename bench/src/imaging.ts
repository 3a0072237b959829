import {
  type Corners,
  emptyPicture,
  greenCover,
  greenHistogram,
  greenMap,
  MARGIN,
  otsuThreshold,
  type Picture,
  placeArea,
  pooled,
  rectifiedSize,
  rectify,
} from '@bright-sprout/core/imaging';
import { median } from './timing.ts';

const GRID = { rows: 3, columns: 4 };
const SIZE = { width: 4000, height: 3000 };
const CORNERS: Corners = [
  { x: 380, y: 300 },
  { x: 3700, y: 260 },
  { x: 3800, y: 2750 },
  { x: 250, y: 2700 },
];
const ROUNDS = 9;

/** A photo of 12 megapixels and 12 places, measured. */
export interface ImagingBench {
  readonly megapixels: number;
  /** Straightened, mapped, parted by Otsu and counted, ms. */
  readonly measureMs: number;
  /** One plain pass over its bytes, ms. */
  readonly passMs: number;
  readonly ratio: number;
}

/** Measures a large photo and passes over its bytes, turn by turn. */
export function measurePhoto(): ImagingBench {
  const picture = noisy();
  const measured: number[] = [];
  const passed: number[] = [];
  for (let round = 0; round <= ROUNDS; round += 1) {
    const [measureMs, passMs] = [timed(() => measureOnce(picture)), timed(() => pass(picture))];
    // The first is not compiled yet.
    if (round === 0) continue;
    measured.push(measureMs);
    passed.push(passMs);
  }
  const [measureMs, passMs] = [median(measured), median(passed)];
  return {
    megapixels: (SIZE.width * SIZE.height) / 1e6,
    measureMs,
    passMs,
    ratio: measureMs / passMs,
  };
}

function measureOnce(picture: Picture): number {
  const flat = rectify(picture, CORNERS, rectifiedSize(GRID));
  if (!flat.defined) throw new Error(flat.reason);
  const map = greenMap(flat.value);
  const histograms = Array.from({ length: GRID.rows * GRID.columns }, (_, index) =>
    greenHistogram(
      map,
      placeArea(
        flat.value,
        GRID,
        { row: Math.floor(index / GRID.columns) + 1, column: (index % GRID.columns) + 1 },
        MARGIN,
      ),
    ),
  );
  const threshold = otsuThreshold(pooled(histograms));
  const at = threshold.defined ? threshold.value.at : 0.2;
  return histograms.filter((histogram) => greenCover(histogram, at).defined).length;
}

function pass({ data }: Picture): number {
  let sum = 0;
  for (const value of data) sum += value;
  return sum;
}

function timed(act: () => number): number {
  const begun = performance.now();
  if (act() < 0) throw new Error('the work was not done');
  return performance.now() - begun;
}

function noisy(): Picture {
  const picture = emptyPicture(SIZE.width, SIZE.height);
  let state = 1;
  for (let at = 0; at < picture.data.length; at += 4) {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    const [red, green, blue] = state >>> 28 < 6 ? [74, 128, 48] : [104, 80, 62];
    const noise = (state >>> 20) % 16;
    picture.data.set([red + noise, green + noise, blue + noise, 255], at);
  }
  return picture;
}
