import { MOST_PART_BYTES } from '@bright-sprout/core/shared';
import { route } from '../shared/index.ts';

export { UploadPart } from './requests.ts';

/** Files, sent in parts that can be repeated, so that an interrupted one goes on where it stopped. */
export const uploadRoutes = {
  keepPart: route({
    method: 'PUT',
    path: '/uploads/:newUploadId/parts/:offsetKey',
    summary: 'Keep a part of a file, by the place of its first byte; sent twice it is stored once',
    access: 'teacher',
    takesBytes: true,
    maxBytes: MOST_PART_BYTES,
  }),
} as const;
