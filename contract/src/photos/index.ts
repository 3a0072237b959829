import { MOST_PHOTO_BYTES } from '@bright-sprout/core/shared';
import type { ReadingView } from '../readings/index.ts';
import { anyone, change, see } from '../shared/index.ts';
import type {
  DevicePhotoQuery,
  FrameRequest,
  MeasureRequest,
  PhotoRequest,
  PhotoSummary,
} from './requests.ts';

export * from './requests.ts';

/** Photos of an experiment, and what is measured on them. */
export const photoRoutes = {
  photos: see
    .get(
      '/experiments/:experimentId/photos',
      'Photos by the day they were taken, with what was measured on each',
    )
    .answers<PhotoSummary[]>(),
  keepPhoto: change
    .put('/experiments/:experimentId/photos/:photoId', 'Keep a photo under an id made on the device')
    .takes<PhotoRequest>('PhotoRequest')
    .answers<PhotoSummary>(),
  keepDevicePhoto: anyone
    .put(
      '/logger-photos/:newPhotoId',
      'A photo from above by a camera, which shows its logger’s key as a bearer token',
    )
    .takesFile(MOST_PHOTO_BYTES)
    .asks<DevicePhotoQuery>('DevicePhotoQuery'),
  framePhoto: change
    .put(
      '/experiments/:experimentId/photos/:photoId/frame',
      'Mark the corners of the container, and a grey patch',
    )
    .takes<FrameRequest>('FrameRequest')
    .answers<PhotoSummary>(),
  keepMeasure: change
    .put(
      '/experiments/:experimentId/photos/:photoId/measures/:readingId',
      'Keep a reading that was measured on a photo',
    )
    .takes<MeasureRequest>('MeasureRequest')
    .answers<ReadingView>(),
  removePhoto: change.remove(
    '/experiments/:experimentId/photos/:photoId/picture',
    'Delete a picture for good; what was measured on it stays, marked so',
  ),
  smallPhotoPicture: see
    .get(
      '/experiments/:experimentId/photos/:photoId/small-picture',
      'The picture of a photo, 240 pixels wide',
    )
    .sends('image/jpeg'),
  photoPicture: see
    .get('/experiments/:experimentId/photos/:photoId/picture', 'The picture of a photo')
    .sends('image/jpeg'),
} as const;
