import { say } from '@bright-sprout/words/refusals';
import { MOST_BUNDLE_BYTES, MOST_FILE_BYTES } from '@bright-sprout/core/shared';
import type { UploadPart } from '@bright-sprout/contract/uploads';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, IsNull, LessThan, Not } from 'typeorm';
import { ApiError, Clock, invalidField, isDuplicate, notFound } from '../shared/index.ts';
import { UploadPartRow } from './upload-part.entity.ts';

/** What was made without network is taken for two weeks; a file that nobody asked for goes a week later. */
const KEPT_MS = 21 * 86_400_000;

/** What was left for a day makes room for what is sent now: a device whose file is gone sends it again. */
const LEFT_MS = 86_400_000;

/**
 * The most that one class may have on its way at a time, in bytes: some hundred photos. A teacher sends bundles, and one
 * that was broken off may be sent once more.
 */
const MOST_WAITING = { device: 240_000_000, teacher: 2 * MOST_BUNDLE_BYTES + 60_000_000 };

/** The most that one device of a class may have on its way: what a student photographs in some weeks without network. */
const MOST_OF_DEVICE = 120_000_000;

/** Who sends a file: a teacher, or a device for its class. */
export type Sender =
  | { readonly is: 'teacher'; readonly id: string }
  | { readonly is: 'device'; readonly id: string; readonly deviceId: string };

/** A file on its way that arrived whole. */
export interface ArrivedFile {
  readonly size: number;
  /** Bytes from `start` to before `end`, a part at a time. */
  read(start: number, end: number): AsyncGenerator<Buffer>;
}

/** Files on their way, in parts. */
@Injectable()
export class UploadsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /**
   * Keeps a part; the same part sent again is stored once.
   * @param offset place of its first byte, as text
   * @throws ApiError `invalid_fields`, `too_large`, `not_found` for an upload of somebody else
   */
  async keep(owner: Sender, uploadId: string, offset: string, bytes: Buffer): Promise<void> {
    const startsAt = Number(offset);
    const ownerId = owner.id;
    const deviceId = owner.is === 'device' ? owner.deviceId : null;
    if (!/^\d{1,9}$/.test(offset) || startsAt + bytes.length > MOST_BUNDLE_BYTES) {
      throw invalidField('offsetKey', say('giveThePlaceOfTheFirstByte'));
    }
    const parts = this.source.getRepository(UploadPartRow);
    if (startsAt === 0)
      await parts.delete({ keptAt: LessThan(new Date(this.clock.now().getTime() - KEPT_MS)) });
    const room = MOST_WAITING[owner.is] - bytes.length;
    if ((await this.#waiting(ownerId, uploadId)) > room) {
      const left = new Date(this.clock.now().getTime() - LEFT_MS);
      await parts.delete({ ownerId, uploadId: Not(uploadId), keptAt: LessThan(left) });
      if (deviceId !== null) await this.#makeRoom(ownerId, deviceId, room);
      if ((await this.#waiting(ownerId, uploadId)) > room)
        throw new ApiError('too_large', say('tooManyPicturesAreOnTheirWay'));
    }
    const own = deviceId === null ? 0 : ((await this.#byDevice(ownerId)).get(deviceId) ?? 0);
    if (own + bytes.length > MOST_OF_DEVICE)
      throw new ApiError('too_large', say('tooManyPicturesAreOnTheirWay'));
    try {
      await parts.insert({
        uploadId,
        startsAt,
        ownerId,
        deviceId,
        size: bytes.length,
        bytes,
        keptAt: this.clock.now(),
      });
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
    }
  }

  /**
   * Lets what the devices with the most on their way sent fall, until there is room, as long as they have more than the
   * one that asks: they send it again, and nothing is lost.
   */
  async #makeRoom(ownerId: string, deviceId: string, room: number): Promise<void> {
    const byDevice = await this.#byDevice(ownerId);
    const own = byDevice.get(deviceId) ?? 0;
    let waiting = [...byDevice.values()].reduce((sum, bytes) => sum + bytes, 0);
    const others = [...byDevice].filter(([id, bytes]) => id !== deviceId && bytes > own);
    for (const [id, bytes] of others.sort((one, other) => other[1] - one[1])) {
      if (waiting <= room) return;
      await this.source.getRepository(UploadPartRow).delete({ ownerId, deviceId: id === '' ? IsNull() : id });
      waiting -= bytes;
    }
  }

  /** Bytes that wait of each device of a class; under the empty text those that name none. */
  async #byDevice(ownerId: string): Promise<Map<string, number>> {
    const rows = await this.source.query<{ deviceId: string | null; bytes: string }[]>(
      'SELECT device_id AS deviceId, SUM(size) AS bytes FROM upload_part WHERE owner_id = ? GROUP BY device_id',
      [ownerId],
    );
    return new Map(rows.map(({ deviceId, bytes }) => [deviceId ?? '', Number(bytes)]));
  }

  /**
   * Bytes of an owner's that wait.
   * @throws ApiError `not_found` for an upload of somebody else
   */
  async #waiting(ownerId: string, uploadId: string): Promise<number> {
    const [waiting] = await this.source.query<{ bytes: string | null; strangers: string | null }[]>(
      `SELECT (SELECT SUM(size) FROM upload_part WHERE owner_id = ?) AS bytes,
              (SELECT COUNT(*) FROM upload_part WHERE upload_id = ? AND owner_id <> ?) AS strangers`,
      [ownerId, uploadId, ownerId],
    );
    if (Number(waiting?.strangers ?? 0) > 0) throw notFound();
    return Number(waiting?.bytes ?? 0);
  }

  /**
   * The whole file at once.
   * @throws ApiError `upload_incomplete` while parts are missing, `too_large`
   */
  async whole(ownerId: string, sent: UploadPart): Promise<Buffer> {
    if (sent.size > MOST_FILE_BYTES) throw new ApiError('too_large', say('filesOfUpTo30MbCanBeOpened'));
    const file = await this.arrived(ownerId, sent);
    const parts: Buffer[] = [];
    for await (const part of file.read(0, file.size)) parts.push(part);
    return Buffer.concat(parts);
  }

  /**
   * A file to be read in pieces, never whole in memory.
   * @throws ApiError `upload_incomplete` while parts are missing
   */
  async arrived(ownerId: string, { uploadId, size }: UploadPart): Promise<ArrivedFile> {
    const parts = await this.source.query<{ startsAt: number; length: number }[]>(
      'SELECT starts_at AS startsAt, size AS length FROM upload_part WHERE upload_id = ? AND owner_id = ? ORDER BY starts_at',
      [uploadId, ownerId],
    );
    let end = 0;
    for (const part of parts) {
      if (part.startsAt !== end) break;
      end += part.length;
    }
    if (end !== size || parts.at(-1)?.startsAt !== end - (parts.at(-1)?.length ?? 0))
      throw new ApiError('upload_incomplete', say('partsOfThisFileHaveNotArrived'));
    const rows = this.source.getRepository(UploadPartRow);
    let last: UploadPartRow | null = null;
    return {
      size,
      async *read(from, to) {
        for (const { startsAt, length } of parts) {
          if (startsAt + length <= from || startsAt >= to) continue;
          if (last?.startsAt !== startsAt) last = await rows.findOneByOrFail({ uploadId, startsAt, ownerId });
          yield last.bytes.subarray(Math.max(0, from - startsAt), to - startsAt);
        }
      },
    };
  }

  /** Forgets the parts of a file that was used. */
  async forget(ownerId: string, { uploadId }: UploadPart): Promise<void> {
    await this.source.getRepository(UploadPartRow).delete({ uploadId, ownerId });
  }
}
