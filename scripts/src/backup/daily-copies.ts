import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { makeCopy } from './copy.ts';
import { passphrase } from './reach-database.ts';

const HOUR_MS = 60 * 60_000;
const USUALLY_KEPT = 7;
const NAME = /^bright-sprout-\d{4}-\d{2}-\d{2}\.copy$/;

/** Where copies of each day go, and how many are kept; none where the number is 0. */
export function copySettings(folder: string): { readonly into: string; readonly kept: number } {
  const kept = Number(process.env.BRIGHT_SPROUT_COPIES ?? USUALLY_KEPT);
  return {
    into: process.env.BRIGHT_SPROUT_COPIES_FOLDER ?? join(folder, 'copies'),
    kept: Number.isInteger(kept) && kept >= 0 ? kept : USUALLY_KEPT,
  };
}

/**
 * Makes the copy of a day where it is not there yet, and removes those beyond the number that is kept.
 * @returns the new file; undefined where today's is there
 */
export async function copyOfDay(
  url: string,
  { into, kept }: { readonly into: string; readonly kept: number },
  now: Date,
): Promise<string | undefined> {
  if (kept === 0) return undefined;
  mkdirSync(into, { recursive: true, mode: 0o700 });
  const path = join(into, `bright-sprout-${now.toISOString().slice(0, 10)}.copy`);
  const there = (): string[] =>
    readdirSync(into)
      .filter((name) => NAME.test(name))
      .sort();
  if (there().includes(path.slice(into.length + 1))) return undefined;
  await makeCopy(url, path, passphrase(), now);
  for (const old of there().slice(0, -kept)) rmSync(join(into, old), { force: true });
  return path;
}

/** Makes a copy each day while the application runs. One that fails is said, and tried again an hour later. */
export function keepDailyCopies(url: string, folder: string, say: (words: string) => void): void {
  const settings = copySettings(folder);
  const copy = (): void =>
    void copyOfDay(url, settings, new Date()).catch((error: unknown) =>
      say(`the copy of today could not be made: ${(error as Error).message}`),
    );
  copy();
  setInterval(copy, HOUR_MS).unref();
}
