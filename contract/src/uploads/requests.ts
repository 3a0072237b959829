import { MOST_BUNDLE_BYTES } from '@bright-sprout/core/shared';
import { IsId, Whole } from '../shared/index.ts';

/** A file that was sent in parts before, to be used now. */
export class UploadPart {
  /** Id made on the device, under which its parts were kept. */
  @IsId() uploadId: string;

  /** Bytes of the whole file: a part that is missing is noticed. What is no bundle is refused above 30 MB. */
  @Whole(1, MOST_BUNDLE_BYTES) size: number;
}
