import { say } from '@bright-sprout/words/refusals';
import {
  DevicePhotoQuery,
  FrameRequest,
  MeasureRequest,
  PhotoRequest,
  photoRoutes,
  type PhotoSummary,
} from '@bright-sprout/contract/photos';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { Body, Controller, Headers, Param, Query, StreamableFile } from '@nestjs/common';
import { LoggersService } from '../care/index.ts';
import { smallOf } from '../journal/index.ts';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { invalidField, Operation } from '../shared/index.ts';
import { PhotosService } from './photos.service.ts';

/** Photos, and what is measured on them. */
@Controller()
export class PhotosController {
  constructor(
    private readonly photos: PhotosService,
    private readonly loggers: LoggersService,
  ) {}

  @Operation(photoRoutes.photos)
  all(@Param('experimentId') experimentId: string): Promise<PhotoSummary[]> {
    return this.photos.all(experimentId);
  }

  @Operation(photoRoutes.keepPhoto)
  keep(
    @Param('experimentId') experimentId: string,
    @Param('photoId') photoId: string,
    @Body() body: PhotoRequest,
    @CurrentTeacher() { id, displayName, timeZone }: KnownTeacher,
  ): Promise<PhotoSummary> {
    return this.photos.keep(experimentId, photoId, body, { displayName, timeZone }, id);
  }

  @Operation(photoRoutes.keepDevicePhoto)
  async keepFromDevice(
    @Param('newPhotoId') photoId: string,
    @Query() query: DevicePhotoQuery,
    @Headers('authorization') authorization: string | undefined,
    @Body() body: Buffer,
  ): Promise<void> {
    const key = authorization?.replace(/^Bearer /i, '') ?? '';
    const experimentId = await this.loggers.experimentOf(key);
    if (!Buffer.isBuffer(body)) throw invalidField('picture', say('thereIsNoPictureYet'));
    await this.photos.keepFromDevice(experimentId, photoId, query, body);
  }

  @Operation(photoRoutes.framePhoto)
  frame(
    @Param('experimentId') experimentId: string,
    @Param('photoId') photoId: string,
    @Body() body: FrameRequest,
  ): Promise<PhotoSummary> {
    return this.photos.frame(experimentId, photoId, body);
  }

  @Operation(photoRoutes.keepMeasure)
  measure(
    @Param('experimentId') experimentId: string,
    @Param('photoId') photoId: string,
    @Param('readingId') readingId: string,
    @Body() body: MeasureRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ReadingView> {
    return this.photos.measure(experimentId, photoId, readingId, body, teacher);
  }

  @Operation(photoRoutes.removePhoto)
  remove(@Param('experimentId') experimentId: string, @Param('photoId') photoId: string): Promise<void> {
    return this.photos.remove(experimentId, photoId);
  }

  @Operation(photoRoutes.smallPhotoPicture)
  async smallPicture(
    @Param('experimentId') experimentId: string,
    @Param('photoId') photoId: string,
  ): Promise<StreamableFile> {
    const picture = await this.photos.picture(experimentId, photoId);
    return new StreamableFile(await smallOf(picture), { type: 'image/jpeg' });
  }

  @Operation(photoRoutes.photoPicture)
  async picture(
    @Param('experimentId') experimentId: string,
    @Param('photoId') photoId: string,
  ): Promise<StreamableFile> {
    return new StreamableFile(await this.photos.picture(experimentId, photoId), { type: 'image/jpeg' });
  }
}
