import { say } from '@bright-sprout/words/refusals';
import { MOST_FILE_BYTES } from '@bright-sprout/core/shared';
import type { UploadPart } from '@bright-sprout/contract/uploads';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, LessThan } from 'typeorm';
import { ApiError, Clock, invalidField, isDuplicate, notFound } from '../shared/index.ts';
import { UploadPartRow } from './upload-part.entity.ts';

/** What was made without network is taken for two weeks; a file that nobody asked for goes a week later. */
const KEPT_MS = 21 * 86_400_000;

/** The most that one teacher or class may have on its way at a time, in bytes: some hundred photos. */
const MOST_WAITING = 240_000_000;

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
  async keep(ownerId: string, uploadId: string, offset: string, bytes: Buffer): Promise<void> {
    const startsAt = Number(offset);
    if (!/^\d{1,9}$/.test(offset) || startsAt + bytes.length > MOST_FILE_BYTES) {
      throw invalidField('offsetKey', say('giveThePlaceOfTheFirstByte'));
    }
    const parts = this.source.getRepository(UploadPartRow);
    if (startsAt === 0)
      await parts.delete({ keptAt: LessThan(new Date(this.clock.now().getTime() - KEPT_MS)) });
    const [waiting] = await this.source.query<{ bytes: string | null; strangers: string | null }[]>(
      `SELECT (SELECT SUM(LENGTH(bytes)) FROM upload_part WHERE owner_id = ?) AS bytes,
              (SELECT COUNT(*) FROM upload_part WHERE upload_id = ? AND owner_id <> ?) AS strangers`,
      [ownerId, uploadId, ownerId],
    );
    if (Number(waiting?.strangers ?? 0) > 0) throw notFound();
    if (Number(waiting?.bytes ?? 0) + bytes.length > MOST_WAITING) {
      throw new ApiError('too_large', say('tooManyPicturesAreOnTheirWay'));
    }
    try {
      await parts.insert({ uploadId, startsAt, ownerId, bytes, keptAt: this.clock.now() });
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
    }
  }

  /**
   * The whole file.
   * @throws ApiError `upload_incomplete` while parts are missing
   */
  async whole(ownerId: string, { uploadId, size }: UploadPart): Promise<Buffer> {
    const parts = await this.source
      .getRepository(UploadPartRow)
      .find({ where: { uploadId, ownerId }, order: { startsAt: 'ASC' } });
    let end = 0;
    for (const part of parts) if (part.startsAt === end) end += part.bytes.length;
    const joined = Buffer.concat(parts.map((part) => part.bytes));
    if (end === size && joined.length === size) return joined;
    throw new ApiError('upload_incomplete', say('partsOfThisFileHaveNotArrived'));
  }

  /** Forgets the parts of a file that was used. */
  async forget(ownerId: string, { uploadId }: UploadPart): Promise<void> {
    await this.source.getRepository(UploadPartRow).delete({ uploadId, ownerId });
  }
}
