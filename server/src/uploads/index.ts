export { UploadPartRow } from './upload-part.entity.ts';
export { UploadsModule } from './uploads.module.ts';
export { type ArrivedFile, UploadsService } from './uploads.service.ts';
