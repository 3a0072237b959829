declare module 'gifenc' {
  type Palette = readonly (readonly [number, number, number])[];

  /** Writes frames one after the other. */
  export function GIFEncoder(): {
    writeFrame(
      index: Uint8Array,
      width: number,
      height: number,
      options: { palette: Palette; delay: number },
    ): void;
    finish(): void;
    bytes(): Uint8Array<ArrayBuffer>;
  };
  /** Up to `most` colours that stand for those of RGBA pixels. */
  export function quantize(pixels: Uint8ClampedArray, most: number): Palette;
  export function applyPalette(pixels: Uint8ClampedArray, palette: Palette): Uint8Array;
}
