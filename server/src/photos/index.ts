export { Measure, Photo } from './photo.entities.ts';
export { PhotosModule } from './photos.module.ts';
export { PhotosService } from './photos.service.ts';
