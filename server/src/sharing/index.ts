export { RightsService } from './rights.service.ts';
export { Share } from './share.entity.ts';
export type { Subject } from './shares.service.ts';
export { SharingModule } from './sharing.module.ts';
