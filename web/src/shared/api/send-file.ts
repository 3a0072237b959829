import { MOST_PART_BYTES } from '@bright-sprout/core/shared';
import type { Route } from '@bright-sprout/contract/shared';
import { uploadRoutes } from '@bright-sprout/contract/uploads';
import { v7 as uuid } from 'uuid';
import { ApiFailure, send } from './call.ts';

/** How slow a line may be before a part is given up and tried again: 2 kB a second. */
const SLOWEST_BYTES_A_SECOND = 2000;
const FIRST_MS = 8000;
const TRIES = 5;
const FIRST_PAUSE_MS = 500;

/** Codes after which the same may work a moment later. */
const PASSING: readonly string[] = [
  'server_error',
  'database_unavailable',
  'storage_full',
  'too_busy',
  'too_many_tries',
];

/** True when a failure speaks of the way to the server, or of its moment, and not of what was sent. */
export function isPassing(thrown: unknown): boolean {
  return thrown instanceof ApiFailure && PASSING.includes(thrown.body.code);
}

/** How a file is sent. */
export interface SendWishes {
  readonly route?: Route;
  /** Goes on with an upload that was interrupted. */
  readonly uploadId?: string;
  /** Bytes of it that arrived before. */
  readonly startAt?: number;
  readonly partBytes?: number;
  /** Tries of each part; between them a pause that grows. */
  readonly tries?: number;
  /** Told after each part. */
  readonly onSent?: (bytes: number) => void;
}

/**
 * Sends a file in parts, each with a time limit that grows with its size, and gives how a request names it. Of a file on
 * the disk one part at a time is in memory.
 * @throws ApiFailure when a part finds no way, or is refused
 */
export async function sendFile(
  file: Uint8Array | Blob,
  wishes: SendWishes = {},
): Promise<{ uploadId: string; size: number }> {
  const {
    route = uploadRoutes.keepPart,
    uploadId = uuid(),
    partBytes = MOST_PART_BYTES,
    tries = TRIES,
  } = wishes;
  const size = file instanceof Blob ? file.size : file.length;
  for (let at = wishes.startAt ?? 0; at < size; at += partBytes) {
    const part = file.slice(at, at + partBytes);
    const bytes = part instanceof Blob ? new Uint8Array(await part.arrayBuffer()) : part;
    await patiently(tries, () =>
      send(route, {
        params: { newUploadId: uploadId, offsetKey: String(at) },
        bytes,
        signal: AbortSignal.timeout(timeFor(bytes.length)),
      }),
    );
    wishes.onSent?.(at + bytes.length);
  }
  return { uploadId, size };
}

/** How long a request of so many bytes may take, in milliseconds. */
export function timeFor(bytes: number): number {
  return FIRST_MS + (bytes / SLOWEST_BYTES_A_SECOND) * 1000;
}

async function patiently(tries: number, send: () => Promise<unknown>): Promise<void> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      await send();
      return;
    } catch (thrown) {
      if (attempt >= tries || !isPassing(thrown)) throw thrown;
      await new Promise((resolve) => setTimeout(resolve, FIRST_PAUSE_MS * 2 ** (attempt - 1)));
    }
  }
}
