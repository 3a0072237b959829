import { say } from '@bright-sprout/words/refusals';
import { MOST_PICTURE_BYTES } from '@bright-sprout/core/shared';
import pLimit from 'p-limit';
import sharp, { type Sharp } from 'sharp';
import { ApiError } from '../shared/index.ts';
import { isPlainJpeg } from './plain-jpeg.ts';

const LONGEST_SIDE = 1600;
const MOST_PIXELS = 24_000_000;
const QUALITY = 82;
const MOST_SECONDS = 8;
const USUAL_LIMITS = { longest: LONGEST_SIDE, most: MOST_PICTURE_BYTES };

/** Twice what a strip of days shows. */
const SMALL_WIDTH = 240;

/** Pictures drawn at once: each takes a thread that passwords and files need too. */
const AT_ONCE = pLimit(2);
const MOST_WAITING = 100;

// What else the library can read, text and vector drawings above all, can be made to take minutes.
sharp.block({ operation: ['VipsForeignLoad'] });
sharp.unblock({
  operation: ['VipsForeignLoadJpegBuffer', 'VipsForeignLoadPngBuffer', 'VipsForeignLoadWebpBuffer'],
});
sharp.concurrency(1);
sharp.cache(false);

/** What the first bytes of a file say it is. */
export function pictureKind(bytes: Uint8Array): 'jpeg' | 'png' | 'webp' | 'heic' | 'other' {
  const text = Buffer.from(bytes.subarray(0, 16)).toString('latin1');
  if (text.startsWith('\xFF\xD8\xFF')) return 'jpeg';
  if (text.startsWith('\x89PNG\r\n\x1A\n')) return 'png';
  if (text.startsWith('RIFF') && text.slice(8, 12) === 'WEBP') return 'webp';
  return /^....ftyp(heic|heix|hevc|hevx|heim|heis|mif1|msf1|avif)/s.test(text) ? 'heic' : 'other';
}

/** The media type of a picture that was drawn anew. */
export function mediaTypeOf(picture: Uint8Array): 'image/jpeg' | 'image/png' {
  return pictureKind(picture) === 'png' ? 'image/png' : 'image/jpeg';
}

/** Width and height of a picture that was drawn anew. */
export async function sizeOf(picture: Uint8Array): Promise<{ width: number; height: number }> {
  const { width, height } = await sharp(picture).metadata();
  return { width, height };
}

/** A picture that was drawn anew before, small enough to stand in a row of others. */
export function smallOf(picture: Buffer): Promise<Buffer> {
  return AT_ONCE(() => sharp(picture).resize({ width: SMALL_WIDTH }).jpeg({ quality: QUALITY }).toBuffer());
}

/** A JPEG of pixels of three bytes each. */
export function pictureOf({
  width,
  height,
  pixels,
}: {
  width: number;
  height: number;
  pixels: Uint8Array;
}): Promise<Buffer> {
  return sharp(pixels, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: QUALITY })
    .toBuffer();
}

/**
 * Draws a picture anew as a JPEG: upright, on white, of a longest side at most, and without place, device or any other
 * metadata. Only JPEG, PNG and WebP by their bytes are read, two at a time, none of more than 24 million pixels or for
 * more than 8 seconds. What is not a picture, or hides something behind one, does not survive.
 * @throws ApiError `not_a_picture`, `too_large`, `too_busy`
 */
export async function cleanPicture(bytes: Uint8Array, limits = USUAL_LIMITS): Promise<Buffer> {
  return drawnAnew(bytes, limits, (image) => image.jpeg({ quality: QUALITY }));
}

/**
 * Draws a drawing anew, as {@link cleanPicture} does, as a PNG of up to 256 colours.
 * @throws ApiError `not_a_picture`, `too_large`, `too_busy`
 */
export async function cleanDrawing(bytes: Uint8Array): Promise<Buffer> {
  return drawnAnew(bytes, USUAL_LIMITS, (image) => image.png({ palette: true }));
}

async function drawnAnew(
  bytes: Uint8Array,
  { longest, most }: typeof USUAL_LIMITS,
  pack: (image: Sharp) => Sharp,
): Promise<Buffer> {
  if (bytes.length > most) {
    throw new ApiError('too_large', say('thisPictureIsTooLargeTakeIt'));
  }
  const kind = pictureKind(bytes);
  if (kind === 'heic') {
    throw new ApiError('not_a_picture', say('thisIsAHeicPictureWhichFew'));
  }
  if (kind === 'other') throw notAPicture();
  if (AT_ONCE.pendingCount > MOST_WAITING) {
    throw new ApiError('too_busy', say('manyPicturesArriveAtOnceWaitA'));
  }
  return AT_ONCE(() =>
    pack(
      sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error', pages: 1 })
        .timeout({ seconds: MOST_SECONDS })
        .rotate()
        .flatten({ background: '#ffffff' })
        .resize({ width: longest, height: longest, fit: 'inside', withoutEnlargement: true }),
    )
      .toBuffer()
      .catch(() => {
        throw notAPicture();
      }),
  );
}

/**
 * A picture that was drawn anew before, byte for byte; any other is drawn anew, a PNG as a drawing. It is decoded whole
 * either way.
 * @throws ApiError `not_a_picture`, `too_large`, `too_busy`
 */
export async function sameOrCleanPicture(bytes: Buffer, limits = USUAL_LIMITS): Promise<Buffer> {
  if (mediaTypeOf(bytes) === 'image/png') return cleanDrawing(bytes);
  const clean = await cleanPicture(bytes, limits);
  if (!isPlainJpeg(bytes)) return clean;
  const { width, height } = await sizeOf(bytes);
  return Math.max(width, height) <= limits.longest ? bytes : clean;
}

function notAPicture(): ApiError {
  return new ApiError('not_a_picture', say('thisIsNotAPictureThatCan'));
}
