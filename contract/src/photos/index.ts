import { MOST_PHOTO_BYTES } from '@bright-sprout/core/shared';
import type { ReadingView } from '../readings/index.ts';
import { json, request, route } from '../shared/index.ts';
import type {
  DevicePhotoQuery,
  FrameRequest,
  MeasureRequest,
  PhotoRequest,
  PhotoSummary,
} from './requests.ts';

export {
  DevicePhotoQuery,
  FrameRequest,
  MeasureMethodPart,
  MeasureRequest,
  type MeasureView,
  PhotoRequest,
  type PhotoSummary,
  RealSizePart,
  StrokePart,
} from './requests.ts';

/** Photos of an experiment, and what is measured on them. */
export const photoRoutes = {
  photos: route({
    method: 'GET',
    path: '/experiments/:experimentId/photos',
    summary: 'Photos by the day they were taken, with what was measured on each',
    access: 'see',
    answer: json<PhotoSummary[]>(),
  }),
  keepPhoto: route({
    method: 'PUT',
    path: '/experiments/:experimentId/photos/:photoId',
    summary: 'Keep a photo under an id made on the device',
    access: 'change',
    body: request<PhotoRequest>('PhotoRequest'),
    answer: json<PhotoSummary>(),
  }),
  keepDevicePhoto: route({
    method: 'PUT',
    path: '/logger-photos/:newPhotoId',
    summary: 'A photo from above by a camera, which shows its logger’s key as a bearer token',
    access: 'anyone',
    takesBytes: true,
    maxBytes: MOST_PHOTO_BYTES,
    query: request<DevicePhotoQuery>('DevicePhotoQuery'),
  }),
  framePhoto: route({
    method: 'PUT',
    path: '/experiments/:experimentId/photos/:photoId/frame',
    summary: 'Mark the corners of the container, and a grey patch',
    access: 'change',
    body: request<FrameRequest>('FrameRequest'),
    answer: json<PhotoSummary>(),
  }),
  keepMeasure: route({
    method: 'PUT',
    path: '/experiments/:experimentId/photos/:photoId/measures/:readingId',
    summary: 'Keep a reading that was measured on a photo',
    access: 'change',
    body: request<MeasureRequest>('MeasureRequest'),
    answer: json<ReadingView>(),
  }),
  removePhoto: route({
    method: 'DELETE',
    path: '/experiments/:experimentId/photos/:photoId/picture',
    summary: 'Delete a picture for good; what was measured on it stays, marked so',
    access: 'change',
  }),
  smallPhotoPicture: route({
    method: 'GET',
    path: '/experiments/:experimentId/photos/:photoId/small-picture',
    summary: 'The picture of a photo, 240 pixels wide',
    access: 'see',
    file: 'image/jpeg',
  }),
  photoPicture: route({
    method: 'GET',
    path: '/experiments/:experimentId/photos/:photoId/picture',
    summary: 'The picture of a photo',
    access: 'see',
    file: 'image/jpeg',
  }),
} as const;
