export { Measure, Photo } from './photo.entities.ts';
export { PhotosModule } from './photos.module.ts';
export { PHOTO_LIMITS, PhotosService } from './photos.service.ts';
