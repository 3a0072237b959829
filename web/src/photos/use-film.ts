import type { PhotoSummary } from '@bright-sprout/contract/photos';
import { useEffect, useState } from 'react';
import { useExperiment } from '../shared/experiment/index.ts';
import { imaging, pictureOf } from './imaging.ts';
import { frameAlone, frameOf, type Seen } from './series.ts';

/** One picture of a film. */
export interface FilmPicture {
  readonly photo: PhotoSummary;
  readonly picture: ImageBitmap;
}

/** The straightened photos of a container by day, each as soon as it is made. */
export function useFilm({ rows, columns }: Seen, series: readonly PhotoSummary[]) {
  const { experiment } = useExperiment();
  const [pictures, setPictures] = useState<readonly FilmPicture[]>([]);
  const [isWhole, setIsWhole] = useState(false);
  const [error, setError] = useState<unknown>();
  useEffect(() => {
    const left = new AbortController();
    const isLeft = (): boolean => left.signal.aborted;
    const made: FilmPicture[] = [];
    const make = async (): Promise<void> => {
      for (const photo of series) {
        const frame = photo.hasPicture ? frameOf(photo, series) : undefined;
        if (!frame) continue;
        try {
          const blob = await pictureOf(experiment.id, photo.id);
          const drawn = await imaging().draw(blob, frameAlone(frame), { rows, columns }, null);
          if (isLeft()) return;
          if (!drawn.defined) continue;
          made.push({ photo, picture: drawn.value });
          setPictures([...made]);
        } catch (thrown) {
          if (isLeft()) return;
          setError(thrown);
        }
      }
    };
    void make().then(() => {
      if (!isLeft()) setIsWhole(true);
    });
    return () => {
      left.abort();
      setPictures([]);
      setIsWhole(false);
      for (const { picture } of made) picture.close();
    };
  }, [experiment.id, series, rows, columns]);
  return { pictures, isWhole, error };
}
