import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { ContainerView } from '@bright-sprout/contract/plans';
import type { Outcome } from '@bright-sprout/core/shared';
import { useEffect, useMemo, useState } from 'react';
import { imaging, pictureOf } from './imaging.ts';
import type { Look } from './imaging.worker.ts';
import { frameOf } from './series.ts';

/** What was seen of each photo of a series, looked at one after the other. */
export interface Looks {
  /** By the id of the photo; of those that were looked at with the corners they have now. */
  readonly byPhoto: ReadonlyMap<string, Outcome<Look>>;
  readonly done: number;
  readonly of: number;
  readonly error: unknown;
}

/** Looks at every photo of a series that has corners, each again when its corners are changed. */
export function useLooks(
  experimentId: string,
  container: ContainerView,
  series: readonly PhotoSummary[],
): Looks {
  const [seen, setSeen] = useState<ReadonlyMap<string, Outcome<Look>>>(new Map());
  const [error, setError] = useState<unknown>();
  const wanted = useMemo(
    () =>
      series.flatMap((photo) => {
        const frame = photo.hasPicture ? frameOf(photo, series) : undefined;
        if (!frame) return [];
        const { corners, greyPatch } = frame;
        return [
          { photo, frame: { corners, greyPatch }, key: JSON.stringify([photo.id, corners, greyPatch]) },
        ];
      }),
    [series],
  );
  const { rows, columns } = container;
  useEffect(() => {
    const left = new AbortController();
    const isLeft = (): boolean => left.signal.aborted;
    const goOn = async (): Promise<void> => {
      for (const { photo, frame, key } of wanted) {
        if (isLeft()) return;
        if (seen.has(key)) continue;
        const look = await imaging().look(await pictureOf(experimentId, photo.id), frame, { rows, columns });
        if (isLeft()) return;
        setSeen((before) => new Map(before).set(key, look));
        return;
      }
    };
    goOn().catch((thrown: unknown) => setError(thrown));
    return () => left.abort();
  }, [wanted, seen, experimentId, rows, columns]);
  return useMemo(() => {
    const byPhoto = new Map<string, Outcome<Look>>();
    for (const { photo, key } of wanted) {
      const look = seen.get(key);
      if (look) byPhoto.set(photo.id, look);
    }
    return { byPhoto, done: byPhoto.size, of: wanted.length, error };
  }, [wanted, seen, error]);
}
