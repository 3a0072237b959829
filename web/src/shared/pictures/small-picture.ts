import { COLOURS } from '../ui/tokens.ts';
import { type Label, placeLabels, wordX } from './place-labels.ts';

const LONGEST_SIDE = 1280;
const QUALITY = 0.8;

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
  return base64Of(canvas, 'image/jpeg');
}

/** A picture in base64 as an image shows it: drawings are PNG, photos JPEG. */
export function pictureAddress(picture: string): string {
  return `data:image/${picture.startsWith(PNG) ? 'png' : 'jpeg'};base64,${picture}`;
}

/** How every PNG begins, in base64. */
const PNG = 'iVBORw0KGgo';

/** Writes labels with their arrows onto a drawing, given and taken as PNG in base64. */
export async function labelledPicture(picture: string, labels: readonly Label[]): Promise<string> {
  const image = new Image();
  image.src = pictureAddress(picture);
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
  for (const label of placeLabels(labels)) {
    const { word, side, wordY } = label;
    const tip = { x: label.x * canvas.width, y: label.y * canvas.height };
    const middle = { x: wordX(label) * canvas.width, y: wordY * canvas.height };
    const width = pen.measureText(word).width + size;
    const edge = middle.x + (side === 'left' ? width / 2 : -width / 2);
    drawArrow(pen, { x: edge, y: middle.y }, tip, size / 2);
    pen.fillStyle = COLOURS.amberWash;
    pen.fillRect(middle.x - width / 2, middle.y - size * 0.8, width, size * 1.6);
    pen.fillStyle = COLOURS.ink;
    pen.fillText(word, middle.x - width / 2 + size / 2, middle.y);
  }
  return base64Of(canvas, 'image/png');
}

interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A straight arrow, as on a labelled drawing in a book. */
function drawArrow(pen: CanvasRenderingContext2D, from: Spot, to: Spot, head: number): void {
  const angle = Math.atan2(to.y - from.y, to.x - from.x);
  pen.strokeStyle = COLOURS.ink;
  pen.lineWidth = head / 4;
  pen.beginPath();
  pen.moveTo(from.x, from.y);
  pen.lineTo(to.x, to.y);
  for (const turn of [-0.5, 0.5]) {
    pen.moveTo(to.x, to.y);
    pen.lineTo(to.x - head * Math.cos(angle + turn), to.y - head * Math.sin(angle + turn));
  }
  pen.stroke();
}

function base64Of(canvas: HTMLCanvasElement, type: 'image/jpeg' | 'image/png'): string {
  return canvas.toDataURL(type, QUALITY).split(',')[1] ?? '';
}
