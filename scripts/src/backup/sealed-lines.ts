import { createCipheriv, createDecipheriv, createHash, randomBytes, scryptSync } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, rename, rm, stat } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import { Duplex, PassThrough, Readable, type Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { Trouble } from '../tools.ts';

/** The first line of a copy: what it is, and how the rest is packed. */
interface Head {
  readonly format: typeof FORMAT;
  readonly madeAt: string;
  /** Salt and nonce where a passphrase seals it; absent where none does. */
  readonly seal?: { readonly salt: string; readonly nonce: string };
}

const FORMAT = 'bright-sprout-copy-1';
const CIPHER = 'aes-256-gcm';
const TAG_BYTES = 16;
/** Cost of a key from a passphrase: about 32 MB and a tenth of a second. */
const SCRYPT = { N: 32_768, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };
const LONGEST_HEAD = 4096;
const QUICK = 4;

function keyOf(passphrase: string, salt: Buffer): Buffer {
  return scryptSync(passphrase, salt, 32, SCRYPT);
}

/**
 * Writes lines into a file, packed, and sealed where there is a passphrase; its last line is a check of all others. The
 * file is whole or not there at all.
 */
export async function writeSealed(
  path: string,
  lines: AsyncIterable<string>,
  passphrase: string,
  madeAt: Date,
): Promise<void> {
  const [salt, nonce] = [randomBytes(16), randomBytes(12)];
  const isSealed = passphrase !== '';
  const seal = isSealed ? { seal: { salt: salt.toString('base64'), nonce: nonce.toString('base64') } } : {};
  const head: Head = { format: FORMAT, madeAt: madeAt.toISOString(), ...seal };
  const part = `${path}.part`;
  const cipher = isSealed ? createCipheriv(CIPHER, keyOf(passphrase, salt), nonce) : undefined;
  const framed = Duplex.from(async function* (packed: AsyncIterable<Buffer>) {
    yield Buffer.from(`${JSON.stringify(head)}\n`);
    yield* packed;
    if (cipher) yield cipher.getAuthTag();
  });
  try {
    const steps = [createGzip({ level: QUICK }), ...(cipher ? [cipher] : []), framed];
    // The file is in the same pipeline: what it meets, a full disk or a folder that went away, is thrown here.
    await pipeline([Readable.from(checked(lines)), ...steps, createWriteStream(part, { mode: 0o600 })]);
    await flush(part);
    await rename(part, path);
  } catch (thrown) {
    await rm(part, { force: true });
    throw thrown;
  }
}

/** Lines with their ends, and the check of them all as the last one. */
async function* checked(lines: AsyncIterable<string>): AsyncGenerator<string> {
  const hash = createHash('sha256');
  for await (const line of lines) {
    hash.update(line).update('\n');
    yield `${line}\n`;
  }
  yield `${JSON.stringify({ sha256: hash.digest('hex') })}\n`;
}

async function flush(path: string): Promise<void> {
  const handle = await open(path, 'r+');
  await handle.sync();
  await handle.close();
}

/**
 * The lines of a copy, without its check, which is made at the end.
 * @throws Trouble where it is no copy, the passphrase is wrong, or anything of it is missing or changed
 */
export async function* readSealed(path: string, passphrase: string): AsyncGenerator<string> {
  const { head, begin } = await headOf(path);
  const { size } = await stat(path);
  if (head.seal && passphrase === '') throw new Trouble('This copy is sealed: give its passphrase.');
  const end = head.seal ? size - TAG_BYTES : size;
  const steps: Transform[] = [];
  if (head.seal) {
    const [salt, nonce] = [Buffer.from(head.seal.salt, 'base64'), Buffer.from(head.seal.nonce, 'base64')];
    const opened = createDecipheriv(CIPHER, keyOf(passphrase, salt), nonce, { authTagLength: TAG_BYTES });
    opened.setAuthTag(await bytesAt(path, end, TAG_BYTES));
    steps.push(opened);
  }
  steps.push(createGunzip());
  const unpacked = new PassThrough();
  const source = createReadStream(path, { start: begin, end: Math.max(begin, end) - 1 });
  const unpacking = pipeline([source, ...steps, unpacked]).catch((thrown: unknown) => {
    unpacked.destroy(thrown as Error);
  });
  try {
    yield* verified(createInterface({ input: unpacked, crlfDelay: Infinity }));
    await unpacking;
  } catch (thrown) {
    throw thrown instanceof Trouble ? thrown : damaged(head.seal !== undefined);
  } finally {
    source.destroy();
  }
}

async function* verified(lines: AsyncIterable<string>): AsyncGenerator<string> {
  const hash = createHash('sha256');
  let last: string | undefined;
  for await (const line of lines) {
    if (last !== undefined) {
      hash.update(last).update('\n');
      yield last;
    }
    last = line;
  }
  if (last === undefined || JSON.stringify({ sha256: hash.digest('hex') }) !== last) throw damaged(false);
}

function damaged(isSealed: boolean): Trouble {
  return new Trouble(
    isSealed
      ? 'The copy cannot be opened: its passphrase is another one, or the file was changed or is not whole.'
      : 'The copy is not whole, or was changed. Take another one.',
  );
}

async function headOf(path: string): Promise<{ head: Head; begin: number }> {
  const bytes = await bytesAt(path, 0, LONGEST_HEAD).catch((error: unknown) => {
    throw new Trouble(`${path} cannot be read: ${String(error)}`);
  });
  const at = bytes.indexOf('\n');
  try {
    const head = JSON.parse(bytes.subarray(0, Math.max(0, at)).toString()) as { format?: string };
    if (head.format === FORMAT) return { head: head as Head, begin: at + 1 };
  } catch {
    // What is no such line is no copy.
  }
  throw new Trouble(`${path} is no copy of Bright Sprout’s data.`);
}

async function bytesAt(path: string, position: number, length: number): Promise<Buffer> {
  const handle = await open(path, 'r');
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(length), 0, length, position);
    return buffer.subarray(0, bytesRead);
  } finally {
    await handle.close();
  }
}
