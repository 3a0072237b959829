import { createHash } from 'node:crypto';
import { say } from '@bright-sprout/words/refusals';
import type {
  DevicePhotoQuery,
  FrameRequest,
  MeasureRequest,
  MeasureView,
  PhotoRequest,
  PhotoSummary,
} from '@bright-sprout/contract/photos';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { addDays, calendarDay, MOST_PHOTO_BYTES, PICTURE_OBSERVER } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, IsNull, Not } from 'typeorm';
import { cleanPicture, sizeOf } from '../journal/index.ts';
import { Container, Unit } from '../plans/index.ts';
import { type Observer, ReadingsService } from '../readings/index.ts';
import { ApiError, Clock, invalidField, isDuplicate, notFound, retried } from '../shared/index.ts';
import { UploadsService } from '../uploads/index.ts';
import { Measure, Photo } from './photo.entities.ts';

/** A photo of each of ten containers on each day of a year. */
const MOST_PHOTOS = 4000;

/** Enough that one of sixty places is still some three hundred pixels wide. */
export const PHOTO_LIMITS = { longest: 3200, most: MOST_PHOTO_BYTES };

/** Whose photo it is that a camera sent. */
const CAMERA = 'camera';

interface MeasureRow {
  photoId: string;
  readingId: string;
  unitId: string;
  variableId: string;
  method: string;
}

/** Photos of plants, and readings that are measured on them. */
@Injectable()
export class PhotosService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
    private readonly uploads: UploadsService,
    private readonly readings: ReadingsService,
  ) {}

  /** The photos of an experiment by the day they were taken. */
  all(experimentId: string): Promise<PhotoSummary[]> {
    return this.#found({ experimentId });
  }

  async #found(where: { experimentId: string; id?: string }): Promise<PhotoSummary[]> {
    const { entities, raw } = await this.source
      .getRepository(Photo)
      .createQueryBuilder('photo')
      .addSelect('photo.picture IS NOT NULL', 'hasPicture')
      .where(where)
      .orderBy({ 'photo.takenOn': 'ASC', 'photo.recordedAt': 'ASC' })
      .getRawAndEntities<{ hasPicture: number }>();
    const measures = new Map<string, MeasureRow[]>();
    for (const row of await this.#measuresOf(where.experimentId)) {
      measures.set(row.photoId, [...(measures.get(row.photoId) ?? []), row]);
    }
    return entities.map((photo, index) =>
      summary(photo, Number(raw[index]?.hasPicture) === 1, measures.get(photo.id) ?? []),
    );
  }

  #measuresOf(experimentId: string): Promise<MeasureRow[]> {
    return this.source.query<MeasureRow[]>(
      `SELECT m.photo_id AS photoId, m.reading_id AS readingId, m.method, r.unit_id AS unitId, r.variable_id AS variableId
       FROM photo p JOIN measure m ON m.photo_id = p.id JOIN reading r ON r.id = m.reading_id
       WHERE p.experiment_id = ? ORDER BY m.recorded_at, m.reading_id`,
      [experimentId],
    );
  }

  /**
   * Keeps a photo. Sent twice under the same id it is stored once; so is the same file under another id, of the same
   * place and day, and the photo that was kept first is answered.
   * @param ownerId the teacher who sent the picture
   * @throws ApiError `invalid_fields`, `not_a_picture`, `too_large`, `upload_incomplete`, `id_in_use`
   */
  async keep(
    experimentId: string,
    id: string,
    request: PhotoRequest,
    observer: Observer,
    ownerId: string,
  ): Promise<PhotoSummary> {
    if (await this.source.getRepository(Photo).existsBy({ id })) return this.one(experimentId, id);
    const { view, takenOn, picture: sent } = request;
    const containerId = request.containerId ?? null;
    const unitId = request.unitId ?? null;
    if (takenOn > this.clock.today(observer.timeZone))
      throw invalidField('takenOn', say('thisDayHasNotComeYet'));
    if (!sent) throw invalidField('picture', say('thereIsNoPictureYet'));
    await this.#refusePlace(experimentId, containerId, unitId);
    await this.#refuseTooMany(experimentId);
    const bytes = await this.uploads.whole(ownerId, sent);
    const same = await this.#same(experimentId, { view, containerId, unitId, takenOn }, bytes);
    if (same) {
      await this.uploads.forget(ownerId, sent);
      return same;
    }
    const { displayName } = observer;
    const kept = await this.#insert(
      { id, experimentId, containerId, unitId, view, takenOn, observer: displayName },
      bytes,
    );
    await this.uploads.forget(ownerId, sent);
    return kept;
  }

  /**
   * Keeps a photo that a camera sent. Sent twice under the same id it is stored once.
   * @param container which of the experiment's containers is seen, from 1
   * @throws ApiError `invalid_fields`, `not_a_picture`, `too_large`
   */
  async keepFromDevice(
    experimentId: string,
    id: string,
    { takenOn, container }: DevicePhotoQuery,
    bytes: Buffer,
  ): Promise<void> {
    const photos = this.source.getRepository(Photo);
    if (await photos.existsBy({ id })) return;
    // A camera stands in a time zone of its own; a day ahead is the most that may be.
    if (takenOn > addDays(calendarDay(this.clock.today('UTC')), 1))
      throw invalidField('takenOn', say('thisDayHasNotComeYet'));
    const containers = await this.source
      .getRepository(Container)
      .find({ where: { experimentId }, order: { position: 'ASC' } });
    const seen = containers[container - 1];
    if (!seen) throw invalidField('container', say('chooseAContainerOfThisExperiment'));
    await this.#refuseTooMany(experimentId);
    const place = { containerId: seen.id, unitId: null, view: 'above' as const };
    await this.#insert({ id, experimentId, ...place, takenOn, observer: CAMERA }, bytes);
  }

  /** The photo of a place and day that came from the same bytes. */
  async #same(
    experimentId: string,
    place: Pick<Photo, 'view' | 'containerId' | 'unitId' | 'takenOn'>,
    bytes: Buffer,
  ): Promise<PhotoSummary | undefined> {
    const { view, takenOn } = place;
    const found = await this.source.getRepository(Photo).findOneBy({
      ...{ experimentId, view, takenOn, digest: digestOf(bytes), picture: Not(IsNull()) },
      containerId: place.containerId ?? IsNull(),
      unitId: place.unitId ?? IsNull(),
    });
    return found ? this.one(experimentId, found.id) : undefined;
  }

  async #insert(
    place: Pick<Photo, 'id' | 'experimentId' | 'containerId' | 'unitId' | 'view' | 'takenOn' | 'observer'>,
    bytes: Buffer,
  ): Promise<PhotoSummary> {
    const picture = await cleanPicture(bytes, PHOTO_LIMITS);
    const size = await sizeOf(picture);
    const photo = {
      ...place,
      ...size,
      corners: null,
      greyPatch: null,
      leftOut: null,
      size: null,
      recordedAt: this.clock.now(),
    };
    try {
      await this.source.getRepository(Photo).insert({ ...photo, picture, digest: digestOf(bytes) });
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
    }
    return summary(photo, true, []);
  }

  async #refuseTooMany(experimentId: string): Promise<void> {
    if ((await this.source.getRepository(Photo).countBy({ experimentId })) < MOST_PHOTOS) return;
    throw new ApiError(
      'too_large',
      say('thisExperimentHoldsPicturesWhichIsAs', { mostPictures: MOST_PHOTOS }),
    );
  }

  async #refusePlace(experimentId: string, containerId: string | null, unitId: string | null): Promise<void> {
    if (containerId === null && unitId === null) throw invalidField('containerId', say('chooseWhatIsSeen'));
    if (
      containerId !== null &&
      !(await this.source.getRepository(Container).existsBy({ id: containerId, experimentId }))
    )
      throw invalidField('containerId', say('chooseAContainerOfThisExperiment'));
    if (unitId !== null && !(await this.source.getRepository(Unit).existsBy({ id: unitId, experimentId })))
      throw invalidField('unitId', say('chooseAPotOfThisExperiment'));
  }

  /**
   * One photo.
   * @throws ApiError `id_in_use` when it is of another experiment
   */
  async one(experimentId: string, id: string): Promise<PhotoSummary> {
    const [found] = await this.#found({ experimentId, id });
    if (!found) throw new ApiError('id_in_use', say('anotherPhotoWasKeptUnderThisId'));
    return found;
  }

  /**
   * Marks where the container is.
   * @throws ApiError `not_found`
   */
  async frame(experimentId: string, id: string, request: FrameRequest): Promise<PhotoSummary> {
    const { corners, greyPatch, leftOut = [], size } = request;
    const { affected } = await this.source.getRepository(Photo).update(
      { id, experimentId },
      {
        corners: corners ?? null,
        greyPatch: greyPatch ?? null,
        leftOut: leftOut.length === 0 ? null : leftOut.map((stroke) => ({ ...stroke })),
        size: size ? { ...size } : null,
      },
    );
    if (affected === 0) throw notFound();
    return this.one(experimentId, id);
  }

  /**
   * Keeps a reading and how it was measured. Sent twice it is stored once.
   * @throws ApiError `not_found`, and what a reading is refused for
   */
  async measure(
    experimentId: string,
    photoId: string,
    readingId: string,
    { reading, method }: MeasureRequest,
    { timeZone }: Observer,
  ): Promise<ReadingView> {
    const photo = await this.source.getRepository(Photo).findOneBy({ id: photoId, experimentId });
    if (!photo) throw notFound();
    if (reading.observedOn !== photo.takenOn)
      throw invalidField('observedOn', say('aMeasureIsOfTheDayOfItsPhoto'));
    const kept = await this.readings.keep(experimentId, readingId, reading, {
      displayName: PICTURE_OBSERVER,
      timeZone,
    });
    try {
      await retried(() =>
        this.source
          .getRepository(Measure)
          .insert({ readingId, photoId, method, recordedAt: this.clock.now() }),
      );
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
    }
    return kept;
  }

  /**
   * The picture of a photo, as a JPEG.
   * @throws ApiError `not_found`
   */
  async picture(experimentId: string, id: string): Promise<Buffer> {
    const photo = await this.source
      .getRepository(Photo)
      .findOne({ where: { id, experimentId }, select: { id: true, picture: true } });
    if (!photo?.picture) throw notFound();
    return photo.picture;
  }

  /** Deletes a picture for good. What was measured on it stays; without any measure the photo goes altogether. */
  async remove(experimentId: string, id: string): Promise<void> {
    const photos = this.source.getRepository(Photo);
    if (!(await photos.existsBy({ id, experimentId }))) return;
    if (await this.source.getRepository(Measure).existsBy({ photoId: id })) {
      await photos.update({ id, experimentId }, { picture: null });
    } else {
      await photos.delete({ id, experimentId });
    }
  }
}

function digestOf(bytes: Buffer): string {
  return createHash('sha256').update(bytes).digest('hex');
}

function summary(
  photo: Omit<Photo, 'experiment' | 'container' | 'unit' | 'picture' | 'digest'>,
  hasPicture: boolean,
  measures: readonly MeasureRow[],
): PhotoSummary {
  const { id, view, containerId, unitId, takenOn, width, height, corners, greyPatch, observer } = photo;
  return {
    ...{ id, view, containerId, unitId, takenOn, width, height, corners, greyPatch, hasPicture, observer },
    leftOut: photo.leftOut ?? [],
    size: photo.size,
    recordedAt: photo.recordedAt.toISOString(),
    measures: measures.map(measureView),
  };
}

function measureView({ readingId, unitId, variableId, method }: MeasureRow): MeasureView {
  return { readingId, unitId, variableId, method: JSON.parse(method) as MeasureView['method'] };
}
