import { MOST_PART_BYTES } from '@bright-sprout/core/shared';
import { teacher } from '../shared/index.ts';

export { UploadPart } from './requests.ts';

/** Files, sent in parts that can be repeated, so that an interrupted one goes on where it stopped. */
export const uploadRoutes = {
  keepPart: teacher
    .put(
      '/uploads/:newUploadId/parts/:offsetKey',
      'Keep a part of a file, by the place of its first byte; sent twice it is stored once',
    )
    .takesFile(MOST_PART_BYTES),
} as const;
