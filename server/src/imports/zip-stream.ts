import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { ZipFile } from 'yazl';

/**
 * A zip that is made while it is sent: one picture in memory at a time.
 * @param texts files that are packed
 * @param pictures names of files that are packed already
 * @param pictureOf fetches one when its turn has come
 */
export function zipStream(
  texts: ReadonlyMap<string, Uint8Array>,
  pictures: readonly string[],
  pictureOf: (name: string) => Promise<Buffer>,
): Readable {
  const zip = new ZipFile();
  for (const [name, bytes] of texts)
    zip.addReadStreamLazy(name, (done) => done(null, Readable.from(slicesOf(bytes), { objectMode: false })));
  for (const name of pictures) {
    zip.addReadStreamLazy(name, { compress: false }, (done) => {
      pictureOf(name).then(
        (bytes) => done(null, Readable.from([bytes], { objectMode: false })),
        (error: unknown) => done(error, undefined as never),
      );
    });
  }
  const sent = zip.outputStream as Readable;
  zip.on('error', (error: Error) => sent.destroy(error));
  zip.end();
  return sent;
}

/**
 * A zip of texts, packed by the system's own library.
 * @param files names, and texts in pieces; each is asked for when those before it are packed
 * @param compressionLevel 1 (quick) to 9 (small)
 */
export async function zipped(
  files: readonly (readonly [name: string, pieces: Iterable<string>])[],
  compressionLevel: number,
): Promise<Uint8Array> {
  const zip = new ZipFile();
  for (const [name, pieces] of files) {
    zip.addReadStreamLazy(name, { compressionLevel }, (done) =>
      done(null, Readable.from(bytesOf(pieces), { objectMode: false })),
    );
  }
  const whole = zip.outputStream as Readable;
  zip.on('error', (error: Error) => whole.destroy(error));
  zip.end();
  return buffer(whole);
}

function* bytesOf(pieces: Iterable<string>): Generator<Buffer> {
  for (const piece of pieces) yield Buffer.from(piece);
}

const SLICE_BYTES = 65_536;

/** A long text in slices, between which others are answered. */
async function* slicesOf(bytes: Uint8Array): AsyncGenerator<Buffer> {
  for (let at = 0; at < bytes.length; at += SLICE_BYTES) {
    yield Buffer.from(bytes.buffer, bytes.byteOffset + at, Math.min(SLICE_BYTES, bytes.length - at));
    await nextTurn();
  }
}
