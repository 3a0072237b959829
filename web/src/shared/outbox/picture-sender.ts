import { studentRoutes } from '@bright-sprout/contract/student';
import { uploadRoutes } from '@bright-sprout/contract/uploads';
import { v7 as uuid } from 'uuid';
import { ApiFailure, sendFile } from '../api/index.ts';
import type { DeviceStore, OutboxItem } from '../offline/index.ts';

/** Small enough to arrive within its time at 20 kbit/s. */
const PART_BYTES = 65_536;

/** How far a picture has come; kept over a reload, so that it goes on where it stopped. */
interface Progress {
  readonly uploadId: string;
  readonly sent: number;
  readonly size: number;
}

/** Sends the pictures of outbox items in parts. */
export class PictureSender {
  readonly #store: DeviceStore;
  readonly #onProgress: () => void;
  readonly #progress = new Map<string, Progress>();

  constructor(store: DeviceStore, onProgress: () => void) {
    this.#store = store;
    this.#onProgress = onProgress;
  }

  /** How much has arrived, 0–1. */
  progressOf(itemId: string): number | undefined {
    const known = this.#progress.get(itemId);
    return known && known.sent / known.size;
  }

  /**
   * Sends what is missing of a picture, and gives how the item's request names it.
   * @throws ApiFailure when a part finds no way, or is refused
   */
  async send(item: OutboxItem, picture: string): Promise<{ uploadId: string; size: number }> {
    const bytes = bytesOf(picture);
    const known = this.#progress.get(item.id) ?? (await this.#kept(item.id));
    const begun = known?.size === bytes.length ? known : { uploadId: uuid(), sent: 0, size: bytes.length };
    await this.#note(item.id, begun);
    try {
      return await sendFile(bytes, {
        route: item.studentId === null ? uploadRoutes.keepPart : studentRoutes.keepOwnPart,
        uploadId: begun.uploadId,
        startAt: begun.sent,
        partBytes: PART_BYTES,
        tries: 1,
        onSent: (sent) => void this.#note(item.id, { ...begun, sent }),
      });
    } catch (thrown) {
      // Somebody else's upload, or one that was cleared away: the next try begins anew.
      if (thrown instanceof ApiFailure && thrown.body.code === 'not_found') await this.forget(item.id);
      throw thrown;
    }
  }

  /** Forgets the progress of an item: it is stored, given up, or must begin anew. */
  async forget(itemId: string): Promise<void> {
    if (!this.#progress.delete(itemId)) return;
    await this.#store.forget(keyOf(itemId)).catch(() => undefined);
  }

  async #kept(itemId: string): Promise<Progress | undefined> {
    return (await this.#store.kept(keyOf(itemId)).catch(() => undefined)) as Progress | undefined;
  }

  async #note(itemId: string, progress: Progress): Promise<void> {
    this.#progress.set(itemId, progress);
    this.#onProgress();
    await this.#store.keep(keyOf(itemId), progress).catch(() => undefined);
  }
}

function keyOf(itemId: string): string {
  return `upload ${itemId}`;
}

function bytesOf(base64: string): Uint8Array {
  return Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
}
