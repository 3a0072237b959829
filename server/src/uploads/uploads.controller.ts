import { uploadRoutes } from '@bright-sprout/contract/uploads';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { UploadsService } from './uploads.service.ts';

/** Files on their way. */
@Controller()
export class UploadsController {
  constructor(private readonly uploads: UploadsService) {}

  @Operation(uploadRoutes.keepPart)
  keepPart(
    @Param('newUploadId') uploadId: string,
    @Param('offsetKey') offset: string,
    @Body() bytes: Buffer,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<void> {
    return this.uploads.keep({ id: teacher.id, is: 'teacher' }, uploadId, offset, bytes);
  }
}
