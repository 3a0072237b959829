import { Module } from '@nestjs/common';
import { UploadsController } from './uploads.controller.ts';
import { UploadsService } from './uploads.service.ts';

/** Files on their way, in parts. */
@Module({ controllers: [UploadsController], providers: [UploadsService], exports: [UploadsService] })
export class UploadsModule {}
