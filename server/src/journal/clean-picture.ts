import { MOST_PICTURE_BYTES } from '@bright-sprout/contract/journal';
import sharp from 'sharp';
import { ApiError } from '../shared/index.ts';

const LONGEST_SIDE = 1600;
const MOST_PIXELS = 24_000_000;
const QUALITY = 82;

/**
 * Reads a picture as base64 and draws it anew as a JPEG: upright, on white, 1600 pixels at most, and without
 * place, device or any other metadata. What is not a picture, or hides something behind one, does not survive.
 * @throws ApiError `not_a_picture`, `too_large`
 */
export async function cleanPicture(base64: string): Promise<Buffer> {
  const bytes = Buffer.from(base64, 'base64');
  if (bytes.length > MOST_PICTURE_BYTES) {
    throw new ApiError('too_large', 'This picture is too large. Take it again, smaller.');
  }
  try {
    return await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .flatten({ background: '#ffffff' })
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: QUALITY })
      .toBuffer();
  } catch {
    throw new ApiError(
      'not_a_picture',
      'This is not a picture that can be shown. Choose a JPEG, PNG or WebP.',
    );
  }
}
