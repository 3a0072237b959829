import { statfsSync } from 'node:fs';

const LOOK_MS = 1000;

/** Below this nothing more is taken: a database that meets a disk without any room ends itself. */
const FULL_MB = 96;

/** Above this it is taken again; more, so that it does not waver. */
const ROOM_MB = 128;

/**
 * Looks at the room where the data is kept, and tells when it ends and when there is some again.
 * @returns ends it
 */
export function watchDisk(folder: string, tell: (isFull: boolean, freeMb: number) => void): () => void {
  let isFull = false;
  const look = (): void => {
    const freeMb = freeMbOf(folder);
    if (freeMb === undefined || (isFull ? freeMb < ROOM_MB : freeMb >= FULL_MB)) return;
    isFull = !isFull;
    tell(isFull, Math.round(freeMb));
  };
  const timer = setInterval(look, LOOK_MS);
  timer.unref();
  return () => clearInterval(timer);
}

/** MB that are free at a place; undefined where the system does not tell. */
export function freeMbOf(folder: string): number | undefined {
  try {
    const { bavail, bsize } = statfsSync(folder);
    return (bavail * bsize) / 1e6;
  } catch {
    return undefined;
  }
}
