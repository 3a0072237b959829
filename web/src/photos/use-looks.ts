import type { PhotoSummary } from '@bright-sprout/contract/photos';
import { notDefined, type Outcome } from '@bright-sprout/core/shared';
import { useEffect, useMemo, useState } from 'react';
import { imaging, pictureOf } from './imaging.ts';
import type { Look } from './imaging.worker.ts';
import { frameAlone, frameOf, type Seen } from './series.ts';

/** What was seen of each photo of a series, looked at one after the other. */
export interface Looks {
  /** By the id of the photo; of those that were looked at with the corners they have now. */
  readonly byPhoto: ReadonlyMap<string, Outcome<Look>>;
  readonly done: number;
  readonly of: number;
  readonly error: unknown;
}

/** Looks at every photo of a series that has corners, each again when its corners are changed. */
export function useLooks(experimentId: string, seen: Seen, series: readonly PhotoSummary[]): Looks {
  const [looked, setLooked] = useState<ReadonlyMap<string, Outcome<Look>>>(new Map());
  const [error, setError] = useState<unknown>();
  const wanted = useMemo(
    () =>
      series.flatMap((photo) => {
        const found = photo.hasPicture ? frameOf(photo, series) : undefined;
        if (!found) return [];
        const frame = frameAlone(found);
        return [{ photo, frame, key: JSON.stringify([photo.id, frame]) }];
      }),
    [series],
  );
  const { rows, columns } = seen;
  useEffect(() => {
    const left = new AbortController();
    const isLeft = (): boolean => left.signal.aborted;
    const goOn = async (): Promise<void> => {
      for (const { photo, frame, key } of wanted) {
        if (isLeft()) return;
        if (looked.has(key)) continue;
        // One that cannot be fetched or read does not keep the others from being looked at.
        let look: Outcome<Look>;
        try {
          look = await imaging().look(await pictureOf(experimentId, photo.id), frame, { rows, columns });
        } catch (thrown) {
          if (!isLeft()) setError(thrown);
          look = notDefined('no_values');
        }
        if (isLeft()) return;
        setLooked((before) => new Map(before).set(key, look));
        return;
      }
    };
    void goOn();
    return () => left.abort();
  }, [wanted, looked, experimentId, rows, columns]);
  return useMemo(() => {
    const byPhoto = new Map<string, Outcome<Look>>();
    for (const { photo, key } of wanted) {
      const look = looked.get(key);
      if (look) byPhoto.set(photo.id, look);
    }
    return { byPhoto, done: byPhoto.size, of: wanted.length, error };
  }, [wanted, looked, error]);
}
