import { zipSync } from 'fflate';
import { applyPalette, GIFEncoder, quantize } from 'gifenc';

/** A picture of a film with the name of its file. */
export interface FilmFrame {
  readonly name: string;
  readonly picture: ImageBitmap;
}

/** Told the share that is done, 0 to 1; answers whether to go on. */
export type GoesOn = (share: number) => boolean | Promise<boolean>;

/** Longest side of a GIF in pixels: it is to be sent and shown, not measured. */
const LONGEST = 640;
const COLOURS = 256;

/** A film as a GIF that repeats for ever; undefined when it was stopped. @param pace pictures a second */
export async function gifOf(
  frames: readonly FilmFrame[],
  pace: number,
  goesOn: GoesOn,
): Promise<Blob | undefined> {
  const gif = GIFEncoder();
  for (const [done, { picture }] of frames.entries()) {
    if (!(await goesOn(done / frames.length))) return undefined;
    const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
    const { pen, width, height } = drawn(picture, scale);
    const { data } = pen.getImageData(0, 0, width, height);
    const palette = quantize(data, COLOURS);
    gif.writeFrame(applyPalette(data, palette), width, height, { palette, delay: 1000 / pace });
  }
  gif.finish();
  return new Blob([gif.bytes()], { type: 'image/gif' });
}

/** The pictures of a film as PNGs in a zip; undefined when it was stopped. */
export async function picturesOf(frames: readonly FilmFrame[], goesOn: GoesOn): Promise<Blob | undefined> {
  const files: Record<string, Uint8Array> = {};
  for (const [done, { name, picture }] of frames.entries()) {
    if (!(await goesOn(done / frames.length))) return undefined;
    const png = await drawn(picture, 1).canvas.convertToBlob({ type: 'image/png' });
    files[`${name}.png`] = new Uint8Array(await png.arrayBuffer());
  }
  return new Blob([zipSync(files, { level: 0 })], { type: 'application/zip' });
}

function drawn(picture: ImageBitmap, scale: number) {
  const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale));
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) throw new Error('this browser cannot draw in a worker');
  pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return { canvas, pen, width: canvas.width, height: canvas.height };
}
