import { Readable } from 'node:stream';
import { crc32 } from 'node:zlib';
import { type Entry, fromRandomAccessReaderPromise, RandomAccessReader } from 'yauzl';
import { isConnectionLoss } from '../shared/index.ts';
import type { ArrivedFile } from '../uploads/index.ts';

const MOST_ENTRIES = 6000;

/** A zip whose files are read one at a time, whatever the size of the whole. */
export interface OpenZip {
  readonly names: readonly string[];
  /**
   * A file; undefined when there is none of that name. What the zip says of sizes is not believed: bytes are counted.
   * @throws Error when it is broken, is not of the sum that the zip tells, or unpacks to more than `most` bytes
   */
  read(name: string, most: number): Promise<Buffer | undefined>;
}

/** Opens a zip that arrived; undefined when it is none, is broken, or has thousands of entries. */
export async function openZip(file: ArrivedFile): Promise<OpenZip | undefined> {
  try {
    const zip = await fromRandomAccessReaderPromise(new Reader(file), file.size, {
      lazyEntries: true,
      autoClose: false,
    });
    const entries = new Map<string, Entry>();
    for await (const entry of zip.eachEntry()) {
      if (entries.size >= MOST_ENTRIES) return undefined;
      if (!entries.has(entry.fileName)) entries.set(entry.fileName, entry);
    }
    return {
      names: [...entries.keys()],
      read: async (name, most) => {
        const entry = entries.get(name);
        if (!entry) return undefined;
        const parts: Buffer[] = [];
        let bytes = 0;
        for await (const part of (await zip.openReadStreamPromise(entry)) as AsyncIterable<Buffer>) {
          bytes += part.length;
          if (bytes > most) throw new Error(`${name} unpacks to more than ${most} bytes`);
          parts.push(part);
        }
        const whole = Buffer.concat(parts);
        if (crc32(whole) !== entry.crc32) throw new Error(`${name} is not as it was packed`);
        return whole;
      },
    };
  } catch (thrown) {
    // A database that went away says nothing of the zip.
    if (isConnectionLoss(thrown)) throw thrown;
    return undefined;
  }
}

class Reader extends RandomAccessReader {
  constructor(private readonly file: ArrivedFile) {
    super();
  }

  override _readStreamForRange(start: number, end: number): Readable {
    return Readable.from(this.file.read(start, end), { objectMode: false });
  }

  override close(done: (error: Error | null) => void): void {
    done(null);
  }
}
