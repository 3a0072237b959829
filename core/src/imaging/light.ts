import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { type Area, luma, type Picture } from './picture.ts';

/** How an area of a picture is lit, and how sharp it is. */
export interface Light {
  /** Mean luma, 0 to 255. */
  readonly brightness: number;
  /** Share of pixels of which a colour is at its end, so that its excess green cannot be told. */
  readonly burntOut: number;
  /** Variance of the Laplacian of luma by the variance of luma (after Pech-Pacheco et al. 2000). */
  readonly sharpness: number;
}

/** Darker on average than this, noise is as large as colour. */
export const TOO_DARK = 40;
/** More than this share burnt out, and green is white. */
export const TOO_BURNT_OUT = 0.2;
/** Below this edges are smeared over some 5 % of a place, and cover comes out 1 to 5 points too large. */
export const BLURRED = 0.06;

const FULL = 254;

/**
 * How an area is lit.
 * @param reach pixels between a point and its neighbours in the Laplacian: the size of edge that is looked for
 */
export function lightOf({ width, data }: Picture, area: Area, reach = 1): Light {
  const right = area.left + area.width;
  const bottom = area.top + area.height;
  const at = (x: number, y: number): number => {
    const pixel = (y * width + x) * 4;
    return luma(data[pixel] as number, data[pixel + 1] as number, data[pixel + 2] as number);
  };
  const values = new Moments();
  const edges = new Moments();
  let burnt = 0;
  for (let y = area.top; y < bottom; y += 1) {
    for (let x = area.left; x < right; x += 1) {
      const pixel = (y * width + x) * 4;
      const value = at(x, y);
      values.add(value);
      if (Math.max(data[pixel] as number, data[pixel + 1] as number, data[pixel + 2] as number) >= FULL)
        burnt += 1;
      const isInside =
        x - reach >= area.left && x + reach < right && y - reach >= area.top && y + reach < bottom;
      if (isInside)
        edges.add(at(x - reach, y) + at(x + reach, y) + at(x, y - reach) + at(x, y + reach) - 4 * value);
    }
  }
  return {
    brightness: values.mean,
    burntOut: burnt / (area.width * area.height),
    sharpness: values.variance > 0 ? edges.variance / values.variance : 0,
  };
}

class Moments {
  #count = 0;
  #sum = 0;
  #squares = 0;

  add(value: number): void {
    this.#count += 1;
    this.#sum += value;
    this.#squares += value * value;
  }

  get mean(): number {
    return this.#count === 0 ? 0 : this.#sum / this.#count;
  }

  get variance(): number {
    return this.#count === 0 ? 0 : this.#squares / this.#count - this.mean ** 2;
  }
}

/** The light where green can be told in it. @returns undefined as `too_dark`, `too_bright` */
export function usableLight(light: Light): Outcome<Light> {
  if (light.brightness < TOO_DARK) return notDefined('too_dark');
  if (light.burntOut > TOO_BURNT_OUT) return notDefined('too_bright');
  return defined(light);
}
