import { Module } from '@nestjs/common';
import { CareModule } from '../care/index.ts';
import { ReadingsModule } from '../readings/index.ts';
import { UploadsModule } from '../uploads/index.ts';
import { PhotosController } from './photos.controller.ts';
import { PhotosService } from './photos.service.ts';

/** Photos, and what is measured on them. */
@Module({
  imports: [UploadsModule, ReadingsModule, CareModule],
  controllers: [PhotosController],
  providers: [PhotosService],
  exports: [PhotosService],
})
export class PhotosModule {}
