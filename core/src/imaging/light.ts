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
/** Below this edges are smeared over several pixels. */
export const BLURRED = 0.02;

const FULL = 254;

/** How an area is lit; it has three pixels across and down at least. */
export function lightOf({ width, data }: Picture, { left, top, width: across, height: down }: Area): Light {
  const at = (x: number, y: number): number => {
    const pixel = (y * width + x) * 4;
    return luma(data[pixel] as number, data[pixel + 1] as number, data[pixel + 2] as number);
  };
  let burnt = 0;
  let sum = 0;
  let squares = 0;
  let edges = 0;
  let edgeSquares = 0;
  let inside = 0;
  for (let y = top; y < top + down; y += 1) {
    for (let x = left; x < left + across; x += 1) {
      const pixel = (y * width + x) * 4;
      const value = at(x, y);
      sum += value;
      squares += value * value;
      if (Math.max(data[pixel] as number, data[pixel + 1] as number, data[pixel + 2] as number) >= FULL)
        burnt += 1;
      if (x === left || y === top || x === left + across - 1 || y === top + down - 1) continue;
      const edge = at(x - 1, y) + at(x + 1, y) + at(x, y - 1) + at(x, y + 1) - 4 * value;
      edges += edge;
      edgeSquares += edge * edge;
      inside += 1;
    }
  }
  const count = across * down;
  const spread = squares / count - (sum / count) ** 2;
  const edgeSpread = edgeSquares / inside - (edges / inside) ** 2;
  return {
    brightness: sum / count,
    burntOut: burnt / count,
    sharpness: spread > 0 ? edgeSpread / spread : 0,
  };
}

/** The light where green can be told in it. @returns undefined as `too_dark`, `too_bright` */
export function usableLight(light: Light): Outcome<Light> {
  if (light.brightness < TOO_DARK) return notDefined('too_dark');
  if (light.burntOut > TOO_BURNT_OUT) return notDefined('too_bright');
  return defined(light);
}
