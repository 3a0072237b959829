const SOI = 0xd8;
const EOI = 0xd9;
const SOS = 0xda;
const JFIF = 0xe0;

/** Tables, frames and restart intervals: what a picture is drawn from. Text, places and colour profiles are others. */
const DRAWING: readonly number[] = [0xc0, 0xc1, 0xc2, 0xc4, 0xdb, 0xdd, SOS];

/**
 * True of a JPEG of pixels alone (ITU-T T.81, Annex B): no metadata, no preview, no comment, and nothing after its end.
 */
export function isPlainJpeg(bytes: Uint8Array): boolean {
  if (bytes[0] !== 0xff || bytes[1] !== SOI) return false;
  let at = 2;
  while (at + 4 <= bytes.length && bytes[at] === 0xff) {
    const marker = bytes[at + 1] as number;
    const length = ((bytes[at + 2] as number) << 8) | (bytes[at + 3] as number);
    const isBareJfif = marker === JFIF && length === 16;
    if (!isBareJfif && !DRAWING.includes(marker)) return false;
    at += 2 + length;
    if (marker !== SOS) continue;
    at = endOfScan(bytes, at);
    if (bytes[at + 1] === EOI) return at + 2 === bytes.length;
  }
  return false;
}

/** Where the next marker stands that is neither a stuffed byte nor a restart. */
function endOfScan(bytes: Uint8Array, from: number): number {
  for (let at = from; at + 1 < bytes.length; at += 1) {
    const next = bytes[at + 1] as number;
    if (bytes[at] === 0xff && next !== 0 && (next < 0xd0 || next > 0xd7)) return at;
  }
  return bytes.length;
}
