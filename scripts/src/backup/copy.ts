import { linesOf, putLines } from './copy-database.ts';
import { readSealed, writeSealed } from './sealed-lines.ts';

/** Copies everything in a database into one file, of one moment, while it goes on being used. */
export async function makeCopy(url: string, path: string, passphrase: string, now: Date): Promise<void> {
  await writeSealed(path, linesOf(url), passphrase, now);
}

/**
 * Reads a copy to its end and checks it.
 * @returns how many rows it has
 * @throws Trouble in words where it cannot be used
 */
export async function checkCopy(path: string, passphrase: string): Promise<number> {
  let rows = 0;
  for await (const line of readSealed(path, passphrase)) if (line.startsWith('[')) rows += 1;
  return rows;
}

/** Puts a copy that was checked into an empty database. */
export function restoreCopy(
  url: string,
  path: string,
  passphrase: string,
): Promise<ReadonlyMap<string, number>> {
  return putLines(url, readSealed(path, passphrase));
}
