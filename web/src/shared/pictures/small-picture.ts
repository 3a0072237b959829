import { COLOURS } from '../ui/tokens.ts';
const LONGEST_SIDE = 1280;
const QUALITY = 0.8;

/** A label on a drawing, in shares of its width and height. */
export interface Label {
  readonly word: string;
  readonly x: number;
  readonly y: number;
}

/**
 * Draws a picture anew at 1280 pixels at most, as JPEG in base64. The new picture has no place, time or device in it.
 * @throws Error in words when the file is not a picture
 */
export async function smallPicture(file: Blob): Promise<string> {
  const image = await createImageBitmap(file).catch(() => undefined);
  if (!image) throw new Error('This file is not a picture. Choose a photo.');
  const scale = Math.min(1, LONGEST_SIDE / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.width * scale));
  canvas.height = Math.max(1, Math.round(image.height * scale));
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This device cannot draw pictures.');
  pen.fillStyle = COLOURS.white;
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(image, 0, 0, canvas.width, canvas.height);
  image.close();
  return base64Of(canvas);
}

/** Writes labels onto a drawing, given and taken as JPEG in base64. */
export async function labelledPicture(picture: string, labels: readonly Label[]): Promise<string> {
  const image = new Image();
  image.src = `data:image/jpeg;base64,${picture}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = image.naturalWidth;
  canvas.height = image.naturalHeight;
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This device cannot draw pictures.');
  pen.drawImage(image, 0, 0);
  const size = Math.round(canvas.width / 32);
  pen.font = `600 ${size}px "Atkinson Hyperlegible Next Variable", sans-serif`;
  pen.textBaseline = 'middle';
  for (const { word, x, y } of labels) {
    const width = pen.measureText(word).width + size;
    pen.fillStyle = COLOURS.amberWash;
    pen.fillRect(x * canvas.width - width / 2, y * canvas.height - size * 0.8, width, size * 1.6);
    pen.fillStyle = COLOURS.ink;
    pen.fillText(word, x * canvas.width - width / 2 + size / 2, y * canvas.height);
  }
  return base64Of(canvas);
}

function base64Of(canvas: HTMLCanvasElement): string {
  return canvas.toDataURL('image/jpeg', QUALITY).split(',')[1] ?? '';
}
