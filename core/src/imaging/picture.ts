/** Pixels as a canvas has them: red, green, blue and opacity of each, row by row from the top left, 0 to 255. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** A point of a picture in pixels, from its top left corner. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A part of a picture, its sides along the picture's. */
export interface Area {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** A black picture. */
export function emptyPicture(width: number, height: number): Picture {
  return { width, height, data: new Uint8ClampedArray(width * height * 4) };
}

/** Luma of a pixel from 0 to 255 (ITU-R BT.601). */
export function luma(red: number, green: number, blue: number): number {
  return 0.299 * red + 0.587 * green + 0.114 * blue;
}
