import { IsInt, Max, Min } from 'class-validator';
import { IsId, route } from '../shared/index.ts';

/** The most bytes of a file that go in one request; a device on a slow line sends smaller parts. */
export const MOST_PART_BYTES = 524_288;

/** The largest file that is taken, in bytes. */
export const MOST_FILE_BYTES = 30_000_000;

/** A file that was sent in parts before, to be used now. */
export class UploadPart {
  /** Id made on the device, under which its parts were kept. */
  @IsId()
  uploadId: string;

  /** Bytes of the whole file: a part that is missing is noticed. */
  @IsInt()
  @Min(1, { message: 'This file is empty.' })
  @Max(MOST_FILE_BYTES, { message: 'Files of up to 30 MB can be opened.' })
  size: number;
}

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
