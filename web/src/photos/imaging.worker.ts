import {
  type Corners,
  foreshortening,
  gainsOf,
  greenHistogram,
  greenMap,
  type Light,
  lightOf,
  MARGIN,
  edgeReach,
  LEFT_OUT,
  leaveOut,
  placeArea,
  type PlaceGrid,
  type RealSize,
  rectifiedSize,
  rectify,
  type Stroke,
  upperEdge,
  usableLight,
} from '@bright-sprout/core/imaging';
import { defined, MOST_PHOTO_BYTES, type Outcome } from '@bright-sprout/core/shared';
import { expose, transfer } from 'comlink';
import { type FilmFrame, gifOf, type GoesOn, picturesOf } from './film-file.ts';

/** Where the container is in a photo, in shares of its width and height. */
export interface Frame {
  readonly corners: readonly number[];
  readonly greyPatch: readonly number[] | null;
  /** Strokes over the straightened container that leave out what is under them. */
  readonly leftOut: readonly Stroke[];
  readonly size: RealSize | null;
}

/** What was seen of a container: enough to measure it with any threshold. */
export interface Look {
  readonly light: Light;
  readonly foreshortening: number;
  /** Excess green of each place, row by row. */
  readonly histograms: readonly Uint32Array[];
}

/** Longest side of a photo that is sent, in pixels; the server keeps no more. */
const LONGEST_SIDE = 3200;

/** Share of colour that is left of what is not plant. */
const PALE = 0.25;

/** What a brush left out: a blue that no plant and no soil has. */
const LEFT_OUT_COLOUR = [120, 150, 215] as const;

/** Photos are read, straightened and counted here, off the page's own thread. */
const imaging = {
  /** A photo made small enough to be sent, as JPEG and upright; as it is where it cannot be read here. */
  async shrink(photo: Blob): Promise<Blob> {
    const image = await createImageBitmap(photo).catch(() => undefined);
    if (!image) return photo;
    const scale = Math.min(1, LONGEST_SIDE / Math.max(image.width, image.height));
    if (scale === 1 && photo.size < MOST_PHOTO_BYTES) return photo;
    const canvas = new OffscreenCanvas(Math.round(image.width * scale), Math.round(image.height * scale));
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    image.close();
    return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.88 });
  },

  async look(photo: Blob, frame: Frame, grid: PlaceGrid): Promise<Outcome<Look>> {
    const seen = await straightened(photo, frame, grid);
    if (!seen.defined) return seen;
    const { flat, gains, corners } = seen.value;
    const whole = { left: 0, top: 0, width: flat.width, height: flat.height };
    const light = usableLight(lightOf(flat, whole, edgeReach(flat, grid)));
    if (!light.defined) return light;
    const map = greenMap(flat, gains);
    leaveOut(map, frame.leftOut);
    const histograms = placesOf(grid).map((place) =>
      greenHistogram(map, placeArea(flat, grid, place, MARGIN)),
    );
    return defined({ light: light.value, foreshortening: foreshortening(corners), histograms });
  },

  /** The container from straight above; with a threshold, what does not count as plant is grey. */
  async draw(
    photo: Blob,
    frame: Frame,
    grid: PlaceGrid,
    threshold: number | null,
  ): Promise<Outcome<ImageBitmap>> {
    const seen = await straightened(photo, frame, grid);
    if (!seen.defined) return seen;
    const { flat, gains } = seen.value;
    if (threshold !== null) {
      const map = greenMap(flat, gains);
      leaveOut(map, frame.leftOut);
      const { data } = flat;
      map.bins.forEach((bin, pixel) => {
        const at = pixel * 4;
        if (bin === LEFT_OUT) data.set(LEFT_OUT_COLOUR, at);
        if (bin === LEFT_OUT || upperEdge(bin) > threshold) return;
        const grey = ((data[at] as number) + (data[at + 1] as number) + (data[at + 2] as number)) / 3;
        const pale = 255 - PALE * (255 - grey);
        data.fill(pale, at, at + 3);
      });
    }
    const pixels = new ImageData(flat.data as Uint8ClampedArray<ArrayBuffer>, flat.width, flat.height);
    const bitmap = await createImageBitmap(pixels);
    return transfer(defined(bitmap), [bitmap]);
  },

  /** A film as a file; undefined when it was stopped. The pictures are used up. */
  async film(
    kind: 'gif' | 'zip',
    frames: readonly FilmFrame[],
    pace: number,
    goesOn: GoesOn,
  ): Promise<Blob | undefined> {
    try {
      return await (kind === 'gif' ? gifOf(frames, pace, goesOn) : picturesOf(frames, goesOn));
    } finally {
      for (const { picture } of frames) picture.close();
    }
  },
};

/** What the page asks of the worker. */
export type Imaging = typeof imaging;

async function straightened(photo: Blob, { corners: shares, greyPatch, size }: Frame, grid: PlaceGrid) {
  const image = await createImageBitmap(photo);
  const canvas = new OffscreenCanvas(image.width, image.height);
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) throw new Error('this browser cannot read pictures in a worker');
  pen.drawImage(image, 0, 0);
  const { width, height } = image;
  image.close();
  const picture = pen.getImageData(0, 0, width, height);
  const at = (index: number) => ({
    x: (shares[2 * index] as number) * width,
    y: (shares[2 * index + 1] as number) * height,
  });
  const corners: Corners = [at(0), at(1), at(2), at(3)];
  const flat = rectify(picture, corners, rectifiedSize(grid, size));
  if (!flat.defined) return flat;
  const [left = 0, top = 0, across = 0, down = 0] = greyPatch ?? [];
  const patch = {
    left: Math.floor(left * width),
    top: Math.floor(top * height),
    width: Math.floor(across * width),
    height: Math.floor(down * height),
  };
  const gains = greyPatch ? gainsOf(picture, patch) : ([1, 1, 1] as const);
  return defined({ flat: flat.value, gains, corners });
}

function placesOf({ rows, columns }: PlaceGrid): { row: number; column: number }[] {
  return Array.from({ length: rows * columns }, (_, index) => ({
    row: Math.floor(index / columns) + 1,
    column: (index % columns) + 1,
  }));
}

expose(imaging);
