import { photoRoutes } from '@bright-sprout/contract/photos';
import { type Remote, wrap } from 'comlink';
import { addressOf } from '../shared/api/index.ts';
import type { Imaging } from './imaging.worker.ts';

let shared: Remote<Imaging> | undefined;

/** The worker that reads photos. */
export function imaging(): Remote<Imaging> {
  shared ??= wrap<Imaging>(new Worker(new URL('./imaging.worker.ts', import.meta.url), { type: 'module' }));
  return shared;
}

/** The picture of a photo as the server has it. @throws Error when it cannot be fetched */
export async function pictureOf(experimentId: string, photoId: string): Promise<Blob> {
  const answer = await fetch(addressOf(photoRoutes.photoPicture, { experimentId, photoId }));
  if (!answer.ok) throw new Error(`the picture was answered with ${answer.status}`);
  return answer.blob();
}
