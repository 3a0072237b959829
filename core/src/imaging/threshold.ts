import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { BINS, upperEdge } from './excess-green.ts';

/** A threshold of excess green, and the means of what lies on its two sides. */
export interface Threshold {
  /** Greener than this is plant. */
  readonly at: number;
  /** Mean step of what is not plant, and of what is. */
  readonly means: readonly [number, number];
}

/** Two kinds of pixels differ by so many steps (0.08) at least. */
const LEAST_APART = 20;

/** Between two humps the histogram falls to at most this share of the lower one. */
const VALLEY = 0.5;

/** SD in steps of the bell by which a histogram is smoothed before humps are looked for. */
const SMOOTHING = 4;

/** A hump of fewer pixels than this is dust or noise. */
const LEAST_PIXELS = 30;

/**
 * The threshold that parts a histogram so that the variance between its two sides is largest (Otsu 1979).
 * @param histogram pixels a step, {@link BINS} of them
 * @returns undefined as `no_two_humps` where it parts one hump only: then there is no plant, nothing but plant, or no
 * difference that could be told
 */
export function otsuThreshold(histogram: ArrayLike<number>): Outcome<Threshold> {
  const split = otsu(histogram);
  if (split === undefined) return notDefined('no_two_humps');
  const { bin, means, below, above } = split;
  const isTold =
    means[1] - means[0] >= LEAST_APART &&
    Math.min(below, above) >= LEAST_PIXELS &&
    hasValley(smoothed(histogram), means);
  return isTold ? defined({ at: upperEdge(bin), means }) : notDefined('no_two_humps');
}

interface Split {
  readonly bin: number;
  readonly means: readonly [number, number];
  readonly below: number;
  readonly above: number;
}

/** The last step of the lower side; undefined where all pixels have one step. */
function otsu(histogram: ArrayLike<number>): Split | undefined {
  let total = 0;
  let sum = 0;
  for (let bin = 0; bin < BINS; bin += 1) {
    total += histogram[bin] as number;
    sum += bin * (histogram[bin] as number);
  }
  let below = 0;
  let sumBelow = 0;
  let largest = 0;
  let best: Split | undefined;
  for (let bin = 0; bin < BINS - 1; bin += 1) {
    below += histogram[bin] as number;
    sumBelow += bin * (histogram[bin] as number);
    const above = total - below;
    if (below === 0 || above === 0) continue;
    const means = [sumBelow / below, (sum - sumBelow) / above] as const;
    const between = below * above * (means[1] - means[0]) ** 2;
    if (between <= largest) continue;
    largest = between;
    best = { bin, means, below, above };
  }
  return best;
}

function hasValley(curve: Float64Array, [low, high]: readonly [number, number]): boolean {
  const [from, to] = [Math.round(low), Math.round(high)];
  let valley = from;
  for (let bin = from; bin <= to; bin += 1)
    if ((curve[bin] as number) < (curve[valley] as number)) valley = bin;
  const highest = (start: number, end: number): number => {
    let most = 0;
    for (let bin = start; bin < end; bin += 1) most = Math.max(most, curve[bin] as number);
    return most;
  };
  return (
    (curve[valley] as number) <= VALLEY * Math.min(highest(0, valley), highest(valley + 1, curve.length))
  );
}

function smoothed(histogram: ArrayLike<number>): Float64Array {
  const reach = 3 * SMOOTHING;
  const weights = Array.from({ length: 2 * reach + 1 }, (_, index) =>
    Math.exp(-(((index - reach) / SMOOTHING) ** 2) / 2),
  );
  const curve = new Float64Array(BINS);
  for (let bin = 0; bin < BINS; bin += 1) {
    let sum = 0;
    for (let offset = -reach; offset <= reach; offset += 1)
      sum += (weights[offset + reach] as number) * (histogram[bin + offset] ?? 0);
    curve[bin] = sum;
  }
  return curve;
}
