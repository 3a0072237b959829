import { Unzip, UnzipInflate } from 'fflate';
import { joined } from './joined.ts';

const MOST_ENTRIES = 6000;

/** Small: a few bytes can unpack to a thousand times as many before they are counted. */
const STEP_BYTES = 4096;

/**
 * The files of a zip that are wanted; undefined when it is none, when it has thousands of entries, or when it unpacks
 * to more than `most` bytes. What it says of its own sizes is not believed: bytes are counted as they come out.
 */
export function unzipBounded(
  zip: Uint8Array,
  most: number,
  isWanted: (name: string) => boolean,
): Map<string, Uint8Array> | undefined {
  const files = new Map<string, Uint8Array[]>();
  const counted = { entries: 0, bytes: 0, isBroken: false };
  const isSound = (): boolean =>
    !counted.isBroken && counted.entries <= MOST_ENTRIES && counted.bytes <= most;
  const unzip = new Unzip((file) => {
    counted.entries += 1;
    if (!isSound() || !isWanted(file.name)) return;
    const parts: Uint8Array[] = [];
    files.set(file.name, parts);
    file.ondata = (error, part) => {
      if (error) counted.isBroken = true;
      else {
        counted.bytes += part.length;
        parts.push(part);
      }
      if (!isSound()) file.terminate();
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < zip.length && isSound(); at += STEP_BYTES) {
      unzip.push(zip.subarray(at, at + STEP_BYTES), at + STEP_BYTES >= zip.length);
    }
  } catch {
    return undefined;
  }
  if (!isSound() || counted.entries === 0) return undefined;
  return new Map([...files].map(([name, parts]) => [name, joined(parts)]));
}
